<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Carbon\CarbonImmutable;
use Core\Forecast\Confidence;
use Core\Forecast\MeterHistory;
use Core\Forecast\PossibleReadings;
use Core\Forecast\SeasonalUse;
use Core\Forecast\Usage;
use Core\Machine\MachineClass;
use Core\Measure\Day;
use Core\Schedule\YearWindow;
use Database\Demo\Coldbrook;
use Database\Demo\DemoLife;
use PHPUnit\Framework\TestCase;

final class UsageTest extends TestCase
{
    private const AHEAD = 60;

    public function test_steady_use_reaches_a_point_when_simple_arithmetic_says(): void
    {
        $usage = self::steady(weeks: 150, perWeek: 10);
        $passage = $usage?->passage(100 + 1500 + 60);

        self::assertEqualsWithDelta(10.0, $usage?->perWeek(20_000 + 1050), 0.01);
        self::assertEqualsWithDelta(42, ($passage->p50 ?? 0) - (20_000 + 1050), 2, '60 h at 10 h a week are six weeks');
        self::assertLessThan($passage->p50, $passage?->p10);
        self::assertGreaterThan($passage->p50, $passage?->p90);
    }

    public function test_a_point_further_on_is_never_reached_earlier(): void
    {
        $usage = self::steady(weeks: 30, perWeek: 4);
        $before = null;
        for ($at = 100; $at < 900; $at += 7.5) {
            $passage = $usage?->passage($at);
            self::assertNotNull($passage);
            self::assertTrue($passage->p10 <= $passage->p50 && $passage->p50 <= $passage->p90);
            self::assertTrue(
                $before === null
                    || (
                        $before->p10 <= $passage->p10
                        && $before->p50 <= $passage->p50
                        && $before->p90 <= $passage->p90
                    ),
                "at {$at}",
            );
            $before = $passage;
        }
    }

    public function test_readings_in_any_order_say_the_same(): void
    {
        $pairs = array_map(fn (int $week): array => [20_000 + 7 * $week, 3.0 * $week + ($week % 5)], range(0, 60));
        $shuffled = $pairs;
        mt_srand(7);
        shuffle($shuffled);

        self::assertEquals(Usage::learn(MeterHistory::ofPairs($pairs)), Usage::learn(MeterHistory::ofPairs($shuffled)));
    }

    public function test_what_is_known_of_the_past_is_trusted_more_and_narrows_the_days(): void
    {
        $width = function (int $weeks): int {
            $passage = self::steady($weeks, 10)?->passage(100 + 10 * $weeks + 60);

            return ($passage->p90 ?? 0) - ($passage->p10 ?? 0);
        };

        self::assertLessThan($width(20), $width(60));
        self::assertLessThan($width(5), $width(20));
        self::assertSame(Confidence::Thin, self::steady(3, 10)?->confidence(20_021));
        self::assertSame(Confidence::Fair, self::steady(20, 10)?->confidence(20_140));
        self::assertSame(Confidence::Good, self::steady(60, 10)?->confidence(20_420));
        self::assertSame(Confidence::Fair, self::steady(60, 10)?->confidence(20_450), 'nobody has read it for a month');
    }

    public function test_a_mower_idle_in_winter_reaches_in_spring_what_a_flat_average_puts_before_christmas(): void
    {
        $pairs = [];
        for ($day = Day::number(new \DateTimeImmutable('2023-11-20T00:00:00Z')), $run = 0.0; $day < Day::number(new \DateTimeImmutable('2026-11-20T00:00:00Z')); $day += 7) {
            $month = (int) Day::of($day)->format('n');
            $run += $month >= 4 && $month <= 10 ? 8.0 : 0.0;
            $pairs[] = [$day, $run];
        }
        $passage = Usage::learn(MeterHistory::ofPairs($pairs))?->passage($run + 20);

        self::assertNotNull($passage);
        self::assertSame('2027', Day::of($passage->p50)->format('Y'));
        self::assertContains(Day::of($passage->p50)->format('n'), ['4', '5']);
    }

    public function test_a_machine_with_little_history_borrows_the_season_of_its_class(): void
    {
        $summer = fn (int $from, int $to): MeterHistory => MeterHistory::ofPairs(array_map(function (int $week): array {
            $into = $week % 52;

            return [20_000 - 20_000 % 365 + 7 * $week, 10 * (intdiv($week, 52) * 26 + max(0, min(26, $into - 13)))];
        }, range($from, $to)));
        $new = $summer(104 + 20, 104 + 36);
        [$day] = $new->last();

        $alone = Usage::learn($new)?->perWeek($day + 140);
        $lent = Usage::learn($new, SeasonalUse::ofClass([$summer(0, 156), $summer(0, 156)]))?->perWeek($day + 140);
        self::assertGreaterThan(5, $alone, 'alone it is thought to go on as now');
        self::assertLessThan(1.5, $lent, 'its class rests by then');
    }

