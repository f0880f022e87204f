<?php

declare(strict_types=1);

namespace App\Upkeep\Commands;

use App\Upkeep\Backup\PassphraseSeal;
use App\Upkeep\Backup\PutBack;
use App\Upkeep\Backup\Unusable;
use Illuminate\Console\Command;

/** Makes a yard of a backup beside the one that is served; `./jardinier restore` then puts it in its place. */
final class UnpackBackup extends Command
{
    protected $signature = 'backup:unpack {file} {--unsealed : take one that is not sealed where backups are} {--over= : the name of the yard here, where another\'s takes its place} {--to= : a moment up to which what was written afterwards is written again}';

    protected $description = 'Make a yard of a backup, beside the one that is served';

    protected $hidden = true;

    public function handle(): int
    {
        try {
            $file = (string) Asked::argument($this, 'file');
            $manifest = PutBack::from($file, Asked::option($this, 'to'), $this->option('unsealed') === true, Asked::option($this, 'over'));
            $this->line("{$manifest->yard}, as of {$manifest->madeAt->setTimezone(new \DateTimeZone($manifest->timeZone))->format('j F Y H:i')}: ".array_sum(array_column($manifest->tables, 'rows')).' rows, all as they were.');
            if (! PassphraseSeal::isOn($file)) {
                $this->line('It was not sealed: whoever had it in their hands could have changed it, checksums and all.');
            }
        } catch (Unusable $wrong) {
            $this->error($wrong->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
