<?php

declare(strict_types=1);

namespace App\Upkeep\Computer;

use App\Machines\Yard;
use App\Upkeep\Backup\SecondFolder;
use App\Upkeep\StateFolder;

/**
 * What only whoever started the yard sees of its computer: the programs that run, and the second folder. Where the web
 * workers are another account they read what the clock noted within the minute.
 */
final readonly class ComputerState
{
    private const FILE = 'run/seen.json';

    /**
     * @param  list<array<string, mixed>>  $programs
     * @param  'none'|'there'|'missing'  $secondFolder
     */
    private function __construct(public array $programs, public string $secondFolder, public int $secondKept) {}

    public static function now(Yard $yard): self
    {
        return posix_geteuid() === @fileowner(StateFolder::path()) ? self::look($yard) : self::noted();
    }

    /** Writes down what there is to see, for those who cannot. */
    public static function note(Yard $yard): void
    {
        $file = StateFolder::path(self::FILE);
        file_put_contents("{$file}.new", json_encode(self::look($yard), JSON_THROW_ON_ERROR));
        chmod("{$file}.new", 0640);
        @chgrp("{$file}.new", (int) filegroup(StateFolder::path('storage')));
        rename("{$file}.new", $file);
    }

    private static function look(Yard $yard): self
    {
        return new self(
            RunningPrograms::all(),
            SecondFolder::path() === null ? 'none' : (SecondFolder::isThere() ? 'there' : 'missing'),
            count(SecondFolder::all($yard)),
        );
    }

    private static function noted(): self
    {
        $noted = json_decode((string) @file_get_contents(StateFolder::path(self::FILE)), true);

        return is_array($noted) ? new self($noted['programs'], $noted['secondFolder'], $noted['secondKept']) : new self([], 'none', 0);
    }
}
