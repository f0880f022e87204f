<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use Carbon\CarbonImmutable;

/** A work of a certain hour: where the computer slept through it, it is done as soon as it is awake. */
final class Nightly
{
    /** @param  string  $hour  of the yard's clock */
    public static function isDue(string $hour, ?CarbonImmutable $lastDone, CarbonImmutable $now): bool
    {
        $today = $now->setTimeFromTimeString($hour);

        return $lastDone === null || $lastDone < ($now < $today ? $today->subDay() : $today);
    }
}
