<?php

declare(strict_types=1);

namespace App\People\Session;

use App\People\Person;
use Illuminate\Console\Command;

/** Prints a code with which the first keeper of an empty yard is made from another device. */
final class PrintKeeperCode extends Command
{
    protected $signature = 'keeper:code {--if-empty : say nothing where the yard has people}';

    protected $description = 'Print a code for the first keeper of an empty yard';

    public function handle(): int
    {
        if (Person::query()->exists()) {
            if (! $this->option('if-empty')) {
                $this->error('This yard has its keeper already. ./jardinier keeper --reset lets one back in.');
            }

            return $this->option('if-empty') ? self::SUCCESS : self::FAILURE;
        }
        $this->line('  Code for the first keeper: '.FirstKeeperCode::make().', for an hour. ./jardinier code prints another.');

        return self::SUCCESS;
    }
}
