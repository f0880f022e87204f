<?php

declare(strict_types=1);

namespace Core\Machine;

/** What part of a machine a spot is, so that dust or heat is known to wear it, and what can hurt there. */
enum Subject: string
{
    case AirCleaner = 'air_cleaner';
    case EngineOil = 'engine_oil';
    case Fuel = 'fuel';
    case Cooling = 'cooling';
    case Ignition = 'ignition';
    case Exhaust = 'exhaust';
    case Hydraulics = 'hydraulics';
    case GearOil = 'gear_oil';
    case Grease = 'grease';
    case Belts = 'belts';
    case Brakes = 'brakes';
    case Wheels = 'wheels';
    case Cutting = 'cutting';
    case Battery = 'battery';
    case Safety = 'safety';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Wheels => 'wheels and tracks',
            self::Cutting => 'blades and tines',
            self::Safety => 'switches and guards',
            default => str_replace('_', ' ', $this->value),
        };
    }
}
