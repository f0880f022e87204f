<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Machine\Task;
use Core\Measure\Day;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Core\Schedule\State;

/** A machine's ruler: what has been run, where it stands now, and the stakes ahead. */
final readonly class Rail
{
    private const MOST_STAKES_OF_ONE_TASK = 30;

    /** How much of the past it shows; of what is to come, three times as much. */
    private const BACK = ['hours' => 50, 'km' => 1500, 'date' => 60];

    /** @param  list<Stake>  $stakes in rising order */
    private function __construct(
        public Limit $along,
        public BigDecimal $from,
        public BigDecimal $now,
        public BigDecimal $to,
        public array $stakes,
    ) {}

    /**
     * @param  list<TaskStanding>  $tasks
     * @param  Usage|null  $use  along the rail, where that is known
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public static function of(
        Limit $along,
        BigDecimal $now,
        array $tasks,
        ?Usage $use,
        \DateTimeImmutable $today,
        MeterUnit $distance = MeterUnit::Kilometres,
    ): self {
        $to = $now->plus(3 * self::BACK[$along->value]);
        $together = [];
        foreach ($tasks as $task) {
            foreach (self::marks($along, $to, $task, $use) as $mark) {
                $together[$mark->at->toScale(1, RoundingMode::HALF_UP).($mark->byDate ? ' by date' : '')][] = $mark;
            }
        }
        $stakes = [];
        foreach ($together as $marks) {
            $stakes[] = self::stake($marks, $use, $along, $today, $distance);
        }
        usort($stakes, fn (Stake $one, Stake $other): int => $one->at->compareTo($other->at));

        return new self($along, $now->minus(self::BACK[$along->value]), $now, $to, $stakes);
    }

    /** @return list<RailMark> where a task falls due on this rail, and again after that at its interval */
    private static function marks(Limit $along, BigDecimal $to, TaskStanding $task, ?Usage $use): array
    {
        $onRail = $task->standing->points[$along->value] ?? null;
        if ($onRail === null || $task->standing->state->isMoreUrgentThan($onRail->state)) {
            $at = $task->when === null ? null : self::positionOn($task->when->p50, $along, $use);

            return $at === null
                || $at->isGreaterThan($to)
                ? []
                : [new RailMark($task, $at, $at, $task->standing->state, byDate: true)];
        }
        $marks = [];
        $every = $task->standing->rule->every->length($along);
        $at = $onRail->at;
        while ($at->isLessThanOrEqualTo($to) && count($marks) < self::MOST_STAKES_OF_ONE_TASK) {
            $again = $marks !== [];
            $marks[] = new RailMark(
                $task,
                $at,
                $at->minus($onRail->early),
                $again ? State::Fresh : $task->standing->state,
                again: $again,
            );
            if ($every === null) {
                break;
            }
            $at = $at->plus($every);
        }

        return $marks;
    }

    /** @param  non-empty-list<RailMark>  $marks */
    private static function stake(
        array $marks,
        ?Usage $use,
        Limit $along,
        \DateTimeImmutable $today,
        MeterUnit $distance,
    ): Stake {
        usort(
            $marks,
            fn (RailMark $one, RailMark $other): int => $other->intervalLength($along) <=> $one->intervalLength($along),
        );
        $widest = $marks[0];
        $interval = $widest->task->standing->rule->every->only($widest->byDate ? Limit::Date : $along);
        $stake = new Stake($marks, $interval->isEmpty() ? null : $interval->inWords($distance));
        $when = match (true) {
            $widest->byDate => $widest->task->when,
            $along === Limit::Date => Passage::on($widest->at->toInt()),
            $stake->again => ($day = $use?->expectedDay($widest->at)) === null ? null : Passage::on($day),
            default => $use?->passageFrom(Day::number($today), $widest->at),
        };
        $when = $when === null || $when->p90 < Day::number($today) ? null : $when->notBefore(Day::number($today));

        return new Stake($marks, $stake->interval, $when, $when === null || $stake->again ? null : self::band($when, $use));
    }

    /**
     * Where the machine will probably stand between the first and the last likely day; on a day that is certain,
     * between the least and the most it may have run.
     *
     * @return array{BigDecimal, BigDecimal}|null
     */
    private static function band(Passage $when, ?Usage $use): ?array
    {
        if ($use === null) {
            return null;
        }
        [$low, $high] = $when->isCertain()
            ? $use->rangeBy($when->p50)
            : [$use->runBy($when->p10), $use->runBy($when->p90)];

        return [self::position($low), self::position($high)];
    }

    /** Where the rail will probably stand on a day; null where nobody can tell. */
    private static function positionOn(int $day, Limit $along, ?Usage $use): ?BigDecimal
    {
        return match (true) {
            $along === Limit::Date => BigDecimal::of($day),
            $use === null => null,
            default => self::position($use->runBy($day)),
        };
    }

    private static function position(float $run): BigDecimal
    {
        return BigDecimal::of(sprintf('%.2F', $run));
    }
}
