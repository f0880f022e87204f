<?php

declare(strict_types=1);

namespace Core\Machine;

/** What part of a machine a task is about, so that dust or heat is known to wear it. */
enum Subject: string
{
    case AirCleaner = 'air_cleaner';
    case EngineOil = 'engine_oil';
    case Fuel = 'fuel';
    case Cooling = 'cooling';
    case Ignition = 'ignition';
    case Hydraulics = 'hydraulics';
    case GearOil = 'gear_oil';
    case Grease = 'grease';
    case Belts = 'belts';
    case Brakes = 'brakes';
    case Battery = 'battery';
    case Other = 'other';

    /** Words by which a task is known to be about it, the more telling first. */
    private const WORDS = [
        'air cleaner|air filter|air element|pre-?cleaner' => self::AirCleaner,
        'brake' => self::Brakes,
        'fuel|water separator' => self::Fuel,
        'hydro|hydraulic' => self::Hydraulics,
        'gear|axle|differential|final drive|transmission|transfer' => self::GearOil,
        'coolant|radiator|cooling' => self::Cooling,
        'spark|plug|ignition' => self::Ignition,
        'belt' => self::Belts,
        'battery|terminals' => self::Battery,
        'grease|spindle|caster|pivot|bearing|nipple|steering|suspension' => self::Grease,
        'oil|strainer' => self::EngineOil,
    ];

    /** As the task's words have it, or as its kind has. */
    public static function of(string $task, TaskKind $kind): self
    {
        foreach (self::WORDS as $words => $subject) {
            if (preg_match("/\\b(?:{$words})/i", $task)) {
                return $subject;
            }
        }

        return $kind === TaskKind::Lubricate ? self::Grease : self::Other;
    }

    public function label(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
