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

    /** @param  list<CoverItem>  $items */
    private function __construct(private readonly int $target, private readonly array $items)
    {
    }

    /**
     * @param  int  $target  0 or more, whole units
     * @param  int  $spared  how far below the target still covers it
     * @param  list<CoverItem>  $items
     * @param  int  $costOfShort  of each unit below the target
     * @return list<int> how many of each item; where they cannot cover it, as much of it as they can
     *
     * @throws \OverflowException where there are too many ways
     */
    public static function of(int $target, int $spared, array $items, int $costOfShort): array
    {
        $cover = new self($target, $items);
        $cover->takeCounted();
        $cover->addAny();

        return $cover->items($cover->best($spared, $costOfShort));
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

    private function addAny(): void
    {
        $free = array_filter($this->items, fn (CoverItem $item): bool => $item->most === null);
        uasort($free, fn (CoverItem $one, CoverItem $other): int => $one->volume <=> $other->volume);
        /** @var \SplMinHeap<int> $open */
        $open = new \SplMinHeap;
        foreach (array_keys($this->costs) as $sum) {
            $open->insert($sum);
        }
        while (! $open->isEmpty() && ($sum = $open->extract()) < $this->target) {
            [$from, $of] = [$this->costs[$sum], $this->counts[$sum] + 1];
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
            }
            $this->refuseTooMany(count($this->costs));
        }
    }

    /** Of ways that cost the same: the fewer, then the one with the larger container. */
    private function isNoWorse(int $count, int $index, int $sum): bool
    {
        $largest = $this->largest[$sum];

        return $count < $this->counts[$sum] || ($count === $this->counts[$sum]
            && ($largest === null || $this->items[$index]->volume >= $this->items[$largest]->volume));
    }

    private function best(int $spared, int $costOfShort): int
    {
        $best = null;
        $most = 0;
        foreach ($this->costs as $sum => $cost) {
            $most = max($most, $sum);
            if ($sum < $this->target - $spared) {
                continue;
            }
            $rank = [
                $cost + $costOfShort * max(0, $this->target - $sum),
                max(0, $sum - $this->target),
                $this->counts[$sum],
                -$sum,
            ];
            if ($best === null || $rank < $best[0]) {
                $best = [$rank, $sum];
            }
        }

        return $best[1] ?? $most;
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
            throw new \OverflowException('So many unlike sizes for so much cannot be reckoned: leave the smallest out.');
        }
    }
}
