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

    /** Whether gears run in what it holds. */
    public function hasGears(): bool
    {
        return ! in_array($this, [self::Engine, self::Coolant, self::Brake, self::Fuel], true);
    }
}
