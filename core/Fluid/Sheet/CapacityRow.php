<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Fluid\Specification;

/** One row of a pasted capacities table, as far as it is understood. */
final readonly class CapacityRow
{
    /**
     * @param  list<string>  $compartments  the keys of those that its words may mean, the likeliest first
     * @param  list<array{CapacityKind, string}>  $amounts  as they are written, with their unit
     * @param  list<string>  $doubts  what is to be asked before it is saved
     */
    public function __construct(
        public int $line,
        public string $words,
        public array $compartments,
        public array $amounts,
        public Specification $specification,
        public array $doubts,
    ) {}
}
