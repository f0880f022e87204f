<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Machines\Yard;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Backup\Proof;
use App\Upkeep\Backup\Unusable;
use Carbon\CarbonImmutable;

/** Once a week the newest backup is put back into a server that is thrown away, and counted. */
final class ProveTheBackup implements NightWork
{
    private const HOUR = '03:10';

    public function name(): string
    {
        return 'proof';
    }

    public function title(): string
    {
        return 'Proof of the backup';
    }

    public function isDue(?CarbonImmutable $lastDone, CarbonImmutable $now): bool
    {
        return Kept::newest() !== null
            && ($lastDone === null || ($lastDone < $now->subDays(6) && Nightly::isDue(self::HOUR, $lastDone, $now)));
    }

    public function do(Yard $yard): string
    {
        $newest = Kept::newest() ?? throw new Unusable('There is no backup yet.');
        $manifest = Proof::of($newest->file);
        Kept::note($newest->file, $newest->madeAt, CarbonImmutable::now());

        return 'Put back and counted: '.count($manifest->tables).' tables, '.number_format(array_sum(array_column($manifest->tables, 'rows'))).' rows, all as they were.';
    }
}
