<?php

declare(strict_types=1);

namespace App\Upkeep\Commands;

use App\Upkeep\Backup\BackUp;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Backup\Proof;
use App\Upkeep\Backup\Unusable;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/** Backs the yard up, now. */
final class MakeBackup extends Command
{
    protected $signature = 'backup:make {file? : where to; left out, among the yard\'s own} {--verify : put it back into a server that is thrown away}';

    protected $description = 'Put the yard into one file while it goes on';

    public function handle(BackUp $backUp): int
    {
        try {
            $given = Asked::argument($this, 'file');
            $file = $backUp->make($given);
            $this->line("Backed up to {$file}, ".number_format(filesize($file) / 1e6, 1).' MB.');
            if ($this->option('verify')) {
                $manifest = Proof::of($file);
                if ($given === null) {
                    Kept::note($file, CarbonImmutable::instance($manifest->madeAt), CarbonImmutable::now());
                }
                $rows = array_sum(array_column($manifest->tables, 'rows'));
                $this->line('Put back into a server of its own: '.count($manifest->tables)." tables, {$rows} rows, ".count($manifest->files).' files, all as they were.');
            }
        } catch (Unusable $wrong) {
            $this->error($wrong->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
