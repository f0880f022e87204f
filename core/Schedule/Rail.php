<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Forecast\WeeklyUse;

/** A machine's ruler: what has been run, where it stands now, and the stakes ahead. */
final readonly class Rail
{
    private const MOST_STAKES_OF_ONE_TASK = 30;

    /** @param list<Stake> $stakes in rising order */
    private function __construct(
        public RailUnit $unit,
        public BigDecimal $from,
        public BigDecimal $now,
        public BigDecimal $to,
        public array $stakes,
    ) {}

    /**
     * @param  list<TaskStanding>  $tasks
     * @param  WeeklyUse  $use  in the rail's unit
     */
    public static function of(RailUnit $unit, BigDecimal $now, array $tasks, WeeklyUse $use, \DateTimeImmutable $today): self
    {
        $to = $now->plus($unit->ahead());
        /** @var array<string, list<array{BigDecimal, BigDecimal, State, bool, TaskStanding}>> $groups */
        $groups = [];
        foreach ($tasks as $task) {
            foreach (self::positions($unit, $now, $to, $task, $use) as $position) {
                $groups[(string) $position[0]->toScale(1, RoundingMode::HALF_UP).($position[3] ? ' by date' : '')][] = [...$position, $task];
            }
        }
        $stakes = array_map(fn (array $group): Stake => self::stake($group, $now, $use, $unit, $today), array_values($groups));
        usort($stakes, fn (Stake $one, Stake $other): int => $one->at->compareTo($other->at));

        return new self($unit, $now->minus($unit->back()), $now, $to, $stakes);
    }

    /**
     * Where a task falls due on this rail, and again after that at its interval.
     *
     * @return list<array{BigDecimal, BigDecimal, State, bool}> position, beginning of the early window, state, whether placed by date
     */
    private static function positions(RailUnit $unit, BigDecimal $now, BigDecimal $to, TaskStanding $task, WeeklyUse $use): array
    {
        $points = $task->standing->points;
        $onRail = $points[$unit->limit()->value] ?? null;
        $limiting = $task->standing->limiting;
        if ($limiting === null) {
            return [];
        }
        if ($onRail === null || ($limiting !== $onRail && $limiting->state()->isMoreUrgentThan($onRail->state()))) {
            $days = $task->expectedDays;
            $at = $days === null ? null : $now->plus($use->in($days));

            return $at === null || $at->isGreaterThan($to) ? [] : [[$at, $at, $task->standing->state, true]];
        }
        $positions = [];
        $every = $task->standing->rule->every->length($unit->limit());
        $at = $onRail->at;
        while ($at->isLessThanOrEqualTo($to) && count($positions) < self::MOST_STAKES_OF_ONE_TASK) {
            $positions[] = [$at, $at->minus($onRail->early), $positions === [] ? $task->standing->state : State::Fresh, false];
            if ($every === null) {
                break;
            }
            $at = $at->plus($every);
        }

        return $positions;
    }

    /** @param non-empty-list<array{BigDecimal, BigDecimal, State, bool, TaskStanding}> $group */
    private static function stake(array $group, BigDecimal $now, WeeklyUse $use, RailUnit $unit, \DateTimeImmutable $today): Stake
    {
        $length = fn (array $entry): float => $entry[4]->standing->rule->every->length($unit->limit())?->toFloat() ?? 0.0;
        usort($group, fn (array $one, array $other): int => $length($other) <=> $length($one));
        [$at, , , $byDate, $widest] = $group[0];
        $state = array_reduce($group, fn (State $worst, array $entry): State => $entry[2]->isMoreUrgentThan($worst) ? $entry[2] : $worst, State::Fresh);
        $every = $widest->standing->rule->every;
        $interval = $byDate || $unit === RailUnit::Days ? new Interval(months: $every->months) : new Interval($unit === RailUnit::Hours ? $every->hours : null, $unit === RailUnit::Kilometres ? $every->km : null);
        $days = match (true) {
            $byDate => $widest->expectedDays,
            $unit === RailUnit::Days => $at->minus($now)->toScale(0, RoundingMode::HALF_UP)->toInt(),
            default => $use->daysUntil($at->minus($now)),
        };

        return new Stake(
            at: $at,
            earlyFrom: BigDecimal::min(...array_map(fn (array $entry): BigDecimal => $entry[1], $group)),
            state: $state,
            byDate: $byDate,
            date: $days === null || $days < 0 ? null : $today->modify("+{$days} days"),
            tasks: array_map(fn (array $entry): Task => $entry[4]->task, $group),
            interval: $interval->isEmpty() ? null : $interval->inWords(),
        );
    }
}
