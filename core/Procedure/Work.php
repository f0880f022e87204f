<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\TaskKind;

/** One thing that is to be done at one spot. */
final readonly class Work
{
    /**
     * @param  string|null  $check  by which it is looked at or measured, in words
     * @param  list<string>  $undoes  what is undone for it, and done up again
     */
    public function __construct(
        public TaskKind $kind,
        public Compartment|Opening|Part|Place $at,
        public ?string $check = null,
        public array $undoes = [],
    ) {
    }
}
