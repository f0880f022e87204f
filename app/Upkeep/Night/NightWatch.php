<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Contract\Disk;
use App\Machines\Yard;
use Carbon\CarbonImmutable;

/** Which works of the night are due. */
final readonly class NightWatch
{
    /** What failed is tried again after so long; what was cut off too. */
    private const MINUTES_UNTIL_TRIED_AGAIN = 60;

    /** Hands over what is due. Asked every minute. */
    public function __invoke(): void
    {
        $yard = Yard::query()->first();
        if ($yard === null || Disk::isFull()) {
            return;
        }
        foreach (NightWorks::all() as $work) {
            if (self::isDue($work, $yard)) {
                DoNightWork::dispatch($work->name());
            }
        }
    }

    private static function isDue(NightWork $work, Yard $yard): bool
    {
        $last = NightRun::last($work->name());
        $isRunningOrFailed = $last !== null && $last->succeeded !== true
            && $last->began_at > CarbonImmutable::now()->subMinutes(self::MINUTES_UNTIL_TRIED_AGAIN);

        return ! $isRunningOrFailed
            && $work->isDue(NightRun::lastDone($work->name())?->began_at->setTimezone($yard->time_zone), $yard->now());
    }
}
