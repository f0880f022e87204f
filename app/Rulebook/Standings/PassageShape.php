<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use Core\Forecast\Passage;
use Core\Measure\Day;

/** When something will come, as the contract's `Passage`. */
final class PassageShape
{
    /** @return array{p10: string, p50: string, p90: string}|null */
    public static function of(?Passage $when): ?array
    {
        $day = fn (int $number): string => Day::of($number)->format('Y-m-d');

        return $when === null
            ? null
            : ['p10' => $day($when->p10), 'p50' => $day($when->p50), 'p90' => $day($when->p90)];
    }
}