    public function test_without_two_readings_or_any_use_nobody_can_tell(): void
    {
        self::assertNull(Usage::learn(MeterHistory::ofPairs([])));
        self::assertNull(Usage::learn(MeterHistory::ofPairs([[20_000, 5.0]])));
        self::assertNull(Usage::learn(MeterHistory::ofPairs([[20_000, 5.0], [20_090, 5.0]])));
        self::assertNull(self::steady(30, 0.01)?->passage(100_000), 'too far off to be told');
    }

    public function test_a_long_time_without_use_is_standing_and_not_a_rate_for_ever_after(): void
    {
        $back = Usage::learn(MeterHistory::ofPairs([[20_000, 100.0], [20_485, 100.0], [20_492, 110.0]]));
        $passage = $back?->passage(150);

        self::assertEqualsWithDelta(10, $back?->perWeek(20_492), 1, 'as it is used since it came back');
        self::assertLessThan(60, ($passage->p50 ?? 0) - 20_492, '40 h to go are weeks, not five years');
    }

    public function test_a_meter_unread_for_long_gives_a_wide_band_that_begins_today(): void
    {
        $usage = self::steady(weeks: 30, perWeek: 10);
        $today = 20_210 + 60;
        $passage = $usage?->passageFrom($today, 420);

        self::assertSame([$today, $today], [$passage?->p10, $passage?->p50], 'it may have been reached');
        self::assertEqualsWithDelta(14, ($passage->p90 ?? 0) - $today, 4, 'or it has stood since');
        self::assertSame(Confidence::Fair, $usage?->confidence($today));
    }

    public function test_a_machine_that_has_stopped_in_its_season_may_go_on_standing(): void
    {
        $readings = array_map(fn (int $week): array => [20_000 + 7 * $week, 10.0 * min($week, 60)], range(0, 75));
        $usage = Usage::learn(MeterHistory::ofPairs($readings));
        $passage = $usage?->passageFrom(20_525, 640);

        self::assertSame(Confidence::Fair, $usage?->confidence(20_525));
        self::assertGreaterThan(105, ($passage->p90 ?? 0) - 20_525, 'as long again as it has stood');
    }

    public function test_what_is_known_to_rest_is_not_reached_while_it_rests(): void
    {
        $november = Day::number(new \DateTimeImmutable('2026-11-01T00:00:00Z'));
        $readings = array_map(fn (int $week): array => [$november - 7 * (30 - $week), 8.0 * $week], range(0, 30));
        $usage = Usage::learn(MeterHistory::ofPairs($readings), resting: [YearWindow::between('11-01', '03-31')]);

        self::assertSame('2027-04', Day::of($usage?->passage(260)?->p50 ?? 0)->format('Y-m'));
    }

    public function test_a_reading_that_cannot_be_is_left_out_and_told(): void
    {
        $possible = PossibleReadings::of([[20_000, 100.0], [20_007, 106.0], [20_014, 9100.0], [20_021, 118.0]], 24);
        self::assertSame(
            [[[20_000, 100.0], [20_007, 106.0], [20_021, 118.0]], [[20_014, 9100.0]]],
            [$possible->kept, $possible->leftOut],
        );

        $first = PossibleReadings::of([[20_000, 10.0], [20_007, 1006.0], [20_014, 1012.0]], 24);
        self::assertSame([[20_000, 10.0]], $first->leftOut, 'the one that no other agrees with');
    }

    /**
     * What is assumed of the machines stands at {@see SimulatedYard}; what their class has done in the three years
     * before is lent.
     */
    public function test_of_the_bands_drawn_in_every_season_and_in_the_first_year_three_quarters_to_six_sevenths_hold(): void
    {
        $tally = self::simulate(new SimulatedYard(77), machines: 55);

        foreach (['winter', 'spring', 'summer', 'autumn', 'first year', 'later years', 'good', 'standing in winter, asked in autumn'] as $when) {
            [$bands, $held] = $tally[$when];
            self::assertGreaterThan(400, $bands, $when);
            self::assertEqualsWithDelta(0.80, $held / $bands, 0.05, "{$when}: {$held} of {$bands}");
        }
        self::assertGreaterThan(0.6, $tally['good after two years'][1] / $tally['good after two years'][0]);
    }

