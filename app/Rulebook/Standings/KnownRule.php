<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use Core\Machine\Spot;
use Core\Machine\Subject;
use Core\Schedule\RulebookLine;

/** A rule as the reckoning knows it: plain values, read for many machines at once. */
final readonly class KnownRule
{
    /** @param  array<int, Spot>  $places  where its task is done, by spot id */
    public function __construct(
        public int $id,
        public int $taskId,
        public bool $isOfAllPoints,
        public bool $countsFromBeginning,
        public RulebookLine $line,
        public array $places,
    ) {}

    /** The id of the rule in whose course its task is done. */
    public function goesWith(): ?int
    {
        return $this->line->goesWith === null ? null : (int) $this->line->goesWith;
    }

    /** @return list<Subject> what dust, heat, water and load do to it */
    public function subjects(): array
    {
        return $this->isOfAllPoints
            ? [Subject::Grease]
            : array_values(array_unique(array_column($this->places, 'subject'), SORT_REGULAR));
    }
}
