<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\TaskKind;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\YearWindow;

/** A task with its rule, to begin with until the keeper has the maker's book open. */
final readonly class StarterRule
{
    /**
     * @param  list<string>  $spots  by key; none for every grease point that has no task of its own
     * @param  string|null  $check  the check by which it is done, where only that one will do
     * @param  Interval|null  $first  a first (break-in) point
     * @param  list<YearWindow>  $windows  parts of the year in each of which it comes once
     * @param  string|null  $condition  what a check must say for it to fall due
     * @param  int|null  $goesWith  the row of its rulebook in whose course it is done as well
     */
    public function __construct(
        public string $task,
        public TaskKind $kind,
        public array $spots,
        public Interval $every,
        public ?Interval $first = null,
        public ?string $note = null,
        public array $windows = [],
        public ?string $condition = null,
        public ?string $check = null,
        public Anchor $anchor = Anchor::FromDone,
        public ?int $goesWith = null,
    ) {
    }

    /** Null where it only ever goes with another task. */
    public function toRule(): ?Rule
    {
        return $this->goesWith !== null && $this->every->isEmpty() ? null
            : new Rule(
                $this->every,
                $this->first === null ? [] : [$this->first],
                $this->anchor,
                windows: $this->windows,
                condition: $this->condition,
            );
    }

    public function countedBy(Anchor $anchor): self
    {
        return new self(
            $this->task,
            $this->kind,
            $this->spots,
            $this->every,
            $this->first,
            $this->note,
            $this->windows,
            $this->condition,
            $this->check,
            $anchor,
            $this->goesWith,
        );
    }
}
