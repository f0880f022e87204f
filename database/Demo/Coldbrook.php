<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Core\Machine\MachineClass;
use Core\Schedule\Severity;

/** Coldbrook House: an invented estate with an arboretum, a cider orchard and a small campsite. Makers and models are invented too. */
final class Coldbrook
{
    public const NAME = 'Coldbrook House';

    public const TIME_ZONE = 'Europe/London';

    private const MOWING = [0, 0, 2, 8, 14, 13, 11, 10, 8, 4, 1, 0];

    private const FIELD = [2, 3, 5, 7, 7, 5, 5, 6, 9, 8, 4, 3];

    private const VISITORS = [1, 1, 2, 4, 6, 8, 10, 10, 6, 3, 2, 1];

    private const EVERY_DAY = [4, 4, 5, 6, 6, 6, 6, 6, 6, 5, 5, 4];

    private const STANDBY = [0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3];

    /** @return list<DemoMachine> */
    public static function machines(): array
    {
        return [
            new DemoMachine('Teal', MachineClass::Tractor, 'Cider orchard', 'Ashlode', 'Drover compact', 4.0,
                self::scaled(self::FIELD, 0.45), anchor: 'chart', finishAt: 371.0),
            new DemoMachine('Godwit', MachineClass::Tractor, 'Cider orchard', 'Ashlode', 'Drover orchard', 1114.0,
                self::FIELD, neglect: ['Grease all points' => 95]),
            new DemoMachine('Lapwing', MachineClass::Tractor, 'Arboretum', 'Tarrowby', 'Hillman', 2306.4, self::FIELD,
                knownDays: 36, unknownHistory: true),
            new DemoMachine('Heron', MachineClass::ZeroTurn, 'Arboretum', 'Velmoor', 'Swath 52', 11.5,
                self::scaled(self::MOWING, 0.45), busyDaysAgo: [580, 545]),
            new DemoMachine('Avocet', MachineClass::ZeroTurn, 'House', 'Velmoor', 'Swath 48', 214.0,
                self::scaled(self::MOWING, 0.6), meterReplacedDaysAgo: 410),
            new DemoMachine('Bittern', MachineClass::FrontMower, 'Cider orchard', 'Brankley', 'Foreacre', 148.0,
                self::scaled(self::MOWING, 0.5), neglect: ['Engine oil and filter' => 170]),
            new DemoMachine('Coot', MachineClass::RiderMower, 'Campsite', 'Brankley', 'Paddock', 61.0,
                self::scaled(self::MOWING, 0.3)),
            new DemoMachine('Moorhen', MachineClass::UtilityVehicle, 'Campsite', 'Quillan Works', 'Packhorse', 865.0,
                self::scaled(self::EVERY_DAY, 0.5), kmPerHour: 14),
            new DemoMachine('Wigeon', MachineClass::UtilityVehicle, 'Cider orchard', 'Quillan Works', 'Packhorse',
                402.0, self::scaled(self::EVERY_DAY, 0.9), kmPerHour: 13, neglect: ['Brake pads' => 60],
                severity: Severity::Water),
            new DemoMachine('Snipe', MachineClass::AllTerrainVehicle, 'Arboretum', 'Quillan Works', 'Leveret', 88.0,
                self::scaled(self::EVERY_DAY, 0.4), kmPerHour: 16),
            new DemoMachine('Pochard', MachineClass::SmallTruck, 'House', 'Hobscott', 'Carrier', 61240.0,
                self::scaled(self::EVERY_DAY, 36)),
            new DemoMachine('Dabchick', MachineClass::PetrolCart, 'Campsite', 'Fenlow', 'Links', 93.0,
                self::scaled(self::VISITORS, 0.35), unreadDays: 23),
            new DemoMachine('Grebe', MachineClass::ElectricCart, 'House', 'Fenlow', 'Still', 310.0,
                self::scaled(self::VISITORS, 0.6), neglect: ['Battery water' => 31, 'Terminals' => 112]),
            new DemoMachine('Gadwall', MachineClass::ElectricCart, 'Arboretum', 'Fenlow', 'Still', 122.0,
                self::scaled(self::VISITORS, 0.5)),
            new DemoMachine('Curlew', MachineClass::Generator, 'House', 'Marrick', 'Sentry 20', 188.0, self::STANDBY,
                stormDaysAgo: 290, finishAt: 288.9),
            new DemoMachine('Shoveler', MachineClass::Generator, 'Campsite', 'Marrick', 'Sentry 8', 44.0,
                self::STANDBY),
            new DemoMachine('Dunlin', MachineClass::Aerator, 'Arboretum', 'Tarrowby', 'Pinfold', 12.0,
                [0, 0, 1.2, 1.5, 0.4, 0, 0, 0.2, 1.5, 1.6, 0.4, 0]),
            new DemoMachine('Merganser', MachineClass::Crawler, 'Cider orchard', 'Hobscott', 'Fieldgate 4', 3410.0,
                [0.6, 0.8, 1.2, 1.4, 0.8, 0.6, 0.4, 0.6, 1.2, 1.8, 1.4, 0.8],
                neglect: ['Pivot shaft, left' => 40, 'Pivot shaft, right' => 40], anchor: 'chart'),
        ];
    }

    /** The day from which a machine of that name is in the book. */
    public static function knownSince(string $name, CarbonImmutable $today): CarbonImmutable
    {
        return $today->subDays(array_column(self::machines(), 'knownDays', 'name')[$name]);
    }

    /**
     * @param  list<float|int>  $weekly
     * @return list<float>
     */
    private static function scaled(array $weekly, float $factor): array
    {
        return array_map(fn (float|int $hours): float => $hours * $factor, $weekly);
    }
}
