<?php

declare(strict_types=1);

namespace App\Upkeep;

/** The folder in which a running yard keeps what it writes: database, settings, photographs, backups. */
final class StateFolder
{
    public static function path(string $within = ''): string
    {
        $folder = dirname(storage_path());

        return $within === '' ? $folder : "{$folder}/{$within}";
    }

    /** A new folder that is thrown away again; nobody else on the computer reads it. */
    public static function temporary(string $name): string
    {
        $folder = self::path('tmp/'.$name.'-'.bin2hex(random_bytes(6)));
        mkdir($folder, 0700, recursive: true);

        return $folder;
    }
}
