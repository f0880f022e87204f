<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

use Core\Procedure\Hold;

/**
 * Steps with what they take, numbered in the order in which they were given, so that a search over them is nothing but
 * counting.
 */
final readonly class Workload
{
    /** @var list<string> */
    public array $keys;

    /** @var list<list<int>> by step, those before it */
    public array $before;

    /** @var list<list<int>> by step, those that wait for it */
    public array $next;

    /** @var list<int> minutes from a step's start to the end of all that follows */
    public array $tails;

    /** @var list<int> how many steps lie before it, one after the other */
    public array $depths;

    /** @var list<list<array{int, int}>> by step, the holds that it begins: resource, and the step that ends it */
    public array $begins;

    /** @var list<list<int>> by step, the resources that it uses while it lasts */
    public array $uses;

    /** @var list<int> by resource, how many there are */
    public array $counts;

    /**
     * @param  list<TimedStep>  $steps
     * @param  list<Hold>  $holds
     * @param  array<string, int>  $resources
     *
     * @throws Impossible if the steps run in a circle, or a resource is unknown or there is none of it
     */
    public function __construct(public array $steps, array $holds, array $resources, public int $people)
    {
        $numbers = $this->keys = array_column($steps, 'key');
        $numbers = array_flip($numbers);
        $names = array_flip(array_keys($resources));
        $before = $next = $uses = $begins = array_fill(0, count($steps), []);
        foreach ($steps as $number => $step) {
            foreach ($step->after as $key) {
                $before[$number][] = $numbers[$key] ?? throw Impossible::unknownStep($step->key, $key);
                $next[$numbers[$key]][] = $number;
            }
            foreach ($step->uses as $resource) {
                $uses[$number][] = $names[$resource] ?? throw Impossible::unknownResource($resource);
            }
            if ($step->attended && $people < 1) {
                throw Impossible::nobody();
            }
        }
        foreach ($holds as $hold) {
            $from = $numbers[$hold->from] ?? throw Impossible::unknownStep('holds', $hold->from);
            $begins[$from][] = [
                $names[$hold->resource] ?? throw Impossible::unknownResource($hold->resource),
                $numbers[$hold->to] ?? throw Impossible::unknownStep('holds', $hold->to),
            ];
        }
        $this->before = $before;
        $this->next = $next;
        $this->uses = $uses;
        $this->begins = $begins;
        $this->counts = array_values($resources);
        $this->tails = $this->tails();
        $this->depths = $this->depths();
        $this->refuseTooMany(array_keys($resources));
    }

    /** @return non-empty-list<list<int>> by rules known to be good, a rank for each step, the least first */
    public function ranks(): array
    {
        return array_map(
            fn (array $weights): array => array_map(fn (int $weight): int => -$weight, $weights),
            [$this->tails, $this->waitsSetOff(), $this->together()],
        );
    }

    /** @return array<int, true> what cools, and all that stands before it */
    public function beforeWhatCools(): array
    {
        $urgent = [];
        $open = array_keys(array_filter($this->steps, fn (TimedStep $step): bool => $step->cools));
        while ($open !== []) {
            $number = array_pop($open);
            if (! isset($urgent[$number])) {
                $urgent[$number] = true;
                $open = [...$open, ...$this->before[$number]];
            }
        }

        return $urgent;
    }

    public function count(): int
    {
        return count($this->steps);
    }

    /**
     * What no order can do better than: the greatest of the longest path, the attended minutes over the people, and
     * each resource's minutes over how many there are.
     */
    public function lowerBound(): int
    {
        $attended = 0;
        $held = array_fill(0, count($this->counts), 0);
        foreach ($this->steps as $number => $step) {
            $attended += $step->attended ? $step->minutes : 0;
            foreach ($this->uses[$number] as $resource) {
                $held[$resource] += $step->minutes;
            }
        }
        $bound = max(0, ...$this->tails ?: [0]);
        if ($this->people > 0) {
            $bound = max($bound, intdiv($attended + $this->people - 1, $this->people));
        }
        foreach ($held as $resource => $minutes) {
            $count = max(1, $this->counts[$resource]);
            $bound = max($bound, intdiv($minutes + $count - 1, $count));
        }

        return $bound;
    }

    /** @return list<int> by step, the longest stretch without hands that follows from it */
    private function waitsSetOff(): array
    {
        $waits = [];
        $after = function (int $number) use (&$after, &$waits): int {
            return $waits[$number] ??= array_reduce(
                $this->next[$number],
                fn (int $longest, int $follower): int => max($longest, $after($follower)),
                0,
            ) + ($this->steps[$number]->attended ? 0 : $this->steps[$number]->minutes);
        };

        return array_map(
            fn (int $number, int $tail): int => $after($number) * 1000 + $tail,
            array_keys($this->tails),
            $this->tails,
        );
    }

    /** @return list<int> */
    private function together(): array
    {
        return array_map(
            fn (int $tail, TimedStep $step): int => $tail * 2 + ($step->attended ? 0 : $step->minutes),
            $this->tails,
            $this->steps,
        );
    }

    /** @return list<int> */
    private function tails(): array
    {
        $tails = $waiting = [];
        $ready = [];
        foreach ($this->steps as $number => $step) {
            $waiting[$number] = count($this->next[$number]);
            if ($waiting[$number] === 0) {
                $ready[] = $number;
            }
        }
        while ($ready !== []) {
            $number = array_pop($ready);
            $after = 0;
            foreach ($this->next[$number] as $follower) {
                $after = max($after, $tails[$follower]);
            }
            $tails[$number] = $after + $this->steps[$number]->minutes;
            foreach ($this->before[$number] as $earlier) {
                if (--$waiting[$earlier] === 0) {
                    $ready[] = $earlier;
                }
            }
        }
        foreach ($this->steps as $number => $step) {
            if (! isset($tails[$number])) {
                throw Impossible::circle($step->key);
            }
        }
        ksort($tails);

        return array_values($tails);
    }

    /** @return list<int> */
    private function depths(): array
    {
        $depths = [];
        $order = array_keys($this->steps);
        $of = function (int $number) use (&$of, &$depths): int {
            return $depths[$number] ??= array_reduce(
                $this->before[$number],
                fn (int $deepest, int $before): int => max($deepest, $of($before) + 1),
                0,
            );
        };

        return array_map($of, $order);
    }

    /** @param  list<string>  $names */
    private function refuseTooMany(array $names): void
    {
        foreach ($this->steps as $number => $step) {
            $taken = [];
            foreach ([...$this->uses[$number], ...array_column($this->begins[$number], 0)] as $resource) {
                $taken[$resource] = ($taken[$resource] ?? 0) + 1;
                if ($taken[$resource] > $this->counts[$resource]) {
                    throw Impossible::tooFew($step->key, $names[$resource], $this->counts[$resource]);
                }
            }
        }
    }
}