    /** @return array<string, array{int, int}> bands drawn and held, by when they were drawn */
    private static function simulate(SimulatedYard $yard, int $machines): array
    {
        $tally = [];
        foreach (SimulatedYard::kinds() as $kind) {
            $lent = SeasonalUse::ofClass(
                array_map(
                    fn (): MeterHistory => MeterHistory::ofPairs($yard->machine($kind, 18_000, 3 * 365)[1]),
                    range(1, 4),
                ),
            );
            for ($machine = 0; $machine < $machines; $machine++) {
                $first = $yard->dayBetween(19_100, 19_464);
                [$run, $readings] = $yard->machine($kind, $first, 7 * 365);
                $history = MeterHistory::ofPairs($readings);
                foreach ([...array_fill(0, 8, [45, 364]), ...array_fill(0, 14, [365, 4 * 365])] as [$youngest, $oldest]) {
                    $age = $yard->dayBetween($youngest, $oldest);
                    $usage = Usage::learn($history->until($first + $age), $lent);
                    $at = $run[$age] + (end($run) - $run[0]) / 7 / 52 * $yard->between(0.5, 14);
                    $band = $usage?->passageFrom($first + $age, $at);
                    $reached = array_key_first(array_filter($run, fn (float $hours): bool => $hours >= $at));
                    if ($band === null || $reached === null) {
                        continue;
                    }
                    $held = (int) ($band->p10 <= $first + $reached && $first + $reached <= $band->p90);
                    $isGood = $usage->confidence($first + $age) === Confidence::Good;
                    $season = [
                        'winter',
                        'spring',
                        'summer',
                        'autumn',
                    ][intdiv((int) gmdate('n', ($first + $age) * 86_400) % 12, 3)];
                    $counts = [$season => $held, $age < 365 ? 'first year' : 'later years' => $held];
                    $counts += $isGood ? ['good' => $held] : [];
                    $counts += $age >= 730 ? ['good after two years' => (int) $isGood] : [];
                    $counts += $season === 'autumn'
                        && in_array($kind, SimulatedYard::STANDING_IN_WINTER, true)
                        ? ['standing in winter, asked in autumn' => $held]
                        : [];
                    foreach ($counts as $when => $count) {
                        $tally[$when] = [($tally[$when][0] ?? 0) + 1, ($tally[$when][1] ?? 0) + $count];
                    }
                }
            }
        }

        return $tally;
    }

    /**
     * The demo's history is invented, so this shows that the bands are honest about such histories, not that the trade
     * wanders so.
     */
    public function test_of_the_bands_drawn_sixty_days_ahead_seven_to_nine_in_ten_hold(): void
    {
        $histories = self::demoHistories();
        $bands = $held = 0;
        foreach ($histories as $name => [$class, $readings]) {
            $class = array_filter(
                $histories,
                fn (array $other, string $others): bool => $other[0] === $class && $others !== $name,
                ARRAY_FILTER_USE_BOTH,
            );
            $step = ($readings[count($readings) - 1][1] - $readings[0][1]) / 40;
            foreach ($readings as $index => [$reached, $run]) {
                $point = floor($run / $step) * $step;
                $drawn = $reached - self::AHEAD;
                if ($index === 0 || $readings[$index - 1][1] >= $point || $drawn < $readings[0][0] + 120) {
                    continue;
                }
                $usage = Usage::learn(
                    MeterHistory::ofPairs($readings)->until($drawn),
                    SeasonalUse::ofClass(
                        array_values(
                            array_map(
                                fn (array $other): MeterHistory => MeterHistory::ofPairs($other[1])->until($drawn),
                                $class,
                            ),
                        ),
                    ),
                );
                $band = $usage?->passage($point);
                if ($band !== null && $usage->runBy($drawn - $usage->unreadDays($drawn)) < $point) {
                    $bands++;
                    $held += (int) ($band->p10 <= $reached && $reached <= $band->p90);
                }
            }
        }

        self::assertGreaterThan(400, $bands);
        self::assertGreaterThan(0.7, $held / $bands);
        self::assertLessThan(0.9, $held / $bands);
    }

    /**
     * @return array<string, array{MachineClass, list<array{int, float}>}> every reading by machine, a replaced meter
     *     counted on
     */
    private static function demoHistories(): array
    {
        $histories = [];
        foreach (Coldbrook::machines() as $index => $machine) {
            $life = new DemoLife($machine, new CarbonImmutable('2026-11-23'), $index + 1);
            $runBefore = $shown = 0.0;
            foreach ($life->readings as $reading) {
                $value = (float) ($life->hasHourMeter() ? $reading['hours'] : $reading['km']);
                $runBefore += $value < $shown ? $shown : 0.0;
                $shown = $value;
                $histories[$machine->name][0] = $machine->class;
                $histories[$machine->name][1][] = [intdiv($reading['at']->getTimestamp(), 86400), $runBefore + $value];
            }
        }

        return $histories;
    }

    private static function steady(int $weeks, float $perWeek): ?Usage
    {
        return Usage::learn(
            MeterHistory::ofPairs(
                array_map(fn (int $week): array => [20_000 + 7 * $week, 100 + $perWeek * $week], range(0, $weeks)),
            ),
        );
    }
}
