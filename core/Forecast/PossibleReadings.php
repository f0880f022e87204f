<?php

declare(strict_types=1);

namespace Core\Forecast;

/** Readings of which none is more than the clock allows after the one before it. */
final readonly class PossibleReadings
{
    /**
     * @param  list<array{int, float}>  $kept  day and what had been run by then, in order
     * @param  list<array{int, float}>  $leftOut  those that cannot be
     */
    private function __construct(public array $kept, public array $leftOut) {}

    /**
     * Of two readings that cannot both be right the one stays that the next agrees with.
     *
     * @param  list<array{int, float}>  $readings  in any order
     * @param  float  $mostPerDay  that can be gained
     */
    public static function of(array $readings, float $mostPerDay): self
    {
        usort($readings, fn (array $one, array $other): int => $one <=> $other);
        $kept = $leftOut = [];
        foreach ($readings as $index => $reading) {
            $before = $kept[count($kept) - 1] ?? null;
            $after = $readings[$index + 1] ?? null;
            if ($before === null || $reading[1] < $before[1] || self::fit($before, $reading, $mostPerDay)) {
                $kept[] = $reading;
            } elseif (
                $after !== null
                && ! self::fit($before, $after, $mostPerDay)
                && self::fit($reading, $after, $mostPerDay)
                && self::fit($kept[count($kept) - 2] ?? null, $reading, $mostPerDay)
            ) {
                $leftOut[] = $before;
                $kept = [...array_slice($kept, 0, -1), $reading];
            } else {
                $leftOut[] = $reading;
            }
        }

        return new self($kept, $leftOut);
    }

    /**
     * @param  array{int, float}|null  $before
     * @param  array{int, float}  $after
     */
    private static function fit(?array $before, array $after, float $mostPerDay): bool
    {
        return $before === null
            || ($after[1] >= $before[1] && $mostPerDay * ($after[0] - $before[0] + 1) >= $after[1] - $before[1]);
    }
}
