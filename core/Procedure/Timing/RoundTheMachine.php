<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/**
 * Lays steps out as somebody goes round a machine: hands stay at a place while there is something to do, what cools
 * comes first, and something else is begun only while oil drips or an engine runs.
 */
final class RoundTheMachine
{
    /** @var array<int, int> by step */
    private array $starts = [];

    /** @var array<int, int> by step that goes on, when it ends */
    private array $running = [];

    /** @var array<int, int> by step, how many of those before it are not over */
    private array $waiting;

    /** @var array<int, true> the steps for which all before them is over */
    private array $ready = [];

    /** @var array<int, int> by resource, how many are free */
    private array $free;

    /** @var array<int, list<int>> by step at whose end something is let go, the resources */
    private array $lets = [];

    private int $now = 0;

    private int $hands;

    private int $changes = 0;

    private string $place = '';

    private string $block = '';

    /**
     * @param  list<int>  $ranks  by step, the least first, of those that nothing else tells apart
     * @param  array<int, true>  $urgent  what cools, and all that stands before it
     */
    private function __construct(private readonly Workload $work, private readonly array $ranks, private readonly array $urgent)
    {
        $this->free = $work->counts;
        $this->hands = $work->people;
        $this->waiting = array_map(count(...), $work->before);
        $this->ready = array_fill_keys(array_keys($this->waiting, 0, true), true);
    }

    /**
     * @param  list<int>  $ranks
     * @return array{array<int, int>, int}|null starts by step, and how often hands left a place that still had something to do;
     *                                          null where what they hold of each other never lets go
     */
    public static function by(Workload $work, array $ranks): ?array
    {
        $round = new self($work, $ranks, $work->beforeWhatCools());

        return $round->go() ? [$round->starts, $round->changes] : null;
    }

    private function go(): bool
    {
        while (count($this->starts) < $this->work->count()) {
            $next = $this->next();
            if ($next !== null) {
                $this->begin($next);
            } elseif ($this->running === []) {
                return false;
            } else {
                $this->now = min($this->running);
                foreach (array_keys($this->running, $this->now, true) as $over) {
                    $this->end($over);
                }
            }
        }

        return true;
    }

    private function next(): ?int
    {
        $best = $order = null;
        foreach (array_keys($this->ready) as $number) {
            if (! $this->canBegin($number)) {
                continue;
            }
            $step = $this->work->steps[$number];
            $mine = [
                // What nobody stands at is set going at once.
                $step->attended ? 1 : 0,
                isset($this->urgent[$number]) || $this->freesWhatCools($number) ? 0 : 1,
                $step->place === $this->place && $this->place !== '' ? 0 : 1,
                $this->ranks[$number],
            ];
            if ($best === null || $mine < $order) {
                [$best, $order] = [$number, $mine];
            }
        }

        return $best;
    }

    private function canBegin(int $number): bool
    {
        $step = $this->work->steps[$number];
        $isForOthers = $this->block !== '' && $step->block !== $this->block;

        return ! ($step->attended && ($this->hands < 1 || $isForOthers)) && $this->hasFree($number);
    }

    private function hasFree(int $number): bool
    {
        $wanted = [];
        foreach ([...$this->work->uses[$number], ...array_column($this->work->begins[$number], 0)] as $resource) {
            $wanted[$resource] = ($wanted[$resource] ?? 0) + 1;
            if ($wanted[$resource] > $this->free[$resource]) {
                return false;
            }
        }

        return true;
    }

    /** Whether it, or what follows it at once, lets something go for which what cools waits. */
    private function freesWhatCools(int $number): bool
    {
        $lets = array_merge(...array_map(fn (int $one): array => $this->lets[$one] ?? [], [$number, ...$this->work->next[$number]]));
        foreach ($lets as $resource) {
            if ($this->free[$resource] > 0) {
                continue;
            }
            foreach (array_keys($this->urgent) as $urgent) {
                if (! isset($this->starts[$urgent]) && in_array($resource, array_column($this->work->begins[$urgent], 0), true)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function begin(int $number): void
    {
        $step = $this->work->steps[$number];
        if ($step->attended && $step->place !== '' && $step->place !== $this->place) {
            $this->changes += $this->place !== '' && $this->isLeftUndone($this->place) ? 1 : 0;
            $this->place = $step->place;
        }
        unset($this->ready[$number]);
        $this->starts[$number] = $this->now;
        $this->running[$number] = $this->now + $step->minutes;
        $this->hands -= $step->attended ? 1 : 0;
        foreach ($this->work->uses[$number] as $resource) {
            $this->take($resource, $number);
        }
        foreach ($this->work->begins[$number] as [$resource, $until]) {
            $this->take($resource, $until);
        }
        if ($step->attended) {
            $this->block = $this->isBlockOpen($step->block) ? $step->block : '';
        }
        if ($step->minutes === 0) {
            $this->end($number);
        }
    }

    private function take(int $resource, int $until): void
    {
        $this->free[$resource]--;
        $this->lets[$until][] = $resource;
    }

    private function end(int $number): void
    {
        unset($this->running[$number]);
        $this->hands += $this->work->steps[$number]->attended ? 1 : 0;
        foreach ($this->lets[$number] ?? [] as $resource) {
            $this->free[$resource]++;
        }
        unset($this->lets[$number]);
        foreach ($this->work->next[$number] as $follower) {
            if (--$this->waiting[$follower] === 0) {
                $this->ready[$follower] = true;
            }
        }
    }

    private function isBlockOpen(string $block): bool
    {
        foreach ($block === '' ? [] : $this->work->steps as $number => $step) {
            if ($step->block === $block && ! isset($this->starts[$number])) {
                return true;
            }
        }

        return false;
    }

    /** Whether something that hands could do now is left at a place. */
    private function isLeftUndone(string $place): bool
    {
        foreach (array_keys($this->ready) as $number) {
            $step = $this->work->steps[$number];
            if ($step->place === $place && $step->attended && $this->canBegin($number)) {
                return true;
            }
        }

        return false;
    }
}
