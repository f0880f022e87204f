<?php

declare(strict_types=1);

namespace App\Upkeep\Commands;

use Illuminate\Console\Command;

/** What a command was asked with, as words. */
final class Asked
{
    public static function argument(Command $command, string $name): ?string
    {
        $given = $command->argument($name);

        return is_string($given) ? $given : null;
    }

    public static function option(Command $command, string $name): ?string
    {
        $given = $command->option($name);

        return is_string($given) ? $given : null;
    }
}
