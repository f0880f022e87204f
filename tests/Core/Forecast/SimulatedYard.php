<?php

declare(strict_types=1);

namespace Tests\Core\Forecast;

use Core\Measure\Day;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Machines whose use is made up from stated assumptions, so that a forecast can be held against what then happens:
 *
 * - a year has a shape (a mower stands from November to March, a cart runs all year), which comes up to three weeks
 * early or late each year, each day alike;
 * - one year's use differs from another's by a quarter (one standard deviation of a normal chance, never under a third
 * of the usual);
 * - weeks wander by six tenths of a usual week, and no more goes into a week than 60 h;
 * - meters are read weekly, one week in eight is left out, and once a year nobody reads for three to eight weeks.
 *
 * Common practice, no source; no real machine's use is told here.
 */
final class SimulatedYard
{
    private const SHAPES = [
        'mower' => [0, 0, 0, 0.6, 1.6, 1.5, 1.3, 1.2, 1.0, 0.5, 0, 0],
        'aerator' => [0, 0, 0.4, 1.5, 0.5, 0, 0, 0.4, 1.8, 1.2, 0, 0],
        'tractor' => [0.6, 0.7, 0.9, 1.1, 1.2, 1.1, 1.3, 1.4, 1.2, 1.0, 0.8, 0.7],
        'cart' => [0.8, 0.8, 0.9, 1.0, 1.1, 1.2, 1.2, 1.2, 1.0, 1.0, 0.9, 0.9],
    ];

    public const STANDING_IN_WINTER = ['mower', 'aerator'];

    private const YEARS_DIFFER = 0.25;

    private const SHIFT = 21;

    private const WEEKS_WANDER = 0.6;

    private Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return list<string> */
    public static function kinds(): array
    {
        return array_keys(self::SHAPES);
    }

    /**
     * @param  int  $first  the day on which it comes
     * @param  int  $days  for how long it is followed
     * @return array{list<float>, list<array{int, float}>} what it had run by the end of each day, and the readings
     */
    public function machine(string $kind, int $first, int $days): array
    {
        $perWeek = 3 * exp($this->between(0, 1.4));
        $run = 50.0;
        $truth = $readings = [];
        $weekly = $year = $unreadUntil = null;
        for ($day = $first; $day < $first + $days; $day++) {
            if ($year !== (int) gmdate('Y', $day * 86_400)) {
                $year = (int) gmdate('Y', $day * 86_400);
                $factor = max(1 / 3, 1 + self::YEARS_DIFFER * $this->normal());
                $late = $this->chance->getInt(-self::SHIFT, self::SHIFT);
                $gapFrom = $day + $this->chance->getInt(0, 364);
                $gapTo = $gapFrom + $this->chance->getInt(21, 56);
            }
            if ($weekly === null || $day % 7 === 0) {
                $weekly = max(0.0, 1 + self::WEEKS_WANDER * $this->normal());
            }
            $run += min(60, $perWeek * $factor * $weekly * self::shape($kind, $day - $late)) / 7;
            $truth[] = $run;
            $isRead = $day === $first
                || ($day % 7 === 4 && $this->chance->getInt(1, 8) > 1 && ($day < $gapFrom || $day > $gapTo));
            if ($isRead) {
                $readings[] = [$day, round($run, 1)];
            }
        }

        return [$truth, $readings];
    }

    /** Between the middles of months the use goes over evenly. */
    private static function shape(string $kind, int $day): float
    {
        $into = fmod($day - Day::numberOf(2000, 1, 1) + 365.2425 * 100, 365.2425) / 365.2425 * 12 - 0.5;
        $month = (int) floor($into);
        [$one, $other] = [self::SHAPES[$kind][($month + 12) % 12], self::SHAPES[$kind][($month + 13) % 12]];

        return $one + ($other - $one) * ($into - $month);
    }

    public function dayBetween(int $first, int $last): int
    {
        return $this->chance->getInt($first, $last);
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->chance->getInt(0, 1_000_000) / 1_000_000;
    }

    private function normal(): float
    {
        return sqrt(-2 * log($this->between(1e-9, 1))) * cos(2 * M_PI * $this->between(0, 1));
    }
}
