<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Looks for the shortest timetable. Few steps are searched through to the end; many are laid out by rules known to be
 * good (the longest tail first, what sets off the longest wait first), then changed a little at a time from a fixed
 * seed. It ends where the lower bound is met.
 */
final readonly class Search
{
    /** Up to so many steps every timetable is looked at. */
    private const THOROUGH = 10;

    private const CHANGES = 1_500;

    /** Of many steps each change takes longer, and fewer are tried. */
    private const STEPS_CHANGED = 90_000;

    private const REMEMBERED = 40;

    /** More than any mean of starts. */
    private const LENGTH_BEFORE_MEAN = 10_000_000;

    private const SEED = 20260514;

    private Layout $layout;

    private int $bound;

    public function __construct(private Workload $work)
    {
        $this->layout = new Layout($work);
        $this->bound = $work->lowerBound();
    }

    /**
     * @return array<int, int> starts by step
     *
     * @throws Impossible if no order comes to an end
     */
    public function best(): array
    {
        [$ranks, $starts] = $this->byRule();
        if ($this->work->count() <= self::THOROUGH) {
            return (new Branches($this->work))->shortest($starts) ?? throw Impossible::stuck();
        }
        $starts = $this->changed($ranks, $starts);

        return $starts ?? throw Impossible::stuck();
    }

    /** @return array{list<int>, array<int, int>|null} ranks, and the starts that come of them */
    private function byRule(): array
    {
        $best = [range(0, max(0, $this->work->count() - 1)), null];
        foreach ($this->work->ranks() as $ranks) {
            $starts = $this->layout->by($ranks);
            if ($starts !== null && ($best[1] === null || $this->length($starts) < $this->length($best[1]))) {
                $best = [$ranks, $starts];
            }
        }

        return $best;
    }

    /**
     * Late acceptance: a change stays if it is no worse than what stood some changes ago, so that a hill can be crossed.
     *
     * @param  list<int>  $ranks
     * @param  array<int, int>|null  $starts
     * @return array<int, int>|null
     */
    private function changed(array $ranks, ?array $starts): ?array
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $last = $this->work->count() - 1;
        // As an order, so that a change is a step moved to another place.
        asort($ranks);
        $order = array_keys($ranks);
        $cost = $starts === null ? PHP_INT_MAX : $this->cost($starts);
        $best = $starts;
        $least = $cost;
        $before = array_fill(0, self::REMEMBERED, $cost);
        $changes = min(self::CHANGES, intdiv(self::STEPS_CHANGED, $last + 1));
        for ($change = 0; $change < $changes && ($best === null || $this->length($best) > $this->bound); $change++) {
            $next = $order;
            for ($moves = $random->getInt(1, 3); $moves > 0; $moves--) {
                $moved = array_splice($next, $random->getInt(0, $last), 1);
                array_splice($next, $random->getInt(0, $last), 0, $moved);
            }
            $tried = $this->layout->by(array_flip($next));
            $at = $change % self::REMEMBERED;
            if ($tried !== null) {
                $costs = $this->cost($tried);
                if ($costs <= $cost || $costs <= $before[$at]) {
                    [$order, $cost] = [$next, $costs];
                }
                if ($costs < $least) {
                    [$best, $least] = [$tried, $costs];
                }
            }
            $before[$at] = $cost;
        }

        return $best;
    }

    /**
     * The length first; of two as long, the one whose steps begin sooner.
     *
     * @param  array<int, int>  $starts
     */
    private function cost(array $starts): int
    {
        return $this->length($starts) * self::LENGTH_BEFORE_MEAN + intdiv(array_sum($starts), count($starts));
    }

    /** @param  array<int, int>  $starts */
    private function length(array $starts): int
    {
        $length = 0;
        foreach ($starts as $number => $start) {
            $length = max($length, $start + $this->work->steps[$number]->minutes);
        }

        return $length;
    }
}
