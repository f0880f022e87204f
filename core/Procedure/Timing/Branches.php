<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/**
 * Every timetable of a few steps whose starts cannot be moved forward: each step begins at the beginning, or when
 * another ends. The shortest is among them.
 */
final class Branches
{
    /** @var array<int, int>|null */
    private ?array $best;

    private int $length;

    private readonly int $bound;

    public function __construct(private readonly Workload $work)
    {
        $this->bound = $work->lowerBound();
    }

    /**
     * @param  array<int, int>|null  $known  starts that are to be bettered
     * @return array<int, int>|null starts by step; null where no order comes to an end
     */
    public function shortest(?array $known): ?array
    {
        $this->best = $known;
        $this->length = $known === null ? PHP_INT_MAX : $this->lengthOf($known);
        $this->go(0, [], -1);

        return $this->best;
    }

    /**
     * @param  array<int, int>  $starts
     * @param  int  $last  the step begun last at this moment: others at the same moment come after it
     */
    private function go(int $now, array $starts, int $last): void
    {
        if ($this->length <= $this->bound || $this->cannotBetter($now, $starts)) {
            return;
        }
        if (count($starts) === $this->work->count()) {
            $this->best = $starts;
            $this->length = $this->lengthOf($starts);

            return;
        }
        foreach ($this->work->steps as $number => $step) {
            if ($number > $last && ! isset($starts[$number]) && $this->canBegin($number, $now, $starts)) {
                $this->go($now, $starts + [$number => $now], $step->minutes === 0 ? -1 : $number);
            }
        }
        $next = null;
        foreach ($starts as $number => $start) {
            $end = $start + $this->work->steps[$number]->minutes;
            if ($end > $now && ($next === null || $end < $next)) {
                $next = $end;
            }
        }
        if ($next !== null) {
            $this->go($next, $starts, -1);
        }
    }

    /** @param  array<int, int>  $starts */
    private function canBegin(int $number, int $now, array $starts): bool
    {
        foreach ($this->work->before[$number] as $before) {
            if (! isset($starts[$before]) || $now < $starts[$before] + $this->work->steps[$before]->minutes) {
                return false;
            }
        }
        $step = $this->work->steps[$number];
        $people = 0;
        $taken = array_fill(0, count($this->work->counts), 0);
        foreach ($starts as $other => $start) {
            if ($start + $this->work->steps[$other]->minutes > $now) {
                $people += $this->work->steps[$other]->attended ? 1 : 0;
                foreach ($this->work->uses[$other] as $resource) {
                    $taken[$resource]++;
                }
            }
            foreach ($this->work->begins[$other] as [$resource, $to]) {
                if (! isset($starts[$to]) || $now < $starts[$to] + $this->work->steps[$to]->minutes) {
                    $taken[$resource]++;
                }
            }
        }
        if ($step->attended && $step->minutes > 0 && $people >= $this->work->people) {
            return false;
        }
        $wanted = $step->minutes > 0 ? $this->work->uses[$number] : [];
        foreach ([...$wanted, ...array_column($this->work->begins[$number], 0)] as $resource) {
            if (++$taken[$resource] > $this->work->counts[$resource]) {
                return false;
            }
        }

        return true;
    }

    /** @param  array<int, int>  $starts */
    private function cannotBetter(int $now, array $starts): bool
    {
        $attended = 0;
        foreach ($this->work->steps as $number => $step) {
            if (isset($starts[$number])) {
                $end = $starts[$number] + $step->minutes;
                if ($this->length <= $starts[$number] + $this->work->tails[$number]) {
                    return true;
                }
                $attended += $step->attended ? max(0, $end - $now) : 0;
            } else {
                if ($now + $this->work->tails[$number] >= $this->length) {
                    return true;
                }
                $attended += $step->attended ? $step->minutes : 0;
            }
        }

        return $this->work->people > 0
            && $now + intdiv($attended + $this->work->people - 1, $this->work->people) >= $this->length;
    }

    /** @param  array<int, int>  $starts */
    private function lengthOf(array $starts): int
    {
        $length = 0;
        foreach ($starts as $number => $start) {
            $length = max($length, $start + $this->work->steps[$number]->minutes);
        }

        return $length;
    }
}
