<?php

declare(strict_types=1);

namespace Core\LogLine;

use Core\Machine\TaskKind;

/** What a log line says was done at a place: `fuel filter`, `grease all`, `clean air cleaner`. */
final readonly class LoggedWork
{
    /** @param  string  $where  the words for the place */
    public function __construct(public TaskKind $kind, public string $where)
    {
    }
}
