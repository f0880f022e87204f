<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Forecast\MeterHistory;
use Core\Forecast\Outlook;
use Core\Forecast\Rail;
use Core\Forecast\Stake;
use Core\Forecast\TaskStanding;
use Core\Forecast\Usage;
use Core\Machine\Point;
use Core\Machine\Task;
use Core\Machine\TaskKind;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Schedule\Headline;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\StandingOf;
use Core\Schedule\State;
use PHPUnit\Framework\TestCase;

final class OutlookTest extends TestCase
{
    private const TODAY = '2026-11-16T00:00:00Z';

    public function test_the_most_urgent_task_leads_and_tells_when(): void
    {
        $outlook = Outlook::of(
            [self::task('Air cleaner', 50, '600'), self::task('Engine oil', 250, '374.6')],
            self::use(9),
            null,
            self::today(),
        );

        self::assertSame('Engine oil', $outlook->leading()?->task->name);
        self::assertSame(State::Nearing, $outlook->state());
        self::assertSame(
            'Engine oil: due at 624.6 h, 250 h after 374.6 h. 18.6 h left, inside the early window. At 9 h a week now that is about 30 November, between 26 November and 6 December.',
            $outlook->why(),
        );
    }

    public function test_tasks_without_a_past_are_counted_and_asked_for(): void
    {
        $unknown = fn (string $name): TaskStanding => new TaskStanding(
            new Task('1', $name, TaskKind::Replace),
            StandingOf::rule(new Rule(Interval::ofHours(50)), null, [], self::now()),
            self::use(1),
            null,
            self::today(),
        );

        self::assertSame(
            '2 tasks have no history. Say when each was last done, or do it now.',
            Outlook::of([$unknown('Oil'), $unknown('Filter')], self::use(1), null, self::today())->why(),
        );
        self::assertSame(State::Unknown, Outlook::of([], self::use(1), null, self::today())->state());
    }

    public function test_a_meter_that_nobody_reads_makes_the_day_a_guess_and_says_so(): void
    {
        $read = Usage::learn(
            MeterHistory::ofPairs(
                array_map(
                    fn (int $week): array => [Day::number(self::today()) - 23 - 7 * $week, 606 - 9.0 * $week],
                    range(0, 60),
                ),
            ),
        );
        $outlook = Outlook::of([self::task('Engine oil', 250, '400', $read)], $read, null, self::today());

        self::assertStringEndsWith('Nobody has read this meter for 23 days, so this is a guess.', $outlook->why());
        $fresh = self::task('Engine oil', 250, '400')->when;
        $stale = self::task('Engine oil', 250, '400', $read)->when;
        self::assertNotNull($fresh);
        self::assertNotNull($stale);
        self::assertLessThan($fresh->p10, $stale->p10, 'it may have run on unseen');
    }

    public function test_what_goes_by_hours_and_by_date_is_expected_by_whichever_comes_first(): void
    {
        $both = new TaskStanding(new Task('1', 'Engine oil', TaskKind::Replace), StandingOf::rule(new Rule(
            new Interval(BigDecimal::of(100), months: 12),
        ), null,
            [
                new Point(BigDecimal::of(550), null, new \DateTimeImmutable('2025-12-20T00:00:00Z')),
            ], self::now()), self::use(9), null, self::today());

        self::assertEqualsWithDelta(34, $both->expectedDays, 2, '44 h at 9 h a week');
        self::assertLessThanOrEqual(
            Day::number(new \DateTimeImmutable('2026-12-20T00:00:00Z')),
            $both->when?->p90,
            'the date is certain',
        );
    }

    public function test_points_that_coincide_are_one_stake(): void
    {
        $rail = Rail::of(
            Limit::Hours,
            BigDecimal::of(606),
            [self::task('Air cleaner', 50, '600'), self::task('Engine oil', 100, '550')],
            self::use(9),
            self::today(),
        );
        $labels = array_map(fn (Stake $stake): string => $stake->at.' '.$stake->label(), $rail->stakes);

        self::assertSame(
            ['650 100 h, engine oil and 1 more', '700 50 h, air cleaner', '750 100 h, engine oil and 1 more'],
            $labels,
        );
        self::assertSame([false, true, true], array_map(fn (Stake $stake): bool => $stake->again, $rail->stakes));
        self::assertSame(['556', '756'], [(string) $rail->from, (string) $rail->to]);
    }

    public function test_a_point_by_date_stands_where_the_machine_will_probably_be(): void
    {
        $yearly = new TaskStanding(new Task(
            '9',
            'Brake fluid',
            TaskKind::Replace,
        ), StandingOf::rule(new Rule(new Interval(months: 24)), null,
            [
                new Point(date: new \DateTimeImmutable('2024-12-14T00:00:00Z')),
            ], self::now()), self::use(7), null, self::today());
        $stake = Rail::of(Limit::Hours, BigDecimal::of(606), [$yearly], self::use(7), self::today())->stakes[0];

        self::assertTrue($stake->byDate);
        self::assertEqualsWithDelta(606 + 28, $stake->at->toFloat(), 0.5, 'four weeks of seven hours');
        self::assertSame('2026-12-14', $stake->when === null ? null : Day::of($stake->when->p50)->format('Y-m-d'));
        self::assertNotNull($stake->band, 'the day is certain, what it will have run by then is not');
        self::assertTrue($stake->band[0]->isLessThan(634) && $stake->band[1]->isGreaterThan(634));
    }

    public function test_the_yard_is_told_in_one_line(): void
    {
        $parts = Headline::of(
            ['past' => ['Bittern'], 'nearing' => ['Heron', 'Teal', 'Coot']],
            ['past' => 1, 'nearing' => 3, 'fresh' => 13],
        );

        self::assertSame(
            ['Bittern is past', 'Heron, Teal and 1 more are nearing', '13 are fresh'],
            array_column($parts, 'text'),
        );
    }

    private static function task(string $name, int $every, string $lastDone, ?Usage $use = null): TaskStanding
    {
        return new TaskStanding(
            new Task('1', $name, TaskKind::Replace),
            StandingOf::rule(
                new Rule(Interval::ofHours($every)),
                null,
                [new Point(BigDecimal::of($lastDone))],
                self::now(),
            ),
            $use ?? self::use(9),
            null,
            self::today(),
        );
    }

    private static function now(): Point
    {
        return new Point(BigDecimal::of('606'), null, self::today());
    }

    /** Two years of the same use every week, up to 606 h today. */
    private static function use(float $perWeek): ?Usage
    {
        return Usage::learn(
            MeterHistory::ofPairs(
                array_map(
                    fn (int $week): array => [Day::number(self::today()) - 7 * $week, 606 - $perWeek * $week],
                    range(0, 104),
                ),
            ),
        );
    }

    private static function today(): \DateTimeImmutable
    {
        return new \DateTimeImmutable(self::TODAY);
    }
}
