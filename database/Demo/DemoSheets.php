<?php

declare(strict_types=1);

namespace Database\Demo;

use Core\Machine\MachineClass;

/**
 * What the books of the invented machines say of their fluids and parts. Makers, numbers and figures are invented; none
 * is a real machine's.
 */
final class DemoSheets
{
    private const NUMBERS = [
        'Ashlode' => 'AS',
        'Tarrowby' => 'TB',
        'Velmoor' => 'VM',
        'Brankley' => 'BK',
        'Quillan Works' => 'QW',
        'Hobscott' => 'HC',
        'Fenlow' => 'FL',
        'Marrick' => 'MK',
    ];

    private function __construct(private readonly string $mark) {}

    /** @return array<string, array<string, mixed>> by the key of the spot */
    public static function of(DemoMachine $machine): array
    {
        $sheets = new self(self::NUMBERS[$machine->maker]);

        return array_replace_recursive($sheets->ofClass($machine->class), self::OWN[$machine->name] ?? []);
    }

    /** What one machine has otherwise than its class. */
    private const OWN = [
        'Godwit' => ['pto_housing' => ['shares_with' => 'hydrostatic']],
        'Heron' => ['engine_oil' => [
            'capacities' => [
                ['kind' => 'with_filter', 'amount' => '2.15 L', 'book' => 'machine'],
                ['kind' => 'with_filter', 'amount' => '2.0 L', 'book' => 'component'],
            ],
            'specification_of_component' => [
                'kind' => 'engine_oil',
                'grades' => [
                    ['grade' => 'SAE 30', 'from' => '4 °C', 'to' => null],
                    ['grade' => '10W-30', 'from' => '-18 °C', 'to' => '32 °C'],
                ],
                'designations' => ['API SJ'],
            ],
        ]],
        'Merganser' => ['hydraulic_filter' => ['only_for' => 'serial numbers from 2200 on; before, HC 77-101']],
    ];

    /** @return array<string, array<string, mixed>> */
    private function ofClass(MachineClass $class): array
    {
        return match ($class) {
            MachineClass::Tractor => $this->tractor(),
            MachineClass::ZeroTurn => $this->zeroTurn(),
            MachineClass::RiderMower => $this->riderMower(),
            MachineClass::FrontMower => $this->frontMower(),
            MachineClass::UtilityVehicle => $this->utilityVehicle(),
            MachineClass::AllTerrainVehicle => $this->allTerrainVehicle(),
            MachineClass::SmallTruck => $this->smallTruck(),
            MachineClass::PetrolCart => $this->petrolCart(),
            MachineClass::ElectricCart => $this->electricCart(),
            MachineClass::Generator => $this->generator(),
            MachineClass::Aerator => $this->aerator(),
            MachineClass::Crawler => $this->crawler(),
        };
    }

