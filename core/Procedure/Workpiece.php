<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Measure\Quantity;

/** What a step is done to. */
final readonly class Workpiece
{
    /**
     * @param  string  $at  the key of the opening, part or compartment
     * @param  list<string>  $covers  the keys of all places it is done for at once, the first of which is `at`
     * @param  list<string>  $pieces  what is counted
     * @param  string  $thing  in words, where it has no spot of its own
     * @param  Quantity|null  $amount  what comes out or goes in, by the book
     * @param  list<string>  $answers  the findings that it puts right, by their keys
     * @param  bool  $takesFluid  whether fluid may go in meanwhile
     */
    public function __construct(
        public string $at,
        public array $covers = [],
        public array $pieces = [],
        public string $thing = '',
        public ?Quantity $amount = null,
        public array $answers = [],
        public bool $takesFluid = false,
    ) {}

    /** @param  list<string>  $findings */
    public function answering(array $findings): self
    {
        return new self($this->at, $this->covers, $this->pieces, $this->thing, $this->amount, $findings, $this->takesFluid);
    }

    /** @param  non-empty-list<string>  $places */
    public static function all(array $places): self
    {
        return new self($places[0], $places);
    }
}
