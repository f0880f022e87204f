<?php

declare(strict_types=1);

namespace Core\Supply;

/**
 * Covers an amount with containers: the least cost, then the least over, the fewest, the largest. Exact.
 *
 * Sums that containers can make are settled from the least upward, each once, with the best way to make it; sums that
 * reach the target are not built upon. Containers in related sizes make few different sums, so this stays small.
 */
final class Cover
{
    /** Sums beyond which it would take too long. */
    private const MOST_SUMS = 400_000;

    /** @var array<int, int> by sum */
    private array $costs = [];

    /** @var array<int, int> by sum */
    private array $counts = [];

    /** @var array<int, int|null> by sum: the largest item in it of those that can be had at will, null for none */
    private array $largest = [];

    /** @var array<int, array<int, int>> by sum: by item how many are taken of those that are counted */
    private array $counted = [];

    /** The least cost of a way that covers it, as far as is known. */
    private float $leastCost = INF;

    /** Whether a way was given up because it had too many containers. */
    private bool $gaveUp = false;

    /**
     * @param  int  $covered  from where the target counts as covered
     * @param  list<CoverItem>  $items
     * @param  int  $costOfShort  of each unit below the target
     */
    private function __construct(
        private readonly int $target,
        private readonly int $covered,
        private readonly array $items,
        private readonly int $costOfShort,
    ) {}

    /**
     * Without prices a unit costs one, and so does a unit that is short: most ways cost the same then, and the fewest
     * containers are looked for first.
     *
     * @param  int  $target  0 or more, whole units
     * @param  int  $spared  how far below the target still covers it
     * @param  list<CoverItem>  $items
     * @param  bool  $isPriced  whether costs are prices; else volumes
     * @return list<int> how many of each item; where they cannot cover it, as much of it as they can
     *
     * @throws \OverflowException where there are too many ways
     */
    public static function of(int $target, int $spared, array $items, bool $isPriced): array
    {
        $counted = new self($target, $target - $spared, $items, $isPriced ? 0 : 1);
        $counted->takeCounted();
        if ($isPriced) {
            $counted->addAny(PHP_INT_MAX);

            return $counted->items($counted->best()[1]);
        }
        $least = max(
            0,
            $target - max(0, ...array_filter(array_keys($counted->costs), fn (int $sum): bool => $sum <= $target)),
        );
        for ($more = 0; ; $more = 2 * $more + 1) {
            $cover = clone $counted;
            $cover->addAny($counted->fewest() + $more);
            [$rank, $sum] = $cover->best();
            if (! $cover->gaveUp || ($rank !== null && $rank[0] <= $least && $rank[1] === 0)) {
                return $cover->items($sum);
            }
        }
    }

    /** All sums of those that are counted. */
    private function takeCounted(): void
    {
        $ways = [0 => []];
        $order = array_keys(array_filter($this->items, fn (CoverItem $item): bool => $item->most !== null));
        usort($order, fn (int $one, int $other): int => $this->items[$one]->volume <=> $this->items[$other]->volume);
        foreach ($order as $index) {
            foreach ($ways as $sum => $way) {
                for ($count = 1; $count <= $this->items[$index]->most && $sum < $this->target; $count++) {
                    $sum += $this->items[$index]->volume;
                    $other = [$index => $count] + $way;
                    if (! isset($ways[$sum]) || array_sum($other) <= array_sum($ways[$sum])) {
                        $ways[$sum] = $other;
                    }
                }
            }
            $this->refuseTooMany(count($ways));
        }
        foreach ($ways as $sum => $way) {
            $this->counted[$sum] = $way;
            $this->costs[$sum] = 0;
            $this->counts[$sum] = array_sum($way);
            $this->largest[$sum] = null;
            foreach ($way as $index => $count) {
                $this->costs[$sum] += $count * $this->items[$index]->cost;
            }
        }
    }

