<?php

declare(strict_types=1);

namespace Core\Fluid;

/** What a book wants poured into a compartment. */
final readonly class Specification
{
    /**
     * @param  list<SeasonalGrade>  $grades  any one, where the air is as warm as it says
     * @param  list<string>  $designations  any one
     * @param  string|null  $makersOwn  the name of the maker's own fluid
     */
    public function __construct(
        public ?FluidKind $kind = null,
        public array $grades = [],
        public array $designations = [],
        public ?Chemistry $chemistry = null,
        public ?string $makersOwn = null,
    ) {}

    public function isEmpty(): bool
    {
        return $this == new self;
    }

    /** Whether more is known than whose fluid it is. */
    public function judgesEquivalents(): bool
    {
        return $this->grades !== [] || $this->designations !== [] || $this->chemistry !== null;
    }

    /** `engine oil, 10W-30 (down to -18 °C) or 5W-30, API SJ, the maker's Wader Hydro 5` */
    public function inWords(): string
    {
        return implode(', ', array_filter([
            $this->kind?->word(),
            implode(' or ', array_map(fn (SeasonalGrade $grade): string => $grade->inWords(), $this->grades)),
            implode(' or ', $this->designations),
            $this->chemistry?->word(),
            $this->makersOwn === null ? '' : "the maker's own {$this->makersOwn}",
        ]));
    }
}
