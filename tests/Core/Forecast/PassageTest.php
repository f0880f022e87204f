<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Forecast\MeterHistory;
use Core\Forecast\Passage;
use Core\Forecast\Usage;
use Core\Measure\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PassageTest extends TestCase
{
    public function test_whichever_comes_first_is_the_earlier_at_each_tenth_and_a_date_is_certain(): void
    {
        $first = Passage::firstOf([new Passage(10, 20, 40), Passage::on(25)]);

        self::assertEquals(new Passage(10, 20, 25), $first);
        self::assertTrue(Passage::on(25)->isCertain());
        self::assertEquals(new Passage(15, 20, 25), $first->notBefore(15));
    }

    #[DataProvider('sentences')]
    public function test_it_is_told_in_words(string $p10, string $p50, string $p90, string $words): void
    {
        $day = fn (string $day): int => Day::number(new \DateTimeImmutable("{$day}T00:00:00Z"));

        self::assertSame(
            $words,
            (new Passage($day($p10), $day($p50), $day($p90)))->inWords(new \DateTimeImmutable('2026-11-16T00:00:00Z')),
        );
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function sentences(): iterable
    {
        yield ['2026-11-28', '2026-12-05', '2026-12-14', 'about 5 December, between 28 November and 14 December'];
        yield ['2026-11-28', '2026-12-05', '2027-01-14', 'about 5 December, between 28 November and 14 January 2027'];
        yield ['2026-11-10', '2026-11-16', '2026-11-20', 'about now, by 20 November'];
        yield ['2026-12-05', '2026-12-05', '2026-12-05', '5 December'];
    }

    public function test_what_it_may_have_run_by_a_day_widens_with_the_days(): void
    {
        $usage = Usage::learn(
            MeterHistory::ofPairs(
                array_map(fn (int $week): array => [20_000 + 7 * $week, 5.0 * $week + $week % 3], range(0, 110)),
            ),
        );
        self::assertNotNull($usage);
        $width = function (int $days) use ($usage): float {
            [$low, $high] = $usage->rangeBy(20_770 + $days);
            self::assertTrue($low <= $usage->runBy(20_770 + $days) && $usage->runBy(20_770 + $days) <= $high);

            return $high - $low;
        };

        self::assertSame(0.0, $width(0));
        self::assertTrue($width(10) < $width(40) && $width(40) < $width(200));
    }

    public function test_the_expected_day_lies_where_the_use_says_and_a_point_behind_lies_behind(): void
    {
        $usage = Usage::learn(
            MeterHistory::ofPairs(array_map(fn (int $week): array => [20_000 + 7 * $week, 5.0 * $week], range(0, 110))),
        );

        self::assertEqualsWithDelta(20_770 + 28, $usage?->expectedDay(BigDecimal::of(570)), 2);
        self::assertEqualsWithDelta(20_770 - 28, $usage?->passage(530.0)?->p90, 2, 'it was reached four weeks ago');
    }
}
