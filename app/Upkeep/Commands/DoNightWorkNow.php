<?php

declare(strict_types=1);

namespace App\Upkeep\Commands;

use App\Upkeep\Night\DoNightWork;
use App\Upkeep\Night\NightRun;
use App\Upkeep\Night\NightWork;
use App\Upkeep\Night\NightWorks;
use Illuminate\Console\Command;

/** Does a work of the night at once, for whoever does not want to wait for it. */
final class DoNightWorkNow extends Command
{
    protected $signature = 'night:do {work : reckoning, backup, proof or pruning}';

    protected $description = 'Do a work of the night now';

    public function handle(): int
    {
        $work = Asked::argument($this, 'work');
        $names = array_map(fn (NightWork $one): string => $one->name(), NightWorks::all());
        if (! in_array($work, $names, true)) {
            $this->error("There is no work \"{$work}\". There are ".implode(', ', $names).'.');

            return self::FAILURE;
        }
        (new DoNightWork($work))->handle();
        $run = NightRun::last($work);
        $this->line((string) $run?->says);

        return $run?->succeeded === true ? self::SUCCESS : self::FAILURE;
    }
}
