<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\TaskKind;
use Core\Schedule\Anchor;
use Core\Schedule\Rule;

/** A task with its rule, to begin with until the keeper has the maker's book open. */
final readonly class StarterRule
{
    /**
     * @param  list<string>  $spots  by key; none for every grease point that has no task of its own
     * @param  string|null  $check  the check by which it is done, where only that one will do
     * @param  int|null  $goesWith  the row of its rulebook in whose course it is done as well
     */
    public function __construct(
        public string $task,
        public TaskKind $kind,
        public array $spots,
        public Rule $rule,
        public ?string $note = null,
        public ?string $check = null,
        public ?int $goesWith = null,
    ) {}

    public function countedBy(Anchor $anchor): self
    {
        return new self(
            $this->task,
            $this->kind,
            $this->spots,
            $this->rule->countedBy($anchor),
            $this->note,
            $this->check,
            $this->goesWith,
        );
    }
}
