<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\MachineClass;
use Core\Machine\TaskKind;

/**
 * A rulebook to begin with. Every figure is common practice, no source: the maker's manual of the machine at hand wins. Where keepers differ
 * there are several for a class, the usual one first.
 */
final readonly class StarterRulebook
{
    /**
     * @param  string  $for  whom it suits
     * @param  non-empty-list<StarterRule>  $rules
     */
    private function __construct(
        public string $name,
        public string $for,
        public array $rules,
    ) {
    }

    /** @return non-empty-list<self> */
    public static function for(MachineClass $class): array
    {
        return match ($class) {
            MachineClass::Tractor => self::tractor(),
            MachineClass::ZeroTurn, MachineClass::RiderMower, MachineClass::FrontMower => self::mower(),
            MachineClass::UtilityVehicle => self::utilityVehicle(),
            MachineClass::AllTerrainVehicle => self::allTerrainVehicle(),
            MachineClass::SmallTruck => self::smallTruck(),
            MachineClass::PetrolCart => self::petrolCart(),
            MachineClass::ElectricCart => self::electricCart(),
            MachineClass::Generator => self::generator(),
            MachineClass::Aerator => self::aerator(),
            MachineClass::Crawler => self::crawler(),
        };
    }

    /** @return non-empty-list<self> */
    private static function tractor(): array
    {
        return [
            new self('By hours', 'counted from the day it was done', [
                self::rule('Grease all points', TaskKind::Lubricate, 50),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
                self::rule('Alternator belt', TaskKind::Inspect, 100),
                self::rule('Engine oil and filter', TaskKind::Replace, 200, months: 12, first: 50),
                self::rule('Fuel filter', TaskKind::Replace, 400),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 400, first: 100),
                self::rule('Front axle oil', TaskKind::Replace, 400, first: 50, note: 'New gears shed metal: change it early once.'),
                self::rule('Coolant protection', TaskKind::Inspect, months: 12),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ]),
            new self('By the column chart', 'the 50, 100, 200 and 400 h columns of a laminated chart', self::byTheChart([
                self::rule('Grease all points', TaskKind::Lubricate, 50),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
                self::rule('Wheel nuts and bolts', TaskKind::Adjust, 100),
                self::rule('Alternator belt', TaskKind::Inspect, 100),
                self::rule('Engine oil and filter', TaskKind::Replace, 200, first: 50),
                self::rule('Fuel filter', TaskKind::Replace, 200),
                self::rule('Air cleaner', TaskKind::Replace, 400),
                self::rule('Hydrostatic filters', TaskKind::Replace, 200, first: 50, note: 'The oil stays in; pour back what ran out.'),
                self::rule('Hydrostatic oil and filters', TaskKind::Replace, 400),
                self::rule('Front axle oil', TaskKind::Replace, 400, first: 50),
            ])),
            new self('Few hours, by the season', 'a tractor run a few days a year', [
                self::spring('Engine oil and filter', TaskKind::Replace),
                self::spring('Air cleaner', TaskKind::Clean),
                self::spring('Grease all points', TaskKind::Lubricate),
                self::storage('Fuel tank and battery', TaskKind::Inspect, 'Tank full or stabilised, battery on a maintainer.'),
                self::storage('Coolant protection', TaskKind::Inspect),
                self::rule('Fuel filter', TaskKind::Replace, 400, months: 36),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 400, months: 48, first: 100),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function mower(): array
    {
        return [
            new self('By hours', 'a mower at work most weeks of the season', [
                self::rule('Deck underside', TaskKind::Clean, 25),
                self::rule('Spindles and casters', TaskKind::Lubricate, 50),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
                self::rule('Engine oil and filter', TaskKind::Replace, 100, months: 12, first: 25),
                self::rule('Fuel filter', TaskKind::Replace, 100),
                self::rule('Drive and deck belts', TaskKind::Inspect, 100),
                self::rule('Spark plugs', TaskKind::Replace, 200),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 250, first: 100),
            ]),
            new self('By the season', 'a small lawn: once before the first mowing and once before storage', [
                self::spring('Engine oil and filter', TaskKind::Replace, first: 25),
                self::spring('Blades', TaskKind::Clean, note: 'Sharp, balanced, tight.'),
                self::spring('Spark plugs', TaskKind::Inspect),
                self::spring('Air cleaner', TaskKind::Clean),
                self::spring('Tyres and battery', TaskKind::Inspect),
                self::storage('Deck underside', TaskKind::Clean),
                self::storage('Fuel', TaskKind::Inspect, 'Valve shut and run dry, or stabilised.'),
                self::rule('Fuel filter', TaskKind::Replace, months: 60),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 250, months: 60, first: 100),
            ]),
            new self('Tighter, for dust', 'dry ground, big areas, hired drivers', [
                self::rule('Air cleaner', TaskKind::Clean, 10),
                self::rule('Air cleaner', TaskKind::Replace, 100),
                self::rule('Deck underside', TaskKind::Clean, 10),
                self::rule('Spindles and casters', TaskKind::Lubricate, 25),
                self::rule('Engine oil and filter', TaskKind::Replace, 50, months: 12, first: 25),
                self::rule('Fuel filter', TaskKind::Replace, 100, months: 12),
                self::rule('Drive and deck belts', TaskKind::Inspect, 50),
                self::rule('Spark plugs', TaskKind::Replace, 100),
                self::rule('Hydrostatic oil and filter', TaskKind::Replace, 200, first: 75),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function utilityVehicle(): array
    {
        return [
            new self('By hours or distance', 'whichever comes first', [
                self::rule('Engine oil and filter', TaskKind::Replace, 100, km: 1600, months: 12, first: 25, firstKm: 400),
                self::rule('Air cleaner', TaskKind::Inspect, 25, km: 400, note: 'Sooner in dust.'),
                self::rule('Grease all points', TaskKind::Lubricate, 50, km: 800),
                self::rule('Drive belt', TaskKind::Inspect, 100, km: 1600),
                self::rule('Gear case oils', TaskKind::Replace, 200, km: 3200, first: 25, firstKm: 400),
                self::rule('Brake pads', TaskKind::Inspect, 50, km: 800),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ]),
            new self('Off road every day', 'mud, water and loads', [
                self::rule('Engine oil and filter', TaskKind::Replace, 50, km: 800, months: 6, first: 25, firstKm: 400),
                self::rule('Air cleaner', TaskKind::Inspect, 10, km: 160),
                self::rule('Grease all points', TaskKind::Lubricate, 25, km: 400, note: 'And after every crossing of water.'),
                self::rule('Drive belt', TaskKind::Inspect, 50, km: 800),
                self::rule('Gear case oils', TaskKind::Replace, 100, km: 1600, months: 12, first: 25, firstKm: 400),
                self::called('Gear case oils', TaskKind::Sample, 'it was under water to the hubs'),
                self::rule('Boots and bushings', TaskKind::Inspect, 25, km: 400),
                self::rule('Brake pads', TaskKind::Inspect, 25, km: 400),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function allTerrainVehicle(): array
    {
        return [
            new self('By hours or distance', 'whichever comes first', [
                self::rule('Engine oil and filter', TaskKind::Replace, 100, km: 1600, months: 12, first: 20, firstKm: 320),
                self::rule('Air cleaner', TaskKind::Clean, 25, km: 400, note: 'Sooner in dust.'),
                self::rule('Suspension and steering points', TaskKind::Lubricate, 50, km: 800),
                self::rule('Drive belt', TaskKind::Inspect, 100, km: 1600),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ]),
            new self('Twice a year', 'a few rides a month', [
                self::spring('Engine oil and filter', TaskKind::Replace, first: 20),
                self::rule('Air cleaner', TaskKind::Clean, 50, months: 6),
                self::rule('Suspension and steering points', TaskKind::Lubricate, months: 6),
                self::rule('Drive belt', TaskKind::Inspect, 100, months: 12),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function smallTruck(): array
    {
        return [
            new self('By distance or a year', 'mixed roads', [
                self::rule('Engine oil and filter', TaskKind::Replace, km: 8000, months: 12),
                self::rule('Tyres and wheel nuts', TaskKind::Inspect, km: 5000, months: 6),
                self::rule('Air cleaner', TaskKind::Replace, km: 24000),
                self::rule('Brake pads', TaskKind::Inspect, km: 16000, months: 12),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
            ]),
            new self('Short trips and loads', 'the yard, the dump and back', [
                self::rule('Engine oil and filter', TaskKind::Replace, km: 5000, months: 6, note: '10W-30 in summer, 5W-30 in winter where the manual has it so.'),
                self::rule('Tyres and wheel nuts', TaskKind::Inspect, km: 2500, months: 3),
                self::rule('Air cleaner', TaskKind::Replace, km: 12000, months: 12),
                self::rule('Brake pads', TaskKind::Inspect, km: 8000, months: 6),
                self::rule('Brake fluid', TaskKind::Replace, months: 24),
                self::called('Fuel filter', TaskKind::Replace, 'water or dirt shows in it'),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function petrolCart(): array
    {
        return [
            new self('Off road, twice a year', 'used daily on tracks and grass', [
                self::rule('Engine oil', TaskKind::Replace, 125, months: 12),
                self::rule('Air cleaner', TaskKind::Inspect, 50),
                self::rule('Half-yearly service', TaskKind::Inspect, months: 6, note: 'Once a year is enough on tarmac.'),
                self::rule('Fuel filter', TaskKind::Replace, 250, months: 24),
                self::rule('Steering and suspension points', TaskKind::Lubricate, months: 6),
            ]),
            new self('On tarmac, once a year', 'paths and car parks', [
                self::rule('Engine oil', TaskKind::Replace, 125, months: 12),
                self::rule('Air cleaner', TaskKind::Inspect, 100, months: 12),
                self::rule('Yearly service', TaskKind::Inspect, months: 12),
                self::rule('Fuel filter', TaskKind::Replace, 250, months: 24),
                self::rule('Steering and suspension points', TaskKind::Lubricate, months: 12),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function electricCart(): array
    {
        return [
            new self('Off road, twice a year', 'used daily on tracks and grass', [
                self::rule('Battery water', TaskKind::CheckLevel, months: 1),
                self::rule('Terminals', TaskKind::Clean, months: 3),
                self::rule('Half-yearly service', TaskKind::Inspect, months: 6, note: 'Once a year is enough on tarmac.'),
                self::rule('Reduction gear oil', TaskKind::CheckLevel, months: 12),
            ]),
            new self('On tarmac, once a year', 'paths and car parks', [
                self::rule('Battery water', TaskKind::CheckLevel, months: 1),
                self::rule('Terminals', TaskKind::Clean, months: 6),
                self::rule('Yearly service', TaskKind::Inspect, months: 12),
                self::rule('Reduction gear oil', TaskKind::CheckLevel, months: 24),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function generator(): array
    {
        return [
            new self('Standing by', 'half an hour a fortnight, and then a storm', [
                self::rule('Run under load', TaskKind::Inspect, months: 1),
                self::rule('Oil strainer', TaskKind::Clean, 200),
                self::rule('Engine oil and filter', TaskKind::Replace, 300, months: 12, first: 50),
                self::rule('Fuel filter', TaskKind::Replace, 300),
                self::rule('Inline fuel filter', TaskKind::Replace, 400),
                self::rule('Alternator belt', TaskKind::Inspect, 100, months: 12),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ]),
            new self('At work every day', 'a site without mains', [
                self::rule('Air cleaner', TaskKind::Inspect, 50),
                self::rule('Oil strainer', TaskKind::Clean, 200),
                self::rule('Engine oil and filter', TaskKind::Replace, 200, months: 12, first: 50),
                self::rule('Fuel filter', TaskKind::Replace, 300),
                self::rule('Inline fuel filter', TaskKind::Replace, 400),
                self::called('Water separator', TaskKind::Clean, 'water shows in the bowl'),
                self::rule('Alternator belt', TaskKind::Inspect, 100),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function aerator(): array
    {
        return [
            new self('By hours', 'many lawns a week', [
                self::rule('Tine shafts and bearings', TaskKind::Lubricate, 25),
                self::rule('Engine oil', TaskKind::Replace, 50, months: 12, first: 20),
                self::rule('Drive chains', TaskKind::Adjust, 25),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Sooner in dust.'),
            ]),
            new self('By the season', 'one estate, spring and autumn', [
                self::spring('Engine oil', TaskKind::Replace, first: 20),
                self::spring('Drive chains', TaskKind::Adjust),
                self::spring('Air cleaner', TaskKind::Clean),
                self::rule('Tine shafts and bearings', TaskKind::Lubricate, 25),
                self::storage('Tines and frame', TaskKind::Clean, 'Washed, dried, oiled.'),
            ]),
        ];
    }

    /** @return non-empty-list<self> */
    private static function crawler(): array
    {
        return [
            new self('By hours', 'a machine in good order', [
                self::rule('Track-frame pivot shafts', TaskKind::Lubricate, 100, note: 'About 50 strokes each; too many blow the seal.'),
                self::rule('Air cleaner', TaskKind::Clean, 50, note: 'Oil-bath: empty, wash, refill.'),
                self::rule('Engine oil and filter', TaskKind::Replace, 100, months: 12),
                self::rule('Track tension', TaskKind::Adjust, 50),
                self::rule('Final drive oil', TaskKind::CheckLevel, 100),
                self::rule('Final drive oil', TaskKind::Replace, 500),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ]),
            new self('An old one', 'worn shafts and seals', [
                self::rule('Track-frame pivot shafts', TaskKind::Lubricate, 50, note: 'Grease where the book says oil; stop when the seal begins to lift.'),
                self::rule('Air cleaner', TaskKind::Clean, 25, note: 'Oil-bath: empty, wash, refill.'),
                self::rule('Engine oil and filter', TaskKind::Replace, 100, months: 12),
                self::rule('Steering levers and brakes', TaskKind::Adjust, 50),
                self::rule('Track tension', TaskKind::Adjust, 25),
                self::rule('Final drive oil', TaskKind::CheckLevel, 25),
                self::rule('Final drive oil', TaskKind::Replace, 250),
                self::rule('Coolant', TaskKind::Replace, months: 24),
            ]),
        ];
    }

    private static function rule(string $task, TaskKind $kind, ?int $hours = null, ?int $km = null, ?int $months = null, ?int $first = null, ?int $firstKm = null, ?string $note = null): StarterRule
    {
        return new StarterRule($task, $kind, new Interval(self::length($hours), self::length($km), $months), self::first($first, $firstKm), $note);
    }

    private static function spring(string $task, TaskKind $kind, ?string $note = null, ?int $first = null): StarterRule
    {
        return new StarterRule($task, $kind, new Interval, self::first($first), $note, [YearWindow::between('03-01', '04-15', 'spring')]);
    }

    private static function storage(string $task, TaskKind $kind, ?string $note = null): StarterRule
    {
        return new StarterRule($task, $kind, new Interval, null, $note, [YearWindow::between('10-15', '11-30', 'before storage')]);
    }

    private static function called(string $task, TaskKind $kind, string $condition): StarterRule
    {
        return new StarterRule($task, $kind, new Interval, condition: $condition);
    }

    /**
     * @param  non-empty-list<StarterRule>  $rules
     * @return non-empty-list<StarterRule>
     */
    private static function byTheChart(array $rules): array
    {
        return array_map(fn (StarterRule $rule): StarterRule => $rule->countedBy(Anchor::Chart), $rules);
    }

    private static function first(?int $hours, ?int $km = null): ?Interval
    {
        return $hours === null && $km === null ? null : new Interval(self::length($hours), self::length($km));
    }

    private static function length(?int $length): ?BigDecimal
    {
        return $length === null ? null : BigDecimal::of($length);
    }
}
