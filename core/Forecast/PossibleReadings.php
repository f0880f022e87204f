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
    private function __construct(public array $kept, public array $leftOut)
    {
    }

    /**
     * Of two readings that cannot both be right the one stays that the next agrees with.
     *
     * @param  list<array{int, float}>  $readings  in any order
     * @param  float  $mostPerDay  that can be gained
     */
    public static function of(array $readings, float $mostPerDay): self
    {
        usort($readings, fn (array $one, array $other): int => $one <=> $other);
        $fits = fn (?array $before, ?array $after): bool => $before === null || $after === null
            || ($after[1] >= $before[1] && $mostPerDay * ($after[0] - $before[0] + 1) >= $after[1] - $before[1]);
        $kept = $leftOut = [];
        foreach ($readings as $index => $reading) {
            $before = $kept[count($kept) - 1] ?? null;
            $after = $readings[$index + 1] ?? null;
            if ($before === null || $reading[1] < $before[1] || $fits($before, $reading)) {
                $kept[] = $reading;
            } elseif ($after !== null && ! $fits($before, $after) && $fits($reading, $after) && $fits($kept[count($kept) - 2] ?? null, $reading)) {
                $leftOut[] = array_pop($kept);
                $kept[] = $reading;
            } else {
                $leftOut[] = $reading;
            }
        }

        return new self($kept, $leftOut);
    }
}
