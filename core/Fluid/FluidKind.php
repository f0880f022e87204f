<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Machine\CompartmentKind;

/** What a bottle holds. */
enum FluidKind: string
{
    case EngineOil = 'engine_oil';
    case GearOil = 'gear_oil';
    case HydraulicOil = 'hydraulic_oil';
    case HydrostaticOil = 'hydrostatic_oil';
    /** For axles whose brakes run in the oil. */
    case WetBrakeOil = 'wet_brake_oil';
    /** One oil for transmission, hydraulics and wet brakes. */
    case TractorFluid = 'tractor_fluid';
    case Coolant = 'coolant';
    case BrakeFluid = 'brake_fluid';
    case Fuel = 'fuel';
    case DistilledWater = 'distilled_water';

    public function word(): string
    {
        return str_replace('_', ' ', str_replace('wet_brake', 'wet-brake', $this->value));
    }

    /** What a housing holds where nobody has said otherwise; null where books differ. Common practice, no source. */
    public static function usualIn(CompartmentKind $compartment): ?self
    {
        return match ($compartment) {
            CompartmentKind::Engine, CompartmentKind::OilBath => self::EngineOil,
            CompartmentKind::Hydraulic => self::HydraulicOil,
            CompartmentKind::WetBrakeAxle => self::WetBrakeOil,
            CompartmentKind::Coolant => self::Coolant,
            CompartmentKind::Brake => self::BrakeFluid,
            CompartmentKind::Fuel => self::Fuel,
            CompartmentKind::BatteryCells => self::DistilledWater,
            CompartmentKind::FrontDifferential,
            CompartmentKind::RearDifferential,
            CompartmentKind::FinalDrive,
            CompartmentKind::Gearbox,
            CompartmentKind::ReductionGear => self::GearOil,
            CompartmentKind::Transmission,
            CompartmentKind::Transfer,
            CompartmentKind::Hydrostatic,
            CompartmentKind::TorqueConverter,
            CompartmentKind::Pto,
            CompartmentKind::Chaincase,
            CompartmentKind::PivotShaft => null,
        };
    }

    public function isOil(): bool
    {
        return ! in_array($this, [self::Coolant, self::BrakeFluid, self::Fuel, self::DistilledWater], true);
    }
}