    /** @return array<string, array<string, mixed>> */
    private function tractor(): array
    {
        return [
            ...$this->engine('engine_oil', '6.4/6.8 qt', ['API CI-4'], drain: '19 mm socket', torque: '36 ft-lb'),
            'engine_oil_filter' => $this->filter('15-208', uses: ['rag', 'brake cleaner']),
            ...$this->drive('hydrostatic', '7.6 gal', 'Ashlode Draughtline', drains: 2),
            'hydrostatic_filter' => $this->filter('38-114', seal: "{$this->mark} 38-120 ring", finer: true),
            'hydrostatic_filter_2' => $this->filter('38-115', seal: "{$this->mark} 38-120 ring", finer: true),
            ...$this->drive('hydraulic', '12 qt', 'Ashlode Draughtline'),
            'suction_screen' => $this->strainer('38-140'),
            'breather' => $this->strainer('38-151'),
            ...$this->gears('front_axle', '5.2 qt', '80W-90', 'GL-5', drains: 2),
            ...$this->gears('reduction_gear', '1.7 qt', '80W-90', 'GL-4', yellow: true, kind: 'per_side', drains: 2),
            ...$this->gears('pto_housing', '4.2 qt', '80W-90', 'GL-4', yellow: true),
            'coolant' => $this->coolant('6.6 gal', 'hoat'),
            'fuel' => $this->fuel('9.5 gal', 'diesel', 'Valve below the tank: lever in line with the pipe is on'),
            'fuel_filter' => $this->inline('22-006', uses: ['fuel to fill the tank before the purge', 'rag']),
            'water_separator' => $this->part(
                'other',
                '22-019',
                seal: "{$this->mark} 22-020 ring",
                loose: ['float', 'spring'],
            ),
            'air_cleaner' => $this->part('filter', '11-330'),
            'inner_element' => $this->part('filter', '11-331'),
            'alternator_belt' => $this->part('belt', '17-042', orientation: 'Arrow forward'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function zeroTurn(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '2.1 L',
                ['API SJ'],
                kind: 'with_filter',
                cooling: 'air',
                drain: '10 mm socket',
                torque: '14 ft-lb',
                grades: self::SMALL_ENGINE,
            ),
            'engine_oil_filter' => $this->filter('4-118'),
            ...$this->drive('hydrostatic_left', '1.9 qt', null, engineOil: '20W-50'),
            ...$this->drive('hydrostatic_right', '1.9 qt', null, engineOil: '20W-50'),
            'hydrostatic_filter_left' => $this->filter('9-052', finer: true),
            'hydrostatic_filter_right' => $this->filter('9-052', finer: true),
            'fuel' => $this->fuel('5.2 gal', 'petrol', 'Valve under the tank: across the line is shut', draw: true),
            'fuel_filter' => $this->inline('4-160', uses: ['rag']),
            'pre_cleaner' => $this->part('filter', '4-131'),
            'air_cleaner' => $this->part('filter', '4-130'),
            'deck_belt' => $this->part('belt', '7-210'),
            'drive_belt' => $this->part('belt', '7-188'),
            'blades' => $this->part(
                'blade',
                '7-301',
                loose: ['cap', 'washer', 'bolt'],
                tight: '90 ft-lb',
                orientation: 'Sail up, spindles staggered',
            ),
            'spark_plugs' => $this->part('plug', '4-140', tight: 'By hand to its seat, then half a turn'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function riderMower(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '1.45 qt',
                ['API SJ'],
                kind: 'with_filter',
                cooling: 'air',
                drain: 'hose on the drain valve',
                torque: '',
                grades: self::SMALL_ENGINE,
            ),
            'engine_oil_filter' => $this->filter('204'),
            ...$this->drive('hydrostatic', '1.3 L', null, engineOil: '10W-30'),
            'hydrostatic_filter' => [
                ...$this->filter('331', finer: true),
                'equivalents' => [
                    ['number' => 'Wyndle 31-H', 'will_do' => true, 'because' => ''],
                    [
                        'number' => 'Wyndle 20',
                        'will_do' => false,
                        'because' => 'an engine oil filter: same thread, but it filters too coarsely for a drive.',
                    ],
                ],
            ],
            'fuel' => $this->fuel('2.9 gal', 'petrol', '', draw: true),
            'fuel_filter' => $this->inline('160', uses: ['rag']),
            'pre_cleaner' => $this->part('filter', '131'),
            'air_cleaner' => $this->part('filter', '130'),
            'deck_belt' => $this->part('belt', '410'),
            'drive_belt' => $this->part('belt', '402'),
            'blades' => $this->part('blade', '501', loose: ['star washer', 'bolt'], tight: '50 ft-lb'),
            'spark_plugs' => $this->part('plug', '140', tight: 'By hand to its seat, then half a turn'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function frontMower(): array
    {
        return [
            ...$this->engine('engine_oil', '3.5/3.9 L', ['API CH-4'], drain: '17 mm socket', torque: '34 N·m'),
            'engine_oil_filter' => $this->filter('615'),
            ...$this->drive('hydrostatic', '11.5 L', 'Brankley Glide'),
            'hydrostatic_filter' => $this->filter('640', finer: true),
            ...$this->gears('front_axle', '2.4 L', '80W-90', 'GL-5'),
            ...$this->gears('deck_gearbox', '0.35 L', '80W-90', 'GL-4', yellow: true),
            'coolant' => $this->coolant('4.6 L', 'oat'),
            'fuel' => $this->fuel('38 L', 'diesel', 'Lever at the filter: up is on'),
            'fuel_filter' => $this->inline(
                '622',
                seal: "{$this->mark} 623 ring",
                uses: ['fuel to fill the tank before the purge'],
            ),
            'air_cleaner' => $this->part('filter', '630'),
            'inner_element' => $this->part('filter', '631'),
            'alternator_belt' => $this->part('belt', '650'),
            'blades' => $this->part('blade', '701', loose: ['cap', 'bolt'], tight: '110 N·m'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function utilityVehicle(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '2.6 qt',
                ['API SL'],
                kind: 'with_filter',
                drain: '5/8 in socket',
                torque: '16 ft-lb',
                grades: self::SUMMER_AND_WINTER,
            ),
            'engine_oil_filter' => $this->filter('2520'),
            ...$this->gears('transmission', '1.35 L', '75W-90', 'GL-5', seal: "{$this->mark} 3301 washer"),
            ...$this->gears('front_gear_case', '380 mL', '75W-90', 'GL-5', seal: "{$this->mark} 3301 washer"),
            'rear_axle' => [
                'capacities' => [['kind' => 'refill', 'amount' => '0.9 qt', 'book' => 'machine']],
                'specification' => [
                    'kind' => 'wet_brake_oil',
                    'grades' => [],
                    'designations' => [],
                    'makers_own' => 'Quillan Wetstop',
                ],
                'drain_way' => 'plug',
                'yellow_metals' => false,
            ],
            'rear_axle_fill' => $this->opening('8 mm hex key', '22 ft-lb', "{$this->mark} 3310 ring"),
            'rear_axle_drain' => [
                ...$this->opening('8 mm hex key', '180 in-lb', "{$this->mark} 3311 washer"),
                'magnet' => true,
                'comes_off' => 'Skid plate, four 10 mm bolts',
            ],
            'coolant' => $this->coolant('4.1 qt', 'hoat'),
            'brake_fluid' => $this->brakes('DOT 4'),
            'fuel' => $this->fuel('9 gal', 'petrol', '', draw: true),
            'fuel_filter' => $this->inline('2610'),
            'air_cleaner' => $this->part('filter', '2540', superseded: '2541'),
            'cvt_belt' => $this->part('belt', '4102', orientation: 'Print readable from above'),
            'cvt_gasket' => $this->part('gasket', '4110'),
            'pads' => $this->part('other', '5201'),
            'spark_plugs' => $this->part('plug', '2560', tight: '9 ft-lb'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function allTerrainVehicle(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '2.3/2.5 L',
                ['API SJ'],
                drain: '17 mm socket',
                torque: '20 ft-lb',
                grades: self::SUMMER_AND_WINTER,
                drains: 2,
            ),
            'engine_oil_filter' => $this->filter('1820', seal: "{$this->mark} 1821 cover ring"),
            ...$this->gears('front_gear_case', '270 mL', '80W-90', 'GL-5', seal: "{$this->mark} 1905 washer"),
            ...$this->gears('rear_gear_case', '620 mL', '80W-90', 'GL-5', seal: "{$this->mark} 1905 washer"),
            ...$this->gears('transmission', '0.7 L', '75W-90', 'GL-4', yellow: true, seal: "{$this->mark} 1905 washer"),
            'brake_fluid' => $this->brakes('DOT 4'),
            'fuel' => $this->fuel('4.4 gal', 'petrol', 'Cock on the left: down is on', draw: true),
            'fuel_filter' => $this->inline('1830'),
            'air_cleaner' => $this->part('filter', '1840'),
            'cvt_belt' => $this->part('belt', '1950', orientation: 'Arrow forward'),
            'cvt_gasket' => $this->part('gasket', '1951'),
            'pads' => $this->part('other', '2001'),
            'spark_plugs' => $this->part('plug', '1860', tight: '9 ft-lb'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function smallTruck(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '2.7 L',
                ['API SL'],
                kind: 'with_filter',
                drain: '14 mm socket',
                torque: '30 N·m',
                grades: self::SUMMER_AND_WINTER,
            ),
            'engine_oil_filter' => $this->filter('90-11'),
            ...$this->gears('transmission', '1.9 L', '75W-85', 'GL-4', yellow: true),
            ...$this->gears('front_axle', '1.1 L', '80W-90', 'GL-5'),
            ...$this->gears('rear_axle', '1.3 L', '80W-90', 'GL-5'),
            'coolant' => $this->coolant('4.2 L', 'oat'),
            'brake_fluid' => $this->brakes('DOT 3'),
            'fuel' => $this->fuel('36 L', 'petrol', ''),
            'fuel_filter' => $this->inline('90-31'),
            'air_cleaner' => $this->part('filter', '90-20'),
            'alternator_belt' => $this->part('belt', '90-52'),
            'pads' => $this->part('other', '90-71'),
            'spark_plugs' => $this->part('plug', '90-60', tight: '18 N·m'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function petrolCart(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '1.1 qt',
                ['API SJ'],
                kind: 'refill',
                cooling: 'air',
                drain: '17 mm spanner',
                torque: '18 ft-lb',
                grades: self::SMALL_ENGINE,
            ),
            ...$this->gears('rear_axle', '1.25 L', '80W-90', 'GL-5'),
            'fuel' => $this->fuel('5.5 gal', 'petrol', 'Lever under the seat: to the front is on', draw: true),
            'fuel_filter' => $this->inline('S-14'),
            'air_cleaner' => $this->part('filter', 'S-20'),
            'drive_belt' => $this->part('belt', 'S-41'),
            'starter_belt' => $this->part('belt', 'S-42'),
            'spark_plugs' => $this->part('plug', 'S-30'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function electricCart(): array
    {
        return [
            'battery_water' => [
                'capacities' => [],
                'specification' => ['kind' => 'distilled_water'],
                'drain_way' => null,
                'puts_back' => ['caps of all cells'],
            ],
            ...$this->gears('reduction_gear', '0.55 qt', '80W-90', 'GL-5'),
            'pack' => $this->part('other', 'E-48'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function generator(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '5.6–6 L',
                ['API CF-4'],
                kind: 'with_filter',
                drain: 'hand pump on the drain hose',
                torque: '',
            ),
            'engine_oil_filter' => $this->filter('1-040'),
            'oil_strainer' => $this->strainer('1-049', ring: '1-050 ring'),
            'crankcase_breather' => $this->strainer('1-061'),
            'coolant' => [
                ...$this->coolant('6.2 L', 'oat'),
                'valve' => 'Lever at the coolant filter: across the pipe is shut',
            ],
            'coolant_filter' => $this->filter('1-120'),
            'impeller' => $this->part(
                'impeller',
                '1-130',
                seal: "{$this->mark} 1-131 gasket",
                uses: ['jelly for the vanes'],
                orientation: 'Vanes bent against the way it turns',
            ),
            'impeller_gasket' => $this->part('gasket', '1-131'),
            'sea_strainer' => $this->strainer('1-140'),
            'fuel' => $this->fuel('90 L', 'diesel', 'Lever on top of the tank: along the pipe is on'),
            'fuel_filter' => $this->inline(
                '1-080',
                seal: "{$this->mark} 1-081 ring",
                uses: ['fuel to fill the tank before the purge', 'rag'],
            ),
            'inline_fuel_filter' => $this->inline('1-083'),
            'water_separator' => $this->part('other', '1-090', seal: "{$this->mark} 1-091 ring"),
            'alternator_belt' => $this->part('belt', '1-200'),
            'air_cleaner' => $this->part('filter', '1-110'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function aerator(): array
    {
        return [
            ...$this->engine(
                'engine_oil',
                '1.15 L',
                ['API SJ'],
                kind: 'refill',
                cooling: 'air',
                drain: '12 mm socket',
                torque: '14 ft-lb',
                grades: self::SMALL_ENGINE,
            ),
            ...$this->gears('drive_oil', '0.8 L', '80W-90', 'GL-4', yellow: true),
            'fuel' => $this->fuel('1.6 gal', 'petrol', 'Slide under the air cleaner: right is on', draw: true),
            'fuel_filter' => $this->inline('P-16'),
            'pre_cleaner' => $this->part('filter', 'P-13'),
            'air_cleaner' => $this->part('filter', 'P-12'),
            'drive_belt' => $this->part('belt', 'P-40'),
            'spark_plugs' => $this->part('plug', 'P-20'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function crawler(): array
    {
        $final = fn (string $side): array => [
            ...$this->gears("final_drive_inner_{$side}", '2.2 qt', '85W-140', 'GL-4', yellow: true),
            ...$this->gears("final_drive_outer_{$side}", '1.4 qt', '85W-140', 'GL-4', yellow: true),
        ];

        return [
            ...$this->engine(
                'engine_oil',
                '9.6 qt',
                ['API CF-4'],
                kind: 'with_filter',
                drain: '1 1/8 in spanner',
                torque: '60 ft-lb',
                drains: 2,
                grades: [
                    ['grade' => 'SAE 30', 'from' => '0 °C', 'to' => null],
                    ['grade' => '15W-40', 'from' => '-15 °C', 'to' => null],
                ],
            ),
            'engine_oil_filter' => $this->part(
                'filter',
                '77-040',
                seal: "{$this->mark} 77-041 canister ring",
                loose: ['spring', 'plate'],
                orientation: 'Spring below, cover mark in line',
            ),
            'crankcase_breather' => $this->strainer('77-050'),
            'oil_bath' => [
                'capacities' => [['kind' => 'refill', 'amount' => '0.7 qt', 'book' => 'machine']],
                'specification' => ['kind' => 'engine_oil', 'grades' => [['grade' => 'SAE 30']], 'designations' => []],
            ],
            'coolant' => $this->coolant('5.4 gal', 'iat'),
            ...$this->drive('hydraulic', '8.5 gal', null, hydraulic: 'ISO VG 46'),
            'hydraulic_filter' => $this->filter('77-102', seal: "{$this->mark} 77-103 ring", finer: true),
            ...$this->drive('transmission', '6.1 gal', 'Hobscott Crawlfluid'),
            'transmission_filter' => $this->filter('77-110', finer: true),
            'suction_screen' => $this->strainer('77-118', ring: '77-119 gasket'),
            'transmission_breather' => $this->strainer('77-121'),
            ...$final('left'),
            ...$final('right'),
            'fuel' => $this->fuel('31 gal', 'diesel', 'Tap under the tank: handle along the pipe is on'),
            'fuel_filter' => $this->inline(
                '77-070',
                seal: "{$this->mark} 77-071 ring",
                uses: ['fuel to fill the tank before the purge', 'rag'],
            ),
            'sediment_bowl' => $this->part('other', '77-075', seal: "{$this->mark} 77-076 gasket"),
            'fan_belt' => $this->part('belt', '77-090'),
        ];
    }

    private const SMALL_ENGINE = [
        ['grade' => 'SAE 30', 'from' => '5 °C', 'to' => null],
        ['grade' => '10W-30', 'from' => '-20 °C', 'to' => null],
    ];

    private const SUMMER_AND_WINTER = [
        ['grade' => '10W-30', 'from' => '-16 °C', 'to' => null],
        ['grade' => '5W-30', 'from' => '-30 °C', 'to' => '30 °C'],
    ];

    private const DIESEL = [
        ['grade' => '15W-40', 'from' => '-12 °C', 'to' => null],
        ['grade' => '10W-30', 'from' => '-22 °C', 'to' => '34 °C'],
    ];

    /**
     * @param  list<string>  $designations
     * @param  list<array<string, mixed>>  $grades
     * @return array<string, array<string, mixed>>
     */
    private function engine(
        string $key,
        string $amount,
        array $designations,
        string $drain,
        string $torque,
        string $kind = 'refill',
        ?string $cooling = 'liquid',
        array $grades = self::DIESEL,
        int $drains = 1,
    ): array {
        $opening = [...$this->opening($drain, $torque, "{$this->mark} 01-12 washer"), 'magnet' => true];

        return [
            $key => [
                'capacities' => $this->capacities($amount, $kind),
                'specification' => ['kind' => 'engine_oil', 'grades' => $grades, 'designations' => $designations],
                'drain_way' => 'plug',
                'cooling' => $cooling,
            ],
            "{$key}_fill" => $this->opening('', '', "{$this->mark} 01-20 cap gasket"),
            "{$key}_drain" => $opening,
            ...$drains > 1 ? ["{$key}_drain_2" => $opening] : [],
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function drive(
        string $key,
        string $amount,
        ?string $own,
        int $drains = 1,
        ?string $engineOil = null,
        ?string $hydraulic = null,
    ): array {
        $opening = [...$this->opening('24 mm socket', '58 ft-lb', "{$this->mark} 02-30 ring"), 'magnet' => true];

        return [
            $key => [
                'capacities' => $this->capacities($amount, 'refill'),
                'specification' => match (true) {
                    $engineOil !== null => [
                        'kind' => 'engine_oil',
                        'grades' => [['grade' => $engineOil]],
                        'designations' => [],
                    ],
                    $hydraulic !== null => [
                        'kind' => 'hydraulic_oil',
                        'grades' => [['grade' => $hydraulic]],
                        'designations' => ['HM'],
                    ],
                    default => ['kind' => 'tractor_fluid', 'grades' => [], 'designations' => [], 'makers_own' => $own],
                },
                'drain_way' => 'plug',
                'puts_back' => ['drive release levers'],
            ],
            "{$key}_drain" => $opening,
            ...$drains > 1 ? ["{$key}_drain_2" => $opening] : [],
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private function gears(
        string $key,
        string $amount,
        string $grade,
        string $designation,
        bool $yellow = false,
        string $kind = 'refill',
        int $drains = 1,
        ?string $seal = null,
    ): array {
        $seal ??= "{$this->mark} 03-08 washer";
        $drain = [...$this->opening('8 mm hex key', '24 ft-lb', $seal), 'magnet' => true];

        return [
            $key => [
                'capacities' => $this->capacities($amount, $kind),
                'specification' => [
                    'kind' => 'gear_oil',
                    'grades' => [['grade' => $grade]],
                    'designations' => [$designation],
                ],
                'drain_way' => 'plug',
                'yellow_metals' => $yellow,
            ],
            "{$key}_fill" => $this->opening('10 mm hex key', '24 ft-lb', $seal),
            "{$key}_drain" => $drain,
            ...$drains > 1 ? ["{$key}_drain_2" => $drain] : [],
        ];
    }

    /** @return array<string, mixed> */
    private function coolant(string $amount, string $chemistry): array
    {
        return [
            'capacities' => $this->capacities($amount, 'refill'),
            'specification' => ['kind' => 'coolant', 'chemistry' => $chemistry],
            'drain_way' => 'plug',
        ];
    }

    /** @return array<string, mixed> */
    private function brakes(string $class): array
    {
        return [
            'capacities' => [],
            'specification' => ['kind' => 'brake_fluid', 'designations' => [$class], 'chemistry' => 'glycol'],
            'drain_way' => 'suction',
        ];
    }

    /** @return array<string, mixed> */
    private function fuel(string $amount, string $fuel, string $valve, bool $draw = false): array
    {
        return [
            'capacities' => $this->capacities($amount, 'refill'),
            'specification' => ['kind' => 'fuel', 'designations' => [$fuel]],
            'drain_way' => $draw ? 'suction' : 'plug',
            'valve' => $valve,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function capacities(string $amount, string $kind): array
    {
        return [['kind' => $kind, 'amount' => $amount, 'book' => 'machine']];
    }

    /** @return array<string, mixed> */
    private function opening(string $tool, string $torque, string $seal): array
    {
        return ['tool' => $tool, 'torque' => $torque === '' ? null : $torque, 'seal' => $seal];
    }

    /**
     * @param  list<string>  $uses
     * @return array<string, mixed>
     */
    private function filter(string $number, string $seal = '', bool $finer = false, array $uses = ['rag']): array
    {
        return [
            ...$this->part('filter', $number, seal: $seal, uses: $uses),
            'tight' => 'From first contact of the gasket, 3/4 turn; what is printed on it wins',
            ...$finer ? ['equivalents' => [[
                'number' => "Wyndle {$number}",
                'will_do' => false,
                'because' => 'it screws on, but filters too coarsely for a drive.',
            ]]] : ['equivalents' => [['number' => "Wyndle {$number}", 'will_do' => true, 'because' => '']]],
        ];
    }

    /**
     * @param  list<string>  $uses
     * @return array<string, mixed>
     */
    private function inline(string $number, string $seal = '', array $uses = ['rag']): array
    {
        return $this->part('filter', $number, seal: $seal, orientation: 'Arrow toward the engine', uses: $uses);
    }

    /** @return array<string, mixed> */
    private function strainer(string $number, string $ring = ''): array
    {
        return $this->part(
            'strainer',
            $number,
            seal: $ring === '' ? '' : "{$this->mark} {$ring}",
            uses: ['cleaner', 'rag'],
        );
    }

    /**
     * @param  list<string>  $loose
     * @param  list<string>  $uses
     * @return array<string, mixed>
     */
    private function part(
        string $kind,
        string $number,
        string $seal = '',
        array $loose = [],
        string $tight = '',
        string $orientation = '',
        array $uses = [],
        string $superseded = '',
    ): array {
        return [
            'kind' => $kind,
            'number' => "{$this->mark} {$number}",
            'superseded_by' => $superseded === '' ? '' : "{$this->mark} {$superseded}",
            'seal' => $seal,
            'loose' => $loose,
            'tight' => $tight,
            'orientation' => $orientation,
            'uses' => $uses,
        ];
    }
}
