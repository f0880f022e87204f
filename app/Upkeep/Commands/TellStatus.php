<?php

declare(strict_types=1);

namespace App\Upkeep\Commands;

use App\Contract\Disk;
use App\Machines\Yard;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Computer\ComputerState;
use App\Upkeep\Computer\RunningPrograms;
use App\Upkeep\Computer\Warnings;
use App\Upkeep\Night\NightRun;
use App\Upkeep\Night\NightWorks;
use Illuminate\Console\Command;

/** What runs, and how the last night went, for whoever sits at the computer. */
final class TellStatus extends Command
{
    protected $signature = 'computer:status {--warnings : only what is amiss}';

    protected $description = 'Tell what runs, last night\'s work, the disk and the last backup';

    public function handle(): int
    {
        $yard = Yard::query()->first();
        if (! $this->option('warnings')) {
            $this->tell($yard);
        }
        if ($yard !== null) {
            ComputerState::note($yard);
        }
        foreach ($yard === null ? [] : Warnings::of($yard) as $warning) {
            $this->warn("  {$warning}");
        }

        return self::SUCCESS;
    }

    private function tell(?Yard $yard): void
    {
        foreach (RunningPrograms::all() as $program) {
            $restarts = match ($program['restarts']) {
                0 => '', 1 => ', started again once', default => ", started again {$program['restarts']} times",
            };
            $this->line(sprintf('  %-26s %s%s', $program['title'], $program['runs'] ? "runs for {$program['since']}" : 'does not run', $restarts));
        }
        $zone = $yard->time_zone ?? 'UTC';
        foreach (NightWorks::all() as $work) {
            $last = NightRun::last($work->name());
            if ($last !== null) {
                $this->line(sprintf('  %-26s %s: %s', $work->title(), $last->began_at->setTimezone($zone)->format('j M H:i'), $last->succeeded === null ? 'under way' : $last->says));
            }
        }
        $newest = Kept::newest();
        $this->line(sprintf('  %-26s %s', 'Last backup', $newest === null ? 'none yet' : $newest->madeAt->setTimezone($zone)->format('j M Y H:i')
            .($newest->provedAt === null ? ', not proved yet' : ', proved '.$newest->provedAt->setTimezone($zone)->format('j M H:i'))));
        $this->line(sprintf('  %-26s %d %% free', 'Disk', Disk::room()['percent']));
    }
}
