<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\CompartmentKind;
use Core\Machine\MachineClass;

/**
 * What such a compartment of such a machine takes more or less: a hint while nobody has opened the book, never one
 * machine's figure. Common practice, no source.
 */
final class UsualAmounts
{
    public static function in(MachineClass $class, ?CompartmentKind $compartment): ?string
    {
        return match ($class) {
            MachineClass::ZeroTurn, MachineClass::FrontMower => match ($compartment) {
                CompartmentKind::Engine => '1.6–2 qt',
                CompartmentKind::Hydrostatic => '16 fl oz to 2 qt',
                default => null,
            },
            MachineClass::RiderMower => match ($compartment) {
                CompartmentKind::Engine => '1.3 qt',
                CompartmentKind::Hydrostatic => '16 fl oz to 2 qt',
                default => null,
            },
            MachineClass::AllTerrainVehicle => match ($compartment) {
                CompartmentKind::Engine => '1.9–3.8 L',
                CompartmentKind::RearDifferential => '948 mL',
                CompartmentKind::FrontDifferential => '255 mL',
                default => null,
            },
            MachineClass::UtilityVehicle => match ($compartment) {
                CompartmentKind::Engine => '2.1–4 qt',
                CompartmentKind::Gearbox, CompartmentKind::Transmission => '1.5 L',
                CompartmentKind::FrontDifferential => '400 mL',
                CompartmentKind::WetBrakeAxle => '1 qt',
                default => null,
            },
            MachineClass::PetrolCart => $compartment === CompartmentKind::Engine ? '1 qt' : null,
            MachineClass::SmallTruck => $compartment === CompartmentKind::Engine ? '2.5–2.9 L' : null,
            MachineClass::Generator => match ($compartment) {
                CompartmentKind::Engine => '1.9–7 L',
                CompartmentKind::Coolant => '7 L',
                default => null,
            },
            MachineClass::Tractor => match ($compartment) {
                CompartmentKind::Engine => '7.1–9 qt',
                CompartmentKind::Transmission => '8 gal',
                CompartmentKind::ReductionGear => '1.5 qt',
                CompartmentKind::Pto => '4.5 qt',
                CompartmentKind::Hydraulic => '13 qt',
                CompartmentKind::Coolant => '7 gal',
                default => null,
            },
            MachineClass::Aerator, MachineClass::Crawler, MachineClass::ElectricCart => null,
        };
    }
}