    /** @param  int  $most  containers in all */
    private function addAny(int $most): void
    {
        $free = array_filter($this->items, fn (CoverItem $item): bool => $item->most === null);
        uasort($free, fn (CoverItem $one, CoverItem $other): int => $one->volume <=> $other->volume);
        $largest = max([0, ...array_column($free, 'volume')]);
        $cheapest = min([INF, ...array_map(fn (CoverItem $item): float => $item->cost / $item->volume, $free)]);
        $this->leastCost = $this->costOfOneSize($free);
        /** @var \SplMinHeap<int> $open */
        $open = new \SplMinHeap;
        foreach (array_keys($this->costs) as $sum) {
            $open->insert($sum);
        }
        while (! $open->isEmpty() && ($sum = $open->extract()) < $this->target) {
            [$from, $of] = [$this->costs[$sum], $this->counts[$sum] + 1];
            $lacks = max(0, $this->covered - $sum);
            // A little is allowed for what floating point loses: only what is surely dearer is given up.
            if ($largest === 0 || $from + $lacks * $cheapest > $this->leastCost * (1 + 1e-9) + 1e-9) {
                continue;
            }
            if ($of - 1 + intdiv($lacks + $largest - 1, $largest) > $most) {
                $this->gaveUp = true;

                continue;
            }
            foreach ($free as $index => $item) {
                $reached = $sum + $item->volume;
                $cost = $from + $item->cost;
                $known = $this->costs[$reached] ?? null;
                if ($known === null) {
                    $open->insert($reached);
                } elseif ($cost > $known || ($cost === $known && ! $this->isNoWorse($of, $index, $reached))) {
                    continue;
                }
                [$this->costs[$reached], $this->counts[$reached], $this->largest[$reached]] = [$cost, $of, $index];
                if ($reached >= $this->covered) {
                    $this->leastCost = min($this->leastCost, $this->withShort($cost, $reached));
                }
            }
            $this->refuseTooMany(count($this->costs));
        }
    }

    /**
     * What it costs to cover it with one size alone: no way that is dearer is the best.
     *
     * @param  array<int, CoverItem>  $free
     */
    private function costOfOneSize(array $free): float
    {
        $costs = array_map(
            fn (CoverItem $item): float => (float) (intdiv($this->covered + $item->volume - 1, $item->volume) * $item->cost),
            $free,
        );

        return min([INF, ...$costs]);
    }

    /** How many containers it takes at least, beginning with any that are counted. */
    private function fewest(): int
    {
        $largest = max(
            [
                1,
                ...array_column(
                    array_filter($this->items, fn (CoverItem $item): bool => $item->most === null),
                    'volume',
                ),
            ],
        );
        $fewest = [];
        foreach ($this->counts as $sum => $count) {
            $fewest[] = $count + intdiv(max(0, $this->covered - $sum) + $largest - 1, $largest);
        }

        return min([PHP_INT_MAX, ...$fewest]);
    }

    /** Of ways that cost the same: the fewer, then the one with the larger container. */
    private function isNoWorse(int $count, int $index, int $sum): bool
    {
        $largest = $this->largest[$sum];

        return $count < $this->counts[$sum] || ($count === $this->counts[$sum]
            && ($largest === null || $this->items[$index]->volume >= $this->items[$largest]->volume));
    }

    /** What a sum costs, with what it is short of the target. */
    private function withShort(int $cost, int $sum): int
    {
        return $cost + $this->costOfShort * max(0, $this->target - $sum);
    }

    /** @return array{list<int>|null, int} the best sum with its rank; without one where nothing covers it */
    private function best(): array
    {
        $best = null;
        $most = 0;
        foreach ($this->costs as $sum => $cost) {
            $most = max($most, $sum);
            if ($sum < $this->covered) {
                continue;
            }
            $rank = [$this->withShort($cost, $sum), max(0, $sum - $this->target), $this->counts[$sum], -$sum];
            if ($best === null || $rank < $best[0]) {
                $best = [$rank, $sum];
            }
        }

        return $best ?? [null, $most];
    }

    /** @return list<int> how many of each make a sum */
    private function items(int $sum): array
    {
        $counts = array_fill(0, count($this->items), 0);
        for (; $this->largest[$sum] !== null; $sum -= $this->items[$index]->volume) {
            $index = $this->largest[$sum];
            $counts[$index]++;
        }

        return array_values(array_replace($counts, $this->counted[$sum]));
    }

    /** @throws \OverflowException */
    private function refuseTooMany(int $sums): void
    {
        if ($sums > self::MOST_SUMS) {
            throw new \OverflowException(
                'So many unlike sizes for so much cannot be reckoned: leave the smallest out.',
            );
        }
    }
}
