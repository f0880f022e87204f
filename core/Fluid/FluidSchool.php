<?php

declare(strict_types=1);

namespace Core\Fluid;

/** Where keepers differ: the maker's own fluids and parts, or what meets the specification. */
enum FluidSchool: string
{
    case MakersInWarranty = 'makers_in_warranty';
    case Makers = 'makers';
    case Equivalents = 'equivalents';

    public function wantsMakersOwn(bool $underWarranty): bool
    {
        return $this === self::Makers || ($this === self::MakersInWarranty && $underWarranty);
    }
}
