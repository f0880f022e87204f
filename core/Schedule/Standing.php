<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Meter\Limit;

/** What a rule says of one machine now. How it is reckoned: {@see StandingOf}; why, in words: {@see StandingWords}. */
final readonly class Standing
{
    /** The point that comes first. */
    public ?DuePoint $limiting;

    /**
     * @param  array<string, DuePoint>  $points  by the name of their limit
     * @param  list<string>  $notes
     * @param  Point|null  $last  when it was last done
     * @param  Call|null  $call  what a check has said since
     * @param  string|null  $host  the task that it goes with
     * @param  string  $apart  which of its spots were not done with the others, in a sentence
     */
    public function __construct(
        public Rule $rule,
        public State $state,
        public array $points = [],
        public array $notes = [],
        public ?Point $last = null,
        public ?Call $call = null,
        public ?string $host = null,
        public string $apart = '',
    ) {
        $this->limiting = DuePoint::earliest($points);
    }

    /** Whether it is due because a check said so, before its own point came. */
    public function isCalled(): bool
    {
        return $this->call !== null;
    }

    /** Hours this fluid or part will have run at the due point, from the last time it was done. */
    public function runsFor(): ?BigDecimal
    {
        $hours = $this->points[Limit::Hours->value] ?? null;

        return $hours === null ? null : $hours->at->minus($hours->since);
    }

    public function shareUsed(): BigDecimal
    {
        return $this->limiting?->shareUsed() ?? BigDecimal::zero();
    }

    public function dueDate(): ?\DateTimeImmutable
    {
        $date = $this->points[Limit::Date->value] ?? null;

        return $date === null ? null : Day::of($date->at->toInt());
    }
}
