<?php

declare(strict_types=1);

namespace Core\Machine;

/** One thing done to one place of a machine. */
final readonly class Task
{
    public function __construct(
        public string $id,
        public string $name,
        public TaskKind $kind,
    ) {
    }
}
