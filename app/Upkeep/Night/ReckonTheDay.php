<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Machines\Yard;
use App\Shelf\Ready\ReckonOrders;
use App\Yard\YardLine;
use Carbon\CarbonImmutable;
use Core\Supply\Need\Preference;

/** What falls due moves on with the day: every machine's line is reckoned before anybody looks. */
final class ReckonTheDay implements NightWork
{
    public function name(): string
    {
        return 'reckoning';
    }

    public function title(): string
    {
        return 'The day\'s reckoning';
    }

    public function isDue(?CarbonImmutable $lastDone, CarbonImmutable $now): bool
    {
        return $lastDone === null || $lastDone < $now->startOfDay();
    }

    public function do(Yard $yard): string
    {
        YardLine::bringUpToDate($yard);
        foreach (Preference::cases() as $preference) {
            ReckonOrders::dispatch($preference);
        }

        return 'What falls due is reckoned for '.$yard->today()->format('j F').'.';
    }
}
