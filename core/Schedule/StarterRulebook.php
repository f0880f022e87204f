<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;

/**
 * A rulebook for each class of machine to begin with. Every figure is common practice, no source: the maker's manual of the machine at hand wins.
 */
final class StarterRulebook
{
    /** @return non-empty-list<StarterRule> */
    public static function for(MachineClass $class): array
    {
        return match ($class) {
            MachineClass::Tractor => [
                self::rule('Grease all points', TaskKind::Lubricate, 50),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
                self::rule('Alternator belt', TaskKind::Inspect, 100),
                self::rule('Engine oil and filter', TaskKind::Replace, 200, months: 12, first: 50),
                self::rule('Fuel filter', TaskKind::Replace, 400),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 400, first: 100),
                self::rule('Front axle oil', TaskKind::Replace, 400, first: 50, note: 'New gears shed metal: change it early once.'),
                self::rule('Coolant protection', TaskKind::Inspect, months: 12),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ],
            MachineClass::ZeroTurn, MachineClass::RiderMower, MachineClass::FrontMower => [
                self::rule('Deck underside', TaskKind::Clean, 25),
                self::rule('Spindles and casters', TaskKind::Lubricate, 50),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
                self::rule('Engine oil and filter', TaskKind::Replace, 100, months: 12, first: 25),
                self::rule('Fuel filter', TaskKind::Replace, 100),
                self::rule('Drive and deck belts', TaskKind::Inspect, 100),
                self::rule('Spark plugs', TaskKind::Replace, 200),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 250, first: 100),
            ],
            MachineClass::UtilityVehicle => [
                self::rule('Engine oil and filter', TaskKind::Replace, 100, km: 1600, months: 12, first: 25, firstKm: 400),
                self::rule('Air cleaner', TaskKind::Inspect, 25, km: 400, note: 'Sooner in dust.'),
                self::rule('Grease all points', TaskKind::Lubricate, 50, km: 800),
                self::rule('Drive belt', TaskKind::Inspect, 100, km: 1600),
                self::rule('Gear case oils', TaskKind::Replace, 200, km: 3200, first: 25, firstKm: 400),
                self::rule('Brake pads', TaskKind::Inspect, 50, km: 800),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ],
            MachineClass::AllTerrainVehicle => [
                self::rule('Engine oil and filter', TaskKind::Replace, 100, km: 1600, months: 12, first: 20, firstKm: 320),
                self::rule('Air cleaner', TaskKind::Clean, 25, km: 400, note: 'Sooner in dust.'),
                self::rule('Suspension and steering points', TaskKind::Lubricate, 50, km: 800),
                self::rule('Drive belt', TaskKind::Inspect, 100, km: 1600),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ],
            MachineClass::SmallTruck => [
                self::rule('Engine oil and filter', TaskKind::Replace, km: 8000, months: 12),
                self::rule('Tyres and wheel nuts', TaskKind::Inspect, km: 5000, months: 6),
                self::rule('Air cleaner', TaskKind::Replace, km: 24000),
                self::rule('Brake pads', TaskKind::Inspect, km: 16000, months: 12),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ],
            MachineClass::PetrolCart => [
                self::rule('Engine oil', TaskKind::Replace, 125, months: 12),
                self::rule('Air cleaner', TaskKind::Inspect, 50),
                self::rule('Half-yearly service', TaskKind::Inspect, months: 6, note: 'Once a year is enough on tarmac.'),
                self::rule('Fuel filter', TaskKind::Replace, 250, months: 24),
                self::rule('Steering and suspension points', TaskKind::Lubricate, months: 6),
            ],
            MachineClass::ElectricCart => [
                self::rule('Battery water', TaskKind::CheckLevel, months: 1),
                self::rule('Terminals', TaskKind::Clean, months: 3),
                self::rule('Half-yearly service', TaskKind::Inspect, months: 6, note: 'Once a year is enough on tarmac.'),
                self::rule('Reduction gear oil', TaskKind::CheckLevel, months: 12),
            ],
            MachineClass::Generator => [
                self::rule('Run under load', TaskKind::Inspect, months: 1),
                self::rule('Oil strainer', TaskKind::Clean, 200),
                self::rule('Engine oil and filter', TaskKind::Replace, 300, months: 12, first: 50),
                self::rule('Fuel filter', TaskKind::Replace, 300),
                self::rule('Inline fuel filter', TaskKind::Replace, 400),
                self::rule('Alternator belt', TaskKind::Inspect, 100, months: 12),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ],
            MachineClass::Aerator => [
                self::rule('Tine shafts and bearings', TaskKind::Lubricate, 25),
                self::rule('Engine oil', TaskKind::Replace, 50, months: 12, first: 20),
                self::rule('Drive chains', TaskKind::Adjust, 25),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
            ],
            MachineClass::Crawler => [
                self::rule('Track-frame pivot shafts', TaskKind::Lubricate, 100, note: 'About 50 strokes each; too many blow the seal.'),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Oil-bath: empty, wash, refill.'),
                self::rule('Engine oil and filter', TaskKind::Replace, 100, months: 12),
                self::rule('Track tension', TaskKind::Adjust, 50),
                self::rule('Final drive oil', TaskKind::CheckLevel, 100),
                self::rule('Final drive oil', TaskKind::Replace, 500),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ],
        };
    }

    private static function rule(string $task, TaskKind $kind, ?int $hours = null, ?int $km = null, ?int $months = null, ?int $first = null, ?int $firstKm = null, ?string $note = null): StarterRule
    {
        $point = new Interval(self::length($first), self::length($firstKm));

        return new StarterRule($task, $kind, new Interval(self::length($hours), self::length($km), $months), $point->isEmpty() ? null : $point, $note);
    }

    private static function length(?int $length): ?BigDecimal
    {
        return $length === null ? null : BigDecimal::of($length);
    }
}
