<?php

declare(strict_types=1);

namespace App\Yard\Commands;

use App\Machines\Yard;
use App\Yard\YardLine;
use Illuminate\Console\Command;

/** Makes everything that is computed from facts anew. It must change nothing. */
final class RebuildYard extends Command
{
    protected $signature = 'yard:rebuild';

    protected $description = 'Reckon every machine\'s line on the yard\'s sheet anew from the facts';

    public function handle(): int
    {
        $yard = Yard::query()->first();
        $count = $yard === null ? 0 : YardLine::rebuild($yard);
        $this->info("Reckoned {$count} machines.");

        return self::SUCCESS;
    }
}
