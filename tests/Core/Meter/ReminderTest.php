<?php

declare(strict_types=1);

namespace Tests\Core\Meter;

use Brick\Math\BigDecimal;
use Core\Meter\MeterUnit;
use Core\Meter\Reminder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Handbook, section 3: somebody who sets "about 20" at 31.2 h is reminded 1.2 h after the point at 50. */
final class ReminderTest extends TestCase
{
    #[DataProvider('settings')]
    public function test_it_is_held_against_the_rulebook(string $set, ?string $due, string $now, ?string $said): void
    {
        $reminder = new Reminder(BigDecimal::of($set), BigDecimal::of('31.2'));

        self::assertSame(
            $said,
            $reminder->against(
                $due === null ? null : BigDecimal::of($due),
                BigDecimal::of($now),
                BigDecimal::one(),
                MeterUnit::Hours,
            ),
        );
    }

    /** @return iterable<string, array{string, string|null, string, string|null}> */
    public static function settings(): iterable
    {
        yield 'about twenty' => [
            '20',
            '50',
            '31.2',
            "The machine's own reminder rings at 51.2 h, 1.2 h after the rulebook's 50 h.",
        ];
        yield 'rounded down' => ['18', '50', '31.2', null];
        yield 'just so' => ['18.8', '50', '31.2', null];
        yield 'much too early' => [
            '10',
            '50',
            '31.2',
            "The machine's own reminder rings at 41.2 h, 8.8 h before the rulebook's 50 h.",
        ];
        yield 'it rang already' => [
            '10',
            '150',
            '60',
            "The machine's own reminder rang at 41.2 h; the rulebook's next point is 150 h. Set it again.",
        ];
        yield 'nothing ahead' => ['10', null, '60', null];
    }

    public function test_a_vehicle_is_reminded_by_distance(): void
    {
        $reminder = new Reminder(BigDecimal::of(8000), BigDecimal::of(61_240));

        self::assertTrue($reminder->ringsAt()->isEqualTo(69_240));
        self::assertSame("The machine's own reminder rings at 69,240 km, 240 km after the rulebook's 69,000 km.",
            $reminder->against(
                BigDecimal::of(69_000),
                BigDecimal::of(61_300),
                BigDecimal::of(100),
                MeterUnit::Kilometres,
            ));
    }
}
