<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Forecast\WeeklyUse;
use Core\Meter\Reading;
use Core\Procedure\Caution;
use Core\Schedule\Headline;
use Core\Schedule\Interval;
use Core\Schedule\MachineClass;
use Core\Schedule\Outlook;
use Core\Schedule\Point;
use Core\Schedule\Rail;
use Core\Schedule\RailUnit;
use Core\Schedule\Rule;
use Core\Schedule\Stake;
use Core\Schedule\Standing;
use Core\Schedule\StarterRulebook;
use Core\Schedule\State;
use Core\Schedule\Task;
use Core\Schedule\TaskKind;
use Core\Schedule\TaskStanding;
use PHPUnit\Framework\TestCase;

final class OutlookTest extends TestCase
{
    private const TODAY = '2026-11-16T00:00:00Z';

    public function test_the_most_urgent_task_leads_and_tells_when(): void
    {
        $outlook = Outlook::of([self::task('Air cleaner', 50, '600'), self::task('Engine oil', 250, '374.6')], self::use('9'), self::today());

        self::assertSame('Engine oil', $outlook->leading()?->task->name);
        self::assertSame(State::Nearing, $outlook->state());
        self::assertSame('Engine oil: due at 624.6 h, 250 h after 374.6 h. 18.6 h left, inside the early window. At 9 h a week that is about 30 November.', $outlook->why());
    }

    public function test_tasks_without_a_past_are_counted_and_asked_for(): void
    {
        $unknown = fn (string $name): TaskStanding => new TaskStanding(new Task('1', $name, TaskKind::Replace), Standing::of(new Rule(Interval::ofHours(50)), null, [], self::now()), self::use('1'), self::use('0'));

        self::assertSame('2 tasks have no history. Say when each was last done, or do it now.', Outlook::of([$unknown('Oil'), $unknown('Filter')], self::use('1'), self::today())->why());
        self::assertSame(State::Unknown, Outlook::of([], self::use('1'), self::today())->state());
    }

    public function test_an_idle_machine_never_reaches_its_hours(): void
    {
        self::assertNull(self::use('0')->daysUntil(BigDecimal::of(3)));
        self::assertSame(14, self::use('9')->daysUntil(BigDecimal::of(18)));
    }

    public function test_weekly_use_is_what_was_gained_over_the_weeks(): void
    {
        $use = WeeklyUse::between(
            new Reading(BigDecimal::of('340.6'), new \DateTimeImmutable('2026-09-21T00:00:00Z')),
            new Reading(BigDecimal::of('412.6'), new \DateTimeImmutable('2026-11-15T00:00:00Z')),
            self::today(),
        );

        self::assertSame('9.00', (string) $use->perWeek);
    }

    public function test_points_that_coincide_are_one_stake(): void
    {
        $rail = Rail::of(RailUnit::Hours, BigDecimal::of(606), [self::task('Air cleaner', 50, '600'), self::task('Engine oil', 100, '550')], self::use('9'), self::today());
        $labels = array_map(fn (Stake $stake): string => $stake->at.' '.$stake->label(), $rail->stakes);

        self::assertSame(['650 100 h, engine oil and 1 more', '700 50 h, air cleaner', '750 100 h, engine oil and 1 more'], $labels);
        self::assertSame([false, true, true], array_map(fn (Stake $stake): bool => $stake->again, $rail->stakes));
        self::assertSame(['556', '756'], [(string) $rail->from, (string) $rail->to]);
    }

    public function test_a_point_by_date_stands_where_the_machine_will_probably_be(): void
    {
        $yearly = new TaskStanding(new Task('9', 'Brake fluid', TaskKind::Replace), Standing::of(new Rule(new Interval(months: 24)), null,
            [new Point(date: new \DateTimeImmutable('2024-12-14T00:00:00Z'))], self::now()), self::use('7'), self::use('0'));
        $stake = Rail::of(RailUnit::Hours, BigDecimal::of(606), [$yearly], self::use('7'), self::today())->stakes[0];

        self::assertTrue($stake->byDate);
        self::assertTrue($stake->at->isEqualTo(606 + 28), 'four weeks of seven hours');
        self::assertSame('2026-12-14', $stake->date?->format('Y-m-d'));
    }

    public function test_the_yard_is_told_in_one_line(): void
    {
        $parts = Headline::of(['past' => ['Bittern'], 'nearing' => ['Heron', 'Teal', 'Coot']], ['past' => 1, 'nearing' => 3, 'fresh' => 13]);

        self::assertSame(['Bittern is past', 'Heron, Teal and 1 more are nearing', '13 are fresh'], array_column($parts, 'text'));
    }

    public function test_every_class_has_a_rulebook_to_begin_with_and_cautions_where_they_matter(): void
    {
        foreach (MachineClass::cases() as $class) {
            foreach (StarterRulebook::for($class) as $starter) {
                $rule = new Rule($starter->every, $starter->first === null ? [] : [$starter->first]);
                self::assertNotSame('', $rule->every->inWords());
            }
        }
        $cautions = fn (MachineClass $class, string $task): string => implode(' ', Caution::for($class, new Task('1', $task, TaskKind::Replace)));
        self::assertStringContainsString('opened hot', str_replace('open the cooling system hot', 'opened hot', $cautions(MachineClass::Tractor, 'Coolant')));
        self::assertStringContainsString('spark-plug lead off', $cautions(MachineClass::ZeroTurn, 'Deck underside'));
        self::assertStringContainsString('licensed electrician', $cautions(MachineClass::Generator, 'Oil strainer'));
        self::assertStringContainsString('A jack is not a stand', $cautions(MachineClass::SmallTruck, 'Brake pads'));
    }

    private static function task(string $name, int $every, string $lastDone): TaskStanding
    {
        return new TaskStanding(new Task('1', $name, TaskKind::Replace), Standing::of(new Rule(Interval::ofHours($every)), null, [new Point(BigDecimal::of($lastDone))], self::now()), self::use('9'), self::use('0'));
    }

    private static function now(): Point
    {
        return new Point(BigDecimal::of('606'), null, self::today());
    }

    private static function use(string $perWeek): WeeklyUse
    {
        $weekAgo = self::today()->modify('-7 days');

        return WeeklyUse::between(new Reading(BigDecimal::zero(), $weekAgo), new Reading(BigDecimal::of($perWeek), self::today()), self::today());
    }

    private static function today(): \DateTimeImmutable
    {
        return new \DateTimeImmutable(self::TODAY);
    }
}
