<?php

declare(strict_types=1);

namespace Tests\Core\Procedure\Timing;

use Core\Procedure\Hold;
use Core\Procedure\Timing\TimedStep;

/**
 * The shortest timetable by trying everything, minute by minute, in the plainest way: what the search is checked
 * against.
 */
final class EveryTimetable
{
    private int $best = PHP_INT_MAX;

    /** @var array<string, true> */
    private array $seen = [];

    /**
     * @param  list<TimedStep>  $steps
     * @param  list<Hold>  $holds
     * @param  array<string, int>  $resources
     */
    public function __construct(
        private readonly array $steps,
        private readonly array $holds,
        private readonly array $resources,
        private readonly int $people,
    ) {}

    public function shortest(): int
    {
        $this->minute(0, []);

        return $this->best;
    }

    /** @param  array<string, int>  $starts */
    private function minute(int $now, array $starts): void
    {
        if ($now >= $this->best) {
            return;
        }
        ksort($starts);
        // Two ways to the same moment, with the same begun and as much of each left, end alike.
        $left = array_map(fn (TimedStep $step): string => isset($starts[$step->key])
            ? (string) max(0, $starts[$step->key] + $step->minutes - $now)
            : '-', $this->steps);
        $state = "{$now} ".implode(',', $left);
        if (isset($this->seen[$state])) {
            return;
        }
        $this->seen[$state] = true;
        if (count($starts) === count($this->steps)) {
            $this->best = min($this->best, max(array_map(
                fn (TimedStep $step): int => $starts[$step->key] + $step->minutes,
                $this->steps,
            )));

            return;
        }
        foreach ($this->steps as $step) {
            $with = $starts + [$step->key => $now];
            if (! isset($starts[$step->key]) && $this->mayBegin($step, $now, $starts) && self::fits($this, $with, $now)) {
                $this->minute($now, $with);
            }
        }
        if (array_filter($left, fn (string $minutes): bool => (int) $minutes > 0) !== []) {
            $this->minute($now + 1, $starts);
        }
    }

    /** @param  array<string, int>  $starts */
    private function mayBegin(TimedStep $step, int $now, array $starts): bool
    {
        foreach ($this->steps as $other) {
            if (in_array($other->key, $step->after, true)
                && (! isset($starts[$other->key]) || $now < $starts[$other->key] + $other->minutes)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether nobody is at two things, and nothing is taken twice, in one minute.
     *
     * @param  array<string, int>  $starts
     */
    public static function fits(self $work, array $starts, int $minute): bool
    {
        $people = 0;
        $taken = array_fill_keys(array_keys($work->resources), 0);
        $ends = [];
        foreach ($work->steps as $step) {
            if (! isset($starts[$step->key])) {
                continue;
            }
            $ends[$step->key] = $starts[$step->key] + $step->minutes;
            if ($starts[$step->key] <= $minute && $minute < $ends[$step->key]) {
                $people += $step->attended ? 1 : 0;
                foreach ($step->uses as $resource) {
                    $taken[$resource]++;
                }
            }
        }
        foreach ($work->holds as $hold) {
            if (isset($starts[$hold->from]) && $starts[$hold->from] <= $minute && $minute < ($ends[$hold->to] ?? PHP_INT_MAX)) {
                $taken[$hold->resource]++;
            }
        }
        foreach ($taken as $resource => $count) {
            if ($count > $work->resources[$resource]) {
                return false;
            }
        }

        return $people <= $work->people;
    }
}
