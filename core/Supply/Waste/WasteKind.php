<?php

declare(strict_types=1);

namespace Core\Supply\Waste;

use Core\Machine\CompartmentKind;

/** What is kept apart until it goes to the collection point that local rules name. Common practice, no source. */
enum WasteKind: string
{
    case Oil = 'oil';
    case Coolant = 'coolant';
    case BrakeFluid = 'brake_fluid';
    case Fuel = 'fuel';
    case Filters = 'filters';

    public function label(): string
    {
        return match ($this) {
            self::Oil => 'used oil',
            self::Coolant => 'old coolant',
            self::BrakeFluid => 'old brake fluid',
            self::Fuel => 'old fuel',
            self::Filters => 'used filters',
        };
    }

    /** What runs out of a housing; null where it is no more than water. */
    public static function outOf(CompartmentKind $compartment): ?self
    {
        return match ($compartment) {
            CompartmentKind::Coolant => self::Coolant,
            CompartmentKind::Brake => self::BrakeFluid,
            CompartmentKind::Fuel => self::Fuel,
            CompartmentKind::BatteryCells => null,
            default => self::Oil,
        };
    }
}
