<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Machine\TaskKind;

/** A rule to begin with until the keeper has the maker's book open. */
final readonly class StarterRule
{
    /**
     * @param  Interval|null  $first  a first (break-in) point
     * @param  list<YearWindow>  $windows  parts of the year in each of which it comes once
     * @param  string|null  $condition  what a check must say for it to fall due
     */
    public function __construct(
        public string $task,
        public TaskKind $kind,
        public Interval $every,
        public ?Interval $first = null,
        public ?string $note = null,
        public array $windows = [],
        public ?string $condition = null,
        public Anchor $anchor = Anchor::FromDone,
    ) {
    }

    public function toRule(): Rule
    {
        return new Rule($this->every, $this->first === null ? [] : [$this->first], $this->anchor, windows: $this->windows, condition: $this->condition);
    }

    public function countedBy(Anchor $anchor): self
    {
        return new self($this->task, $this->kind, $this->every, $this->first, $this->note, $this->windows, $this->condition, $anchor);
    }
}
