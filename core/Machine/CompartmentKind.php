<?php

declare(strict_types=1);

namespace Core\Machine;

/** A housing that holds one fluid. */
enum CompartmentKind: string
{
    case Engine = 'engine';
    case Transmission = 'transmission';
    case Transfer = 'transfer';
    case Hydraulic = 'hydraulic';
    case Hydrostatic = 'hydrostatic';
    case FrontDifferential = 'front_differential';
    case RearDifferential = 'rear_differential';
    case WetBrakeAxle = 'wet_brake_axle';
    case FinalDrive = 'final_drive';
    case Gearbox = 'gearbox';
    case ReductionGear = 'reduction_gear';
    case Pto = 'pto';
    case TorqueConverter = 'torque_converter';
    case Chaincase = 'chaincase';
    case PivotShaft = 'pivot_shaft';
    case Coolant = 'coolant';
    case Brake = 'brake';
    case OilBath = 'oil_bath';
    case Fuel = 'fuel';
    case BatteryCells = 'battery_cells';

    public function inWords(): string
    {
        return match ($this) {
            self::Engine => 'engine oil',
            self::Transmission => 'a transmission',
            self::Transfer => 'a transfer case',
            self::Hydraulic => 'hydraulics',
            self::Hydrostatic => 'a hydrostatic drive',
            self::FrontDifferential => 'a front differential',
            self::RearDifferential => 'a rear differential',
            self::WetBrakeAxle => 'an axle with wet brakes',
            self::FinalDrive => 'a final drive',
            self::Gearbox => 'a gearbox',
            self::ReductionGear => 'a reduction gear',
            self::Pto => 'a PTO housing',
            self::TorqueConverter => 'a torque converter',
            self::Chaincase => 'a chaincase',
            self::PivotShaft => 'a pivot shaft',
            self::Coolant => 'coolant',
            self::Brake => 'brake fluid',
            self::OilBath => 'an oil-bath cleaner',
            self::Fuel => 'fuel',
            self::BatteryCells => 'battery cells',
        };
    }

    /** What its fluid is exposed to. */
    public function subject(): Subject
    {
        return match ($this) {
            self::Engine => Subject::EngineOil,
            self::Hydraulic, self::Hydrostatic, self::TorqueConverter => Subject::Hydraulics,
            self::Coolant => Subject::Cooling,
            self::Brake => Subject::Brakes,
            self::OilBath => Subject::AirCleaner,
            self::Fuel => Subject::Fuel,
            self::BatteryCells => Subject::Battery,
            default => Subject::GearOil,
        };
    }
}
