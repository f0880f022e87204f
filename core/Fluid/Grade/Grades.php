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
        $readers = match ($kind) {
            FluidKind::EngineOil => [EngineGrade::parse(...)],
            FluidKind::GearOil => [GearGrade::parse(...)],
            FluidKind::HydraulicOil, FluidKind::HydrostaticOil => [IsoGrade::parse(...), EngineGrade::parse(...)],
            null => [GreaseGrade::parse(...)],
            default => [EngineGrade::parse(...), GearGrade::parse(...)],
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
