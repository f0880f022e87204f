<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Meter\Reading;
use Core\Schedule\Day;

/** What a machine had run, week by week: the last reading of each week that has one, in order. */
final readonly class MeterHistory
{
    /** @param  list<array{int, float}>  $weekly  day counted from 1 January 1970, and what the machine had run by then */
    private function __construct(public array $weekly)
    {
    }

    /** @param  iterable<Reading>  $readings  in any order, of what the machine has run in all */
    public static function of(iterable $readings): self
    {
        $pairs = [];
        foreach ($readings as $reading) {
            $pairs[] = [Day::number($reading->at), $reading->value->toFloat()];
        }

        return self::ofPairs($pairs);
    }

    /** @param  list<array{int, float}>  $pairs  in any order */
    public static function ofPairs(array $pairs): self
    {
        usort($pairs, fn (array $one, array $other): int => $one <=> $other);
        $weekly = [];
        foreach ($pairs as $pair) {
            $weekly[self::week($pair[0])] = $pair;
        }

        return new self(array_values($weekly));
    }

    /** Weeks counted from the one of 1 January 1970, Mondays first. */
    public static function week(int $day): int
    {
        return intdiv($day + 3, 7);
    }

    /** The Monday that a week begins with. */
    public static function monday(int $week): int
    {
        return 7 * $week - 3;
    }

    public function isEmpty(): bool
    {
        return $this->weekly === [];
    }

    /** The history up to a day. */
    public function until(int $day): self
    {
        return new self(array_values(array_filter($this->weekly, fn (array $pair): bool => $pair[0] <= $day)));
    }

    /** @return array{int, float} the newest day and what had been run by then */
    public function last(): array
    {
        return $this->weekly[count($this->weekly) - 1] ?? throw new \LogicException('There is no reading.');
    }

    /** @return list<array{int, int, float}> from day, to day, gained; what a meter seems to have lost counts as nothing gained */
    public function gains(): array
    {
        $gains = [];
        foreach ($this->weekly as $index => [$day, $run]) {
            [$before, $had] = $this->weekly[$index - 1] ?? [$day, $run];
            if ($day > $before) {
                $gains[] = [$before, $day, max(0.0, $run - $had)];
            }
        }

        return $gains;
    }

    /**
     * What was run in each week, a gain between two readings spread over the weeks between them as the season has it.
     *
     * @return array<int, array{float, int}> gained, and how many of the week's days it is known for, by week
     */
    public function byWeek(Season $season): array
    {
        $weeks = [];
        foreach ($this->gains() as [$from, $to, $gained]) {
            [$position, $end] = [$season->clock($from), $season->clock($to)];
            $each = $gained / ($end - $position);
            for ($day = $from; $day < $to; $day = $next) {
                $week = self::week($day + 1);
                $next = min($to, self::monday($week + 1) - 1);
                $reached = $next === $to ? $end : $season->clock($next);
                [$sofar, $days] = $weeks[$week] ?? [0.0, 0];
                $weeks[$week] = [$sofar + $each * ($reached - $position), $days + $next - $day];
                $position = $reached;
            }
        }

        return $weeks;
    }
}
