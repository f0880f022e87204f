<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

/** When a compartment takes so much. */
enum CapacityKind: string
{
    /** At a change; the book does not say whether with a filter. */
    case Refill = 'refill';
    case WithFilter = 'with_filter';
    case WithoutFilter = 'without_filter';
    /** Never filled before, or taken apart. */
    case Dry = 'dry';
    case PerSide = 'per_side';
    /** What runs out when only filters are changed. */
    case FiltersOnly = 'filters_only';

    public function label(): string
    {
        return match ($this) {
            self::Refill => 'at a change',
            self::WithFilter => 'with filter',
            self::WithoutFilter => 'without filter',
            self::Dry => 'dry',
            self::PerSide => 'each side',
            self::FiltersOnly => 'filters only',
        };
    }
}
