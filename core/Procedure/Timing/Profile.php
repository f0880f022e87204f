<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** How much of something is taken at each moment, as a function that steps. */
final class Profile
{
    /** @var list<int> minutes at which it changes, rising */
    private array $times = [0];

    /** @var array<int, int> how much is taken from each of them on */
    private array $taken = [0];

    public function __construct(private readonly int $most) {}

    /**
     * The first moment from which one more fits.
     *
     * @param  int|null  $minutes  null for ever
     * @return int|null null where it never does
     */
    public function fits(int $from, ?int $minutes): ?int
    {
        if ($minutes === 0) {
            return $from;
        }
        $start = $from;
        $last = count($this->times) - 1;
        for ($at = $this->lastUpTo($from); $at <= $last; $at++) {
            if ($minutes !== null && $this->times[$at] >= $start + $minutes) {
                break;
            }
            if ($this->taken[$at] >= $this->most) {
                if ($at === $last) {
                    return null;
                }
                $start = max($start, $this->times[$at + 1]);
            }
        }

        return $start;
    }

    /** @param  int|null  $to  null for ever */
    public function take(int $from, ?int $to, int $count = 1): void
    {
        if ($to !== null && $to <= $from) {
            return;
        }
        $first = $this->breakAt($from);
        $last = $to === null ? count($this->times) : $this->breakAt($to);
        for ($at = $first; $at < $last; $at++) {
            $this->taken[$at] += $count;
        }
    }

    private function breakAt(int $minute): int
    {
        $at = $this->lastUpTo($minute);
        if ($this->times[$at] !== $minute) {
            $at++;
            array_splice($this->times, $at, 0, [$minute]);
            array_splice($this->taken, $at, 0, [$this->taken[$at - 1]]);
        }

        return $at;
    }

    /** The last change at a minute or before it. */
    private function lastUpTo(int $minute): int
    {
        $low = 0;
        $high = count($this->times);
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->times[$middle] <= $minute) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
