<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Measure\Day;
use Core\Meter\Reading;

/**
 * What a machine had run, in order: the last reading of each day; of a long history only its first reading and the last
 * of each week, which tells as much.
 */
final class MeterHistory
{
    /**
     * Days without any use from which a machine stands, and from which no season explains it: common practice, no
     * source.
     */
    private const STANDS_FROM = 60;

    private const NO_SEASON_FROM = 300;

    /** Days with readings up to which each counts by itself. */
    private const FEW = 60;

    /** @var list<array{int, int, float}>|null once they were asked for */
    private ?array $gains = null;

    /** @var list<array{int, int, float}>|null once they were asked for */
    private ?array $usedGains = null;

    /** @param  list<array{int, float}>  $readings  day counted from 1 January 1970, and what the machine had run by then */
    private function __construct(public readonly array $readings) {}

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
        if (! self::areInOrder($pairs)) {
            sort($pairs);
        }
        $daily = array_column($pairs, null, 0);
        if (count($daily) <= self::FEW) {
            return new self(array_values($daily));
        }
        $weekly = ['first' => reset($daily)];
        foreach ($daily as $pair) {
            $weekly[self::week($pair[0])] = $pair;
        }

        return new self(array_values(array_column($weekly, null, 0)));
    }

    /** @param  list<array{int, float}>  $pairs */
    private static function areInOrder(array $pairs): bool
    {
        $before = null;
        foreach ($pairs as $pair) {
            if ($before !== null && $pair < $before) {
                return false;
            }
            $before = $pair;
        }

        return true;
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
        return $this->readings === [];
    }

    /** The history up to a day. */
    public function until(int $day): self
    {
        return new self(array_values(array_filter($this->readings, fn (array $pair): bool => $pair[0] <= $day)));
    }

    /** @return array{int, float} the newest day and what had been run by then */
    public function last(): array
    {
        return $this->readings[count($this->readings) - 1] ?? throw new \LogicException('There is no reading.');
    }

    /**
     * @return list<array{int, int, float}> from day, to day, gained; what a meter seems to have lost counts as nothing
     *     gained
     */
    public function gains(): array
    {
        if ($this->gains !== null) {
            return $this->gains;
        }
        $gains = [];
        foreach ($this->readings as $index => [$day, $run]) {
            [$before, $had] = $this->readings[$index - 1] ?? [$day, $run];
            if ($day > $before) {
                $gains[] = [$before, $day, max(0.0, $run - $had)];
            }
        }

        return $this->gains = $gains;
    }

    /**
     * The gains that tell how it is used. A long stretch without any is left out where no season explains it: where it
     * lasted nearly a year, or where less than a
     * year is known and it has been used again since. That it stood then says nothing of how it is used now.
     *
     * @return list<array{int, int, float}>
     */
    public function usedGains(): array
    {
        if ($this->usedGains !== null) {
            return $this->usedGains;
        }
        $gains = $this->gains();
        $isYoung = $gains !== [] && $this->last()[0] - $gains[0][0] < 365;
        $used = $idle = [];
        foreach ($gains as $gain) {
            if ($gain[2] <= 0) {
                $idle[] = $gain;

                continue;
            }
            array_push($used, ...[...self::isStanding($idle, $isYoung) ? [] : $idle, $gain]);
            $idle = [];
        }

        return $this->usedGains = [...$used, ...self::isStanding($idle, false) ? [] : $idle];
    }

    /** For how many days up to the last reading it has not been used, where that is long. */
    public function standsFor(): int
    {
        [$last] = $this->last();
        $since = $this->readings[0][0];
        foreach ($this->gains() as [, $to, $gained]) {
            $since = $gained > 0 ? $to : $since;
        }

        return $last - $since >= self::STANDS_FROM ? $last - $since : 0;
    }

    /**
     * The most it was run in a week lately, at that time of the last year, or on the whole; null where that is not
     * known.
     */
    public function usualPerWeek(int $day): ?float
    {
        $rates = [];
        foreach ([[$day - 56, $day], [$day - 365 - 28, $day - 365 + 28], [PHP_INT_MIN, $day]] as [$from, $to]) {
            $within = array_filter($this->gains(), fn (array $gain): bool => $gain[0] >= $from && $gain[1] <= $to);
            $days = array_sum(array_map(fn (array $gain): int => $gain[1] - $gain[0], $within));
            $rates[] = $days >= 7 ? array_sum(array_column($within, 2)) * 7 / $days : 0.0;
        }
        $usual = max($rates);

        return $usual > 0 ? $usual : null;
    }

    /** @param  list<array{int, int, float}>  $idle  gains of nothing, one after the other */
    private static function isStanding(array $idle, bool $isYoung): bool
    {
        return $idle !== []
            && $idle[count($idle) - 1][1] - $idle[0][0] >= ($isYoung ? self::STANDS_FROM : self::NO_SEASON_FROM);
    }

    /**
     * What was run in each week, a gain between two readings spread over the weeks between them as the season has it.
     *
     * @return array<int, array{float, int}> gained, and how many of the week's days it is known for, by week
     */
    public function byWeek(Season $season): array
    {
        $weeks = [];
        foreach ($this->usedGains() as [$from, $to, $gained]) {
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
