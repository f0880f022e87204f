<?php

declare(strict_types=1);

namespace Core\Schedule;

/** A rule to begin with until the keeper has the maker's book open. */
final readonly class StarterRule
{
    /** @param  Interval|null  $first a first (break-in) point */
    public function __construct(
        public string $task,
        public TaskKind $kind,
        public Interval $every,
        public ?Interval $first = null,
        public ?string $note = null,
    ) {
    }
}
