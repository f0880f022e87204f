<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Fluid\FluidKind;
use Core\Measure\Unreadable;

/** Which classification a grade belongs to: `46` is another thing on a hydraulic oil than on an engine's. */
final class Grades
{
    /** @param  FluidKind|null  $kind  null where nobody says what is in the bottle */
    public static function of(?FluidKind $kind, string $written): Grade
    {
        $engine = fn (string $written): Grade => SaeGrade::of(ViscosityTable::Engine, $written);
        $gear = fn (string $written): Grade => SaeGrade::of(ViscosityTable::Gear, $written);
        $readers = match ($kind) {
            FluidKind::EngineOil => [$engine],
            FluidKind::GearOil => [$gear],
            FluidKind::HydraulicOil, FluidKind::HydrostaticOil => [IsoGrade::parse(...), $engine],
            null => [GreaseGrade::parse(...)],
            default => [$engine, $gear],
        };
        foreach ($readers as $read) {
            try {
                return $read($written);
            } catch (Unreadable) {
                continue;
            }
        }

        return new OtherGrade($written);
    }
}
