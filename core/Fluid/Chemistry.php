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

    /**
     * What a class of brake fluid is made of: DOT 5 of silicone, DOT 3, 4 and 5.1 of glycol ethers (FMVSS 116, value from
     * memory); null where it names no such class.
     */
    public static function ofBrakeFluid(string $designation): ?self
    {
        return match (true) {
            preg_match('/\bDOT[\s-]*5(?!\s*\.\s*1)/i', $designation) === 1 => self::Silicone,
            preg_match('/\bDOT[\s-]*(3|4|5\s*\.\s*1)/i', $designation) === 1 => self::Glycol,
            default => null,
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
