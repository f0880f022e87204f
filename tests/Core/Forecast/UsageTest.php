<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Carbon\CarbonImmutable;
use Core\Forecast\Confidence;
use Core\Forecast\MeterHistory;
use Core\Forecast\SeasonalUse;
use Core\Forecast\Usage;
use Core\Schedule\Day;
use Core\Schedule\MachineClass;
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
            self::assertTrue($before === null || ($before->p10 <= $passage->p10 && $before->p50 <= $passage->p50 && $before->p90 <= $passage->p90), "at {$at}");
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

    /** The demo's history is invented, so this shows that the bands are honest about such histories, not that the trade wanders so. */
    public function test_of_the_bands_drawn_sixty_days_ahead_seven_to_nine_in_ten_hold(): void
    {
        $histories = self::demoHistories();
        $bands = $held = 0;
        foreach ($histories as $name => [$class, $readings]) {
            $class = array_filter($histories, fn (array $other, string $others): bool => $other[0] === $class && $others !== $name, ARRAY_FILTER_USE_BOTH);
            $step = ($readings[count($readings) - 1][1] - $readings[0][1]) / 40;
            foreach ($readings as $index => [$reached, $run]) {
                $point = floor($run / $step) * $step;
                $drawn = $reached - self::AHEAD;
                if ($index === 0 || $readings[$index - 1][1] >= $point || $drawn < $readings[0][0] + 120) {
                    continue;
                }
                $usage = Usage::learn(MeterHistory::ofPairs($readings)->until($drawn), SeasonalUse::ofClass(array_values(array_map(fn (array $other): MeterHistory => MeterHistory::ofPairs($other[1])->until($drawn), $class))));
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

    /** @return array<string, array{MachineClass, list<array{int, float}>}> every reading by machine, a replaced meter counted on */
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
        return Usage::learn(MeterHistory::ofPairs(array_map(fn (int $week): array => [20_000 + 7 * $week, 100 + $perWeek * $week], range(0, $weeks))));
    }
}
