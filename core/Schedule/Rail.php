<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Forecast\WeeklyUse;
use Core\Meter\MeterUnit;

/** A machine's ruler: what has been run, where it stands now, and the stakes ahead. */
final readonly class Rail
{
    private const MOST_STAKES_OF_ONE_TASK = 30;

    /** @param  list<Stake>  $stakes in rising order */
    private function __construct(
        public RailUnit $unit,
        public BigDecimal $from,
        public BigDecimal $now,
        public BigDecimal $to,
        public array $stakes,
    ) {
    }

    /**
     * @param  list<TaskStanding>  $tasks
     * @param  WeeklyUse  $use  in the rail's unit
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public static function of(RailUnit $unit, BigDecimal $now, array $tasks, WeeklyUse $use, \DateTimeImmutable $today, MeterUnit $distance = MeterUnit::Kilometres): self
    {
        $to = $now->plus($unit->ahead());
        $together = [];
        foreach ($tasks as $task) {
            foreach (self::marks($unit, $now, $to, $task, $use) as $mark) {
                $together[$mark->at->toScale(1, RoundingMode::HALF_UP).($mark->byDate ? ' by date' : '')][] = $mark;
            }
        }
        $stakes = [];
        foreach ($together as $marks) {
            $stakes[] = self::stake($marks, $now, $use, $unit, $today, $distance);
        }
        usort($stakes, fn (Stake $one, Stake $other): int => $one->at->compareTo($other->at));

        return new self($unit, $now->minus($unit->back()), $now, $to, $stakes);
    }

    /** @return list<RailMark> where a task falls due on this rail, and again after that at its interval */
    private static function marks(RailUnit $unit, BigDecimal $now, BigDecimal $to, TaskStanding $task, WeeklyUse $use): array
    {
        $limiting = $task->standing->limiting;
        if ($limiting === null) {
            return [];
        }
        $onRail = $task->standing->points[$unit->limit()->value] ?? null;
        if ($onRail === null || ($limiting !== $onRail && $limiting->state()->isMoreUrgentThan($onRail->state()))) {
            $at = $task->expectedDays === null ? null : $now->plus($use->in($task->expectedDays));

            return $at === null || $at->isGreaterThan($to) ? [] : [new RailMark($task, $at, $at, $task->standing->state, byDate: true)];
        }
        $marks = [];
        $every = $task->standing->rule->every->length($unit->limit());
        $at = $onRail->at;
        while ($at->isLessThanOrEqualTo($to) && count($marks) < self::MOST_STAKES_OF_ONE_TASK) {
            $again = $marks !== [];
            $marks[] = new RailMark($task, $at, $at->minus($onRail->early), $again ? State::Fresh : $task->standing->state, again: $again);
            if ($every === null) {
                break;
            }
            $at = $at->plus($every);
        }

        return $marks;
    }

    /** @param  non-empty-list<RailMark>  $marks */
    private static function stake(array $marks, BigDecimal $now, WeeklyUse $use, RailUnit $unit, \DateTimeImmutable $today, MeterUnit $distance): Stake
    {
        usort($marks, fn (RailMark $one, RailMark $other): int => $other->intervalLength($unit->limit()) <=> $one->intervalLength($unit->limit()));
        $widest = $marks[0];
        $earlyFrom = $widest->earlyFrom;
        $state = $widest->state;
        $again = true;
        foreach ($marks as $mark) {
            $earlyFrom = BigDecimal::min($earlyFrom, $mark->earlyFrom);
            $state = $mark->state->isMoreUrgentThan($state) ? $mark->state : $state;
            $again = $again && $mark->again;
        }
        $interval = $widest->task->standing->rule->every->only($widest->byDate ? Limit::Date : $unit->limit());
        $days = match (true) {
            $widest->byDate => $widest->task->expectedDays,
            $unit === RailUnit::Days => $widest->at->minus($now)->toScale(0, RoundingMode::HALF_UP)->toInt(),
            default => $use->daysUntil($widest->at->minus($now)),
        };

        return new Stake(
            at: $widest->at,
            earlyFrom: $earlyFrom,
            state: $state,
            again: $again,
            byDate: $widest->byDate,
            date: $days === null || $days < 0 ? null : Day::after($today, $days),
            tasks: array_map(fn (RailMark $mark): Task => $mark->task->task, $marks),
            interval: $interval->isEmpty() ? null : $interval->inWords($distance),
        );
    }
}
