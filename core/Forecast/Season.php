<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Measure\Day;
use Core\Schedule\YearWindow;

/**
 * How a year's use is spread over its weeks, and the clock that runs by it: fast in the busy weeks, nearly standing in
 * the idle ones. Over a whole year the clock runs as many weeks as the calendar.
 */
final readonly class Season
{
    public const WEEKS = 52;

    private const DAYS_IN_YEAR = 365.2425;

    private const DAYS_IN_PART = self::DAYS_IN_YEAR / self::WEEKS;

    /** Even an idle week moves the clock a little, so that every level is reached some day. */
    private const LEAST = 0.004;

    /** A week in which it is known to stand. */
    private const RESTS = 0.0005;

    /** @var list<float> clock weeks run since the beginning of the year, at the beginning of each part and at its end */
    private array $run;

    /** @param  list<float>  $weights  52, the use of each part of the year against the average of 1, January first */
    private function __construct(public array $weights)
    {
        $run = [0.0];
        foreach ($weights as $index => $weight) {
            $run[] = $run[$index] + $weight * self::DAYS_IN_PART / 7;
        }
        $this->run = $run;
    }

    public static function even(): self
    {
        return new self(array_fill(0, self::WEEKS, 1.0));
    }

    /**
     * @param  list<float>  $use  52 amounts of any scale, none below nothing
     *
     * @throws \InvalidArgumentException if there are not 52
     */
    public static function of(array $use): self
    {
        if (count($use) !== self::WEEKS) {
            throw new \InvalidArgumentException('A season has 52 weeks.');
        }
        $average = array_sum($use) / self::WEEKS;
        if ($average <= 0) {
            return self::even();
        }
        $weights = array_map(fn (float $amount): float => max(self::LEAST, $amount / $average), $use);
        $scale = self::WEEKS / array_sum($weights);

        return new self(array_map(fn (float $weight): float => $weight * $scale, $weights));
    }

    public function isEven(): bool
    {
        return count(array_unique($this->weights)) === 1;
    }

    /**
     * The same use, but for parts of the year in which the machine stands.
     *
     * @param  list<YearWindow>  $windows
     */
    public function restingIn(array $windows): self
    {
        if ($windows === []) {
            return $this;
        }
        $rests = fn (int $part): bool => array_filter(
            $windows,
            fn (YearWindow $window): bool => $window->holds(Day::of((int) (self::DAYS_IN_PART * ($part + 0.5)))),
        ) !== [];

        return new self(
            array_map(
                fn (float $weight, int $part): float => $rests($part) ? self::RESTS : $weight,
                $this->weights,
                array_keys($this->weights),
            ),
        );
    }

    /** Which of the 52 parts of the year a day lies in. */
    public static function part(int $day): int
    {
        $into = $day - floor($day / self::DAYS_IN_YEAR) * self::DAYS_IN_YEAR;

        return (int) min(self::WEEKS - 1, $into / self::DAYS_IN_PART);
    }

    public function weightOn(int $day): float
    {
        return $this->weights[self::part($day)];
    }

    /** Where the clock stands at the beginning of a day counted from 1 January 1970, in weeks. */
    public function clock(int $day): float
    {
        $years = floor($day / self::DAYS_IN_YEAR);
        $into = $day - $years * self::DAYS_IN_YEAR;
        $part = (int) min(self::WEEKS - 1, $into / self::DAYS_IN_PART);

        return $years * $this->run[self::WEEKS] + $this->run[$part] + $this->weights[$part] * ($into - $part * self::DAYS_IN_PART) / 7;
    }

    /** The day, with its fraction, on which the clock stands at so many weeks. */
    public function dayAt(float $clock): float
    {
        $years = floor($clock / $this->run[self::WEEKS]);
        $left = $clock - $years * $this->run[self::WEEKS];
        [$low, $high] = [0, self::WEEKS - 1];
        while ($low < $high) {
            $middle = $low + $high + 1 >> 1;
            if ($this->run[$middle] <= $left) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $years * self::DAYS_IN_YEAR + $low * self::DAYS_IN_PART + ($left - $this->run[$low]) * 7 / $this->weights[$low];
    }
}
