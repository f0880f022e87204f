<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\MachineClass;

/** The starter of each class of machine. */
final class Starters
{
    public static function for(MachineClass $class): Starter
    {
        return match ($class) {
            MachineClass::Tractor => new Tractor,
            MachineClass::ZeroTurn => new ZeroTurn,
            MachineClass::RiderMower => new RiderMower,
            MachineClass::FrontMower => new FrontMower,
            MachineClass::UtilityVehicle => new UtilityVehicle,
            MachineClass::AllTerrainVehicle => new AllTerrainVehicle,
            MachineClass::SmallTruck => new SmallTruck,
            MachineClass::PetrolCart => new PetrolCart,
            MachineClass::ElectricCart => new ElectricCart,
            MachineClass::Generator => new Generator,
            MachineClass::Aerator => new Aerator,
            MachineClass::Crawler => new Crawler,
        };
    }
}
