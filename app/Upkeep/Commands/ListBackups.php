<?php

declare(strict_types=1);

namespace App\Upkeep\Commands;

use App\Machines\Yard;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Backup\SecondFolder;
use Illuminate\Console\Command;

/** Lists the backups that there are, here and in the second folder. */
final class ListBackups extends Command
{
    protected $signature = 'backup:list';

    protected $description = 'List the backups that there are';

    public function handle(): int
    {
        $yard = Yard::query()->first();
        if ($yard === null) {
            $this->line('There is no yard here yet.');

            return self::SUCCESS;
        }
        foreach (Kept::all() as $one) {
            $this->line($one->madeAt->setTimezone($yard->time_zone)->format('j F Y H:i').($one->provedAt === null ? '' : ', proved')."  {$one->file}");
        }
        foreach (SecondFolder::all($yard) as $file => $madeAt) {
            $this->line($madeAt->setTimezone($yard->time_zone)->format('j F Y H:i')."  {$file}");
        }

        return self::SUCCESS;
    }
}
