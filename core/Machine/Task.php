<?php

declare(strict_types=1);

namespace Core\Machine;

/** One thing done at one or more spots of a machine. */
final readonly class Task
{
    /**
     * @param  list<string>  $spots  their keys
     * @param  string|null  $check  the key of the check by which it is done, where only that one will do
     */
    public function __construct(
        public string $id,
        public string $name,
        public TaskKind $kind,
        public array $spots = [],
        public ?string $check = null,
    ) {}
}
