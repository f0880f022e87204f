<?php

declare(strict_types=1);

namespace Core\Inspect;

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
    case Coolant = 'coolant';
    case Brake = 'brake';
    case Fuel = 'fuel';

    public function fluid(): FluidKind
    {
        return match ($this) {
            self::Engine => FluidKind::EngineOil,
            self::Hydraulic, self::Hydrostatic, self::TorqueConverter => FluidKind::HydraulicOil,
            self::Coolant => FluidKind::Coolant,
            self::Brake => FluidKind::BrakeFluid,
            self::Fuel => FluidKind::Fuel,
            default => FluidKind::GearOil,
        };
    }
}
