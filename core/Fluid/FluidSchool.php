<?php

declare(strict_types=1);

namespace Core\Fluid;

/** Where keepers differ: the maker's own fluids and parts, or what meets the specification. */
enum FluidSchool: string
{
    case MakersInWarranty = 'makers_in_warranty';
    case Makers = 'makers';
    case Equivalents = 'equivalents';

    public function label(): string
    {
        return match ($this) {
            self::MakersInWarranty => 'the maker\'s own while the warranty runs, equivalents after',
            self::Makers => 'always the maker\'s own',
            self::Equivalents => 'always equivalents that meet the specification',
        };
    }

    public function wantsMakersOwn(bool $underWarranty): bool
    {
        return $this === self::Makers || ($this === self::MakersInWarranty && $underWarranty);
    }
}
