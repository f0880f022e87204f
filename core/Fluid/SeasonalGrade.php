<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Fluid\Grade\Grades;
use Core\Measure\Quantity;

/** A grade that a book allows, perhaps only between some temperatures of the air. */
final readonly class SeasonalGrade
{
    public function __construct(
        public string $grade,
        public ?Quantity $from = null,
        public ?Quantity $to = null,
    ) {}

    /** @param  FluidKind|null  $kind  of what both are grades */
    public function is(string $other, ?FluidKind $kind): bool
    {
        return Grades::of($kind, $this->grade)->written() === Grades::of($kind, $other)->written();
    }

    public function inWords(): string
    {
        return $this->grade.match (true) {
            $this->from !== null && $this->to !== null => " ({$this->from->inWords()} to {$this->to->inWords()})",
            $this->from !== null => " (down to {$this->from->inWords()})",
            $this->to !== null => " (up to {$this->to->inWords()})",
            default => '',
        };
    }

    /** Whether it may be used in all that a season brings. */
    public function in(?Quantity $coldest, ?Quantity $hottest): Reason
    {
        return match (true) {
            $this->from !== null && $coldest === null => Reason::ask(
                "{$this->grade} is allowed down to {$this->from->inWords()}: how cold does the season ahead get?",
            ),
            $this->from !== null && $coldest !== null && $coldest->compareTo($this->from) < 0 => Reason::no(
                "{$this->grade} is allowed down to {$this->from->inWords()}, and the season goes down to {$coldest->inWords()}.",
            ),
            $this->to !== null && $hottest === null => Reason::ask(
                "{$this->grade} is allowed up to {$this->to->inWords()}: how hot does the season ahead get?",
            ),
            $this->to !== null && $hottest !== null && $hottest->compareTo($this->to) > 0 => Reason::no(
                "{$this->grade} is allowed up to {$this->to->inWords()}, and the season goes up to {$hottest->inWords()}.",
            ),
            default => Reason::yes("{$this->inWords()} is on the book's list."),
        };
    }
}
