<?php

declare(strict_types=1);

namespace Tests\Core\Meter;

use Brick\Math\BigDecimal;
use Core\Meter\Reading;
use Core\Meter\RunBetween;
use PHPUnit\Framework\TestCase;

final class RunBetweenTest extends TestCase
{
    public function test_between_two_readings_it_ran_along_the_straight_line(): void
    {
        $run = fn (string $at): string => (string) (new RunBetween(self::reading('100', '2026-05-01'), self::reading('110', '2026-05-11')))->at(new \DateTimeImmutable($at));

        self::assertSame(
            ['100', '105', '109', '110', '101.7'],
            [$run('2026-05-01'), $run('2026-05-06'), $run('2026-05-10'), $run('2026-05-11'), $run('2026-05-02 16:00')],
        );
    }

    public function test_after_the_last_it_is_flat_and_before_the_first_nobody_knows(): void
    {
        self::assertSame(
            '110',
            (string) (new RunBetween(self::reading('110', '2026-05-11'), null))->at(
                new \DateTimeImmutable('2030-01-01'),
            ),
        );
        self::assertNull(
            (new RunBetween(null, self::reading('110', '2026-05-11')))->at(new \DateTimeImmutable('2020-01-01')),
        );
        self::assertNull((new RunBetween(null, null))->at(new \DateTimeImmutable('2020-01-01')));
    }

    private static function reading(string $value, string $at): Reading
    {
        return new Reading(BigDecimal::of($value), new \DateTimeImmutable($at));
    }
}
