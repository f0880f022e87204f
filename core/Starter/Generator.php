<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A generator that stands by or works every day, cooled by liquid or by raw water. */
final class Generator extends Starter
{
    protected function places(): array
    {
        return [
            $this->spot('louvres', Subject::Cooling, 'Louvres', 'Intake and outlet', 6, 50),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Pipe, muffler and lagging', 90, 30),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump', 46, 50,
                fill: 'Upper port, service side', drain: 'Hose with a valve, service side',
                stick: 'Stick, service side', taps: true),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Service side', 48, 62,
                in: 'engine_oil'),
            $this->part('oil_strainer', Subject::EngineOil, 'Oil strainer', 'Behind the drain, under its cap', 50, 58,
                in: 'engine_oil', kind: PartKind::Screen),
            $this->part('crankcase_breather', Subject::EngineOil, 'Crankcase breather', 'On the valve cover', 44, 44,
                in: 'engine_oil', kind: PartKind::Breather),
            $this->compartment('coolant', CompartmentKind::Coolant, 'Coolant', 'Radiator and engine', 28, 50,
                fill: 'Radiator cap, cold', drain: 'Tap, low on the block', line: 'Expansion bottle', taps: true),
            $this->filter('coolant_filter', Subject::Cooling, 'Coolant filter', 'Beside the engine, its valve above it',
                34, 60, in: 'coolant'),
            $this->part('impeller', Subject::Cooling, 'Raw-water impeller', 'In the pump, fan end', 30, 38, kind: PartKind::Impeller, under: ['impeller_gasket']),
            $this->part('impeller_gasket', Subject::Cooling, 'Impeller cover gasket', 'Under the pump\'s cover', 31,
                36, kind: PartKind::Gasket),
            $this->part('sea_strainer', Subject::Cooling, 'Raw-water strainer', 'In the intake line', 26, 34, kind: PartKind::Screen),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Radiator core', 18, 50),
            $this->part('hoses', Subject::Cooling, 'Hoses and clamps', 'Coolant and fuel lines', 38, 40),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank in the base', 60, 70,
                fill: 'Cap of the tank', drain: 'Tap under the tank', gauge: 'Tank or gauge', taps: true),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'Service side', 56, 62, in: 'fuel'),
            $this->filter('inline_fuel_filter', Subject::Fuel, 'Inline fuel filter', 'In the line from the tank', 58, 66,
                in: 'fuel'),
            $this->part('water_separator', Subject::Fuel, 'Water separator', 'Filter bowl', 54, 66, in: 'fuel'),
            $this->part('alternator_belt', Subject::Belts, 'Alternator belt', 'Behind the guard, fan end', 22, 50, kind: PartKind::VBelt),
            $this->point('fan_bearing', 'Fan bearing', 'Behind the guard, fan end', 20, 54, strokes: 1,
                end: EndSign::Strokes, most: 2, reach: 'Starting disabled first.', every: 400, with: 'alternator_belt'),
            $this->spot('leaks', Subject::Other, 'Tray', 'In the tray', 50, 76),
            $this->spot('charger', Subject::Battery, 'Charger', 'Charger lamp on the panel', 84, 60),
            $this->part('battery', Subject::Battery, 'Battery', 'At the posts', 70, 60),
            $this->spot('panel', Subject::Other, 'Panel', 'Panel: last warning, last failure', 84, 50),
            $this->spot('wiring', Subject::Other, 'Behind the panels', 'Behind the panels', 78, 40),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Service side', 40, 34),
            $this->spot('set', Subject::Exhaust, 'The set', 'Under load, from the panel', 62, 46),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('louvres', at: 'louvres'),
            $this->look('exhaust', at: 'exhaust'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('coolant_level', at: 'coolant'),
            $this->look('hoses', at: 'hoses'),
            $this->look('fuel_level', at: 'fuel'),
            $this->look('belt', at: 'alternator_belt', limits: ['deflection' => '13 mm', 'force' => '98 N']),
            $this->look('leaks', at: 'leaks'),
            $this->look('charger', at: 'charger'),
            $this->look('last_fault', at: 'panel'),
            $this->look('mice', at: 'wiring'),
            $this->look('coolant_protection', at: 'coolant', place: 'Expansion bottle'),
            $this->look('battery', at: 'battery'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('fuel_water', at: 'water_separator'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('Standing by', 'half an hour a fortnight, and then a storm', [
                $this->rule('Run under load', TaskKind::Run, ['set'], months: 1),
                $this->rule('Oil strainer', TaskKind::Clean, ['oil_strainer'], 200),
                $this->rule('Crankcase breather', TaskKind::Clean, ['crankcase_breather'], 300, months: 24),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 300,
                    months: 12, first: 50),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 300),
                $this->rule('Inline fuel filter', TaskKind::Replace, ['inline_fuel_filter'], 400),
                $this->rule('Alternator belt', TaskKind::Inspect, ['alternator_belt'], 100, months: 12, check: 'belt'),
                $this->rule('Hoses and clamps', TaskKind::Inspect, ['hoses'], months: 12),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
            $this->rulebook('At work every day', 'a site without mains', [
                $this->rule('Air cleaner', TaskKind::Inspect, ['air_cleaner'], 50),
                $this->rule('Oil strainer', TaskKind::Clean, ['oil_strainer'], 200),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 200,
                    months: 12, first: 50),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 300),
                $this->rule('Inline fuel filter', TaskKind::Replace, ['inline_fuel_filter'], 400),
                $this->called('Water separator', TaskKind::Clean, ['water_separator'], 'water shows in the bowl'),
                $this->rule('Alternator belt', TaskKind::Inspect, ['alternator_belt'], 100, check: 'belt'),
                $this->rule('Coolant filter', TaskKind::Replace, ['coolant_filter'], 500,
                    note: 'Its valve shut before, open after.'),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
            $this->rulebook('Cooled by raw water', 'a set beside a pond or on a boat', [
                $this->rule('Run under load', TaskKind::Run, ['set'], months: 1),
                $this->rule('Raw-water strainer', TaskKind::Clean, ['sea_strainer'], 50, months: 3),
                $this->rule('Impeller and its gasket', TaskKind::Replace, ['impeller', 'impeller_gasket'], 500,
                    months: 12, note: 'A little jelly on the vanes; look at the cover.'),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 200,
                    months: 12, first: 50),
                $this->rule('Oil strainer', TaskKind::Clean, ['oil_strainer'], 200),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 300),
                $this->rule('Alternator belt', TaskKind::Inspect, ['alternator_belt'], 100, months: 12, check: 'belt'),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
        ];
    }
}
