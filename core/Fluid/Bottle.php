<?php

declare(strict_types=1);

namespace Core\Fluid;

/** What a bottle's label says. */
final readonly class Bottle
{
    /**
     * @param  list<string>  $designations
     * @param  string|null  $makersOwn  the name under which a machine's maker sells it
     */
    public function __construct(
        public FluidKind $kind,
        public ?string $grade = null,
        public array $designations = [],
        public ?Chemistry $chemistry = null,
        public ?string $makersOwn = null,
    ) {}

    public function inWords(): string
    {
        return implode(
            ', ',
            array_filter([
                $this->makersOwn,
                $this->kind->word(),
                $this->grade,
                implode(' / ', $this->designations),
                $this->chemistry?->word(),
            ]),
        );
    }

    /** @return list<Designation> */
    public function promises(): array
    {
        return array_merge(...array_map(Designation::all(...), $this->designations));
    }
}
