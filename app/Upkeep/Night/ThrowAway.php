<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Contract\KeepOnce;
use App\Machines\Yard;
use App\Notes\WriteNotes;
use App\People\SignIn;
use App\Upkeep\Backup\Kept;
use App\Upkeep\StateFolder;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\File;

/** What has had its time is thrown away, so that the disk does not fill with it. */
final class ThrowAway implements NightWork
{
    private const HOUR = '04:10';

    private const DAYS_RUNS_ARE_TOLD = 90;

    private const HOURS_OF_A_TEMPORARY_FOLDER = 24;

    public function name(): string
    {
        return 'pruning';
    }

    public function title(): string
    {
        return 'Throwing away';
    }

    public function isDue(?CarbonImmutable $lastDone, CarbonImmutable $now): bool
    {
        return Nightly::isDue(self::HOUR, $lastDone, $now);
    }

    public function do(Yard $yard): string
    {
        WriteNotes::prune();
        KeepOnce::prune();
        SignIn::prune();
        Kept::rotateBefores();
        NightRun::query()->where('began_at', '<', now()->subDays(self::DAYS_RUNS_ARE_TOLD))->delete();
        $count = 0;
        $old = now()->subHours(self::HOURS_OF_A_TEMPORARY_FOLDER)->getTimestamp();
        foreach (glob(StateFolder::path('tmp/*-*')) ?: [] as $left) {
            if (filemtime($left) < $old) {
                File::deleteDirectory($left);
                $count++;
            }
        }

        return 'What has had its time is thrown away'.($count === 0 ? '.' : ", and {$count} folders that a power cut left.");
    }
}
