<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Measure\Quantity;

/** Under what a fluid is to serve: the air of the season ahead, the warranty, and the keeper's own way. */
final readonly class Conditions
{
    public function __construct(
        public ?Quantity $coldest = null,
        public ?Quantity $hottest = null,
        public bool $underWarranty = false,
        public FluidSchool $school = FluidSchool::MakersInWarranty,
    ) {}
}
