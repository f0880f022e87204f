<?php

declare(strict_types=1);

namespace Core\Machine;

use Core\Meter\MeterUnit;

/** The kinds of machine a yard keeps. */
enum MachineClass: string
{
    case Tractor = 'tractor';
    case ZeroTurn = 'zero_turn';
    case RiderMower = 'rider_mower';
    case FrontMower = 'front_mower';
    case UtilityVehicle = 'utility_vehicle';
    case AllTerrainVehicle = 'all_terrain_vehicle';
    case SmallTruck = 'small_truck';
    case PetrolCart = 'petrol_cart';
    case ElectricCart = 'electric_cart';
    case Generator = 'generator';
    case Aerator = 'aerator';
    case Crawler = 'crawler';

    public function label(): string
    {
        return match ($this) {
            self::Tractor => 'tractor',
            self::ZeroTurn => 'zero-turn mower',
            self::RiderMower => 'rider mower',
            self::FrontMower => 'front mower',
            self::UtilityVehicle => 'utility vehicle',
            self::AllTerrainVehicle => 'all-terrain vehicle',
            self::SmallTruck => 'small truck',
            self::PetrolCart => 'petrol cart',
            self::ElectricCart => 'electric cart',
            self::Generator => 'generator',
            self::Aerator => 'aerator',
            self::Crawler => 'crawler',
        };
    }

    /** @return list<MeterUnit> the meters such a machine usually has, the one it is kept by first */
    public function usualMeters(): array
    {
        return match ($this) {
            self::UtilityVehicle, self::AllTerrainVehicle => [MeterUnit::Hours, MeterUnit::Kilometres],
            self::SmallTruck => [MeterUnit::Kilometres],
            default => [MeterUnit::Hours],
        };
    }
}
