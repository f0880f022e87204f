<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Machines\Yard;
use Carbon\CarbonImmutable;

/** Something that the computer does by itself, so that nobody waits for it or has to think of it. */
interface NightWork
{
    /** Under which its runs are written down. */
    public function name(): string;

    /** What it is, to the keeper: `Backup`. */
    public function title(): string;

    /**
     * @param  CarbonImmutable|null  $lastDone  when it last began and succeeded
     * @param  CarbonImmutable  $now  in the yard's time
     */
    public function isDue(?CarbonImmutable $lastDone, CarbonImmutable $now): bool;

    /** Does it, and says what was done. */
    public function do(Yard $yard): string;
}
