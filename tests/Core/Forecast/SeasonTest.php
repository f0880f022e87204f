<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Core\Forecast\MeterHistory;
use Core\Forecast\Season;
use Core\Measure\Day;
use PHPUnit\Framework\TestCase;

final class SeasonTest extends TestCase
{
    public function test_over_a_whole_year_the_clock_runs_as_many_weeks_as_the_calendar(): void
    {
        $season = self::summer();
        foreach ([0, 90, 200, 359] as $into) {
            $day = 20_000 + $into;
            self::assertEqualsWithDelta(4 * 365.2425 / 7, $season->clock($day + 1461) - $season->clock($day), 0.2);
        }
    }

    public function test_the_clock_always_goes_forward_and_can_be_read_back(): void
    {
        $season = self::summer();
        for ($day = -4000; $day < 30_000; $day += 13) {
            self::assertGreaterThan($season->clock($day), $season->clock($day + 1));
            self::assertEqualsWithDelta($day, $season->dayAt($season->clock($day)), 1e-6);
        }
    }

    public function test_it_runs_fast_in_the_busy_weeks_and_nearly_stands_in_the_idle_ones(): void
    {
        $season = self::summer();
        $july = Day::number(new \DateTimeImmutable('2026-07-10T00:00:00Z'));
        $january = Day::number(new \DateTimeImmutable('2026-01-10T00:00:00Z'));

        self::assertGreaterThan(2, $season->clock($july + 7) - $season->clock($july));
        self::assertLessThan(0.1, $season->clock($january + 7) - $season->clock($january));
        self::assertSame(1.0, Season::even()->weightOn($july));
    }

    public function test_use_that_never_was_has_no_season_and_a_season_has_52_weeks(): void
    {
        self::assertEquals(Season::even(), Season::of(array_fill(0, 52, 0.0)));
        $this->expectException(\InvalidArgumentException::class);
        Season::of([1.0]);
    }

    public function test_two_readings_in_one_week_on_different_days_are_two_readings(): void
    {
        $monday = Day::number(new \DateTimeImmutable('2026-11-16T00:00:00Z'));
        self::assertSame($monday, MeterHistory::monday(MeterHistory::week($monday)));
        self::assertSame(MeterHistory::week($monday), MeterHistory::week($monday + 6), 'Monday to Sunday');

        $history = MeterHistory::ofPairs(
            [[$monday + 9, 30.0], [$monday, 10.0], [$monday + 4, 18.0], [$monday + 4, 20.0]],
        );
        self::assertSame(
            [[$monday, 10.0], [$monday + 4, 20.0], [$monday + 9, 30.0]],
            $history->readings,
            'the last of each day',
        );
        self::assertSame([[$monday, $monday + 4, 10.0], [$monday + 4, $monday + 9, 10.0]], $history->gains());
    }

    public function test_of_a_long_history_the_first_reading_and_the_last_of_each_week_are_kept(): void
    {
        $monday = Day::number(new \DateTimeImmutable('2025-01-06T00:00:00Z'));
        $history = MeterHistory::ofPairs(
            array_map(fn (int $day): array => [$monday + $day, (float) $day], range(0, 7 * 20 - 1)),
        );

        self::assertSame([$monday, $monday + 6, $monday + 13], array_slice(array_column($history->readings, 0), 0, 3));
        self::assertCount(21, $history->readings);
    }

    public function test_a_gain_between_two_readings_is_spread_over_the_weeks_between(): void
    {
        $monday = MeterHistory::monday(2_900);
        $weeks = MeterHistory::ofPairs([[$monday + 2, 100.0], [$monday + 16, 114.0]])->byWeek(Season::even());

        self::assertSame([2900, 2901, 2902], array_keys($weeks));
        self::assertEqualsWithDelta(14.0, array_sum(array_column($weeks, 0)), 1e-9, 'nothing is lost');
        self::assertSame([4, 7, 3], array_column($weeks, 1));
        self::assertEqualsWithDelta(7.0, $weeks[2901][0], 1e-9);
    }

    private static function summer(): Season
    {
        return Season::of(
            array_map(
                fn (int $week): float => $week > 12 && $week < 40 ? 1 + sin(($week - 12) / 9) : 0.0,
                range(0, 51),
            ),
        );
    }
}
