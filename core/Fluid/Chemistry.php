<?php

declare(strict_types=1);

namespace Core\Fluid;

/** What a coolant or a brake fluid is made of; unlike ones are never mixed. */
enum Chemistry: string
{
    /** Coolant with inorganic inhibitors. */
    case Inorganic = 'iat';
    /** Coolant with organic acids. */
    case Organic = 'oat';
    /** Coolant with both. */
    case Hybrid = 'hoat';
    /** Brake fluid of glycol ethers: DOT 3, DOT 4, DOT 5.1. */
    case Glycol = 'glycol';
    /** Brake fluid of silicone: DOT 5. */
    case Silicone = 'silicone';

    public function word(): string
    {
        return match ($this) {
            self::Inorganic => 'IAT (inorganic)',
            self::Organic => 'OAT (organic acid)',
            self::Hybrid => 'HOAT (hybrid)',
            self::Glycol => 'glycol',
            self::Silicone => 'silicone',
        };
    }

    /** Whether such a fluid may be made of it. */
    public function isOf(FluidKind $kind): bool
    {
        return in_array($this, [self::Glycol, self::Silicone], true)
            ? $kind === FluidKind::BrakeFluid
            : $kind === FluidKind::Coolant;
    }
}
