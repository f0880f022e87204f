<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A petrol cart: a small engine that starts with the pedal, two clutches and a belt. */
final class PetrolCart extends Starter
{
    protected function places(): array
    {
        return [
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, under the seat', 66, 50,
                fill: 'Cap on the engine', drain: 'Under the engine', stick: 'Stick, under the seat'),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, under the seat', 60, 34,
                fill: 'Cap of the tank', draw: 'Siphon through the filler', gauge: 'Tank, under the seat'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, under the seat', 62, 40, in: 'fuel'),
            $this->part('hoses', Subject::Fuel, 'Hoses and clamps', 'Fuel and pulse lines', 64, 42),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Under the seat', 68, 36),
            $this->part('drive_belt', Subject::Belts, 'Drive belt', 'Between the two clutches, under the seat', 70, 56, kind: PartKind::VBelt),
            $this->part('starter_belt', Subject::Belts, 'Starter belt', 'Between engine and starter', 72, 60, kind: PartKind::VBelt),
            $this->point('drive_clutch_hub', 'Drive clutch hub', 'On the engine', 68, 58, strokes: 1,
                end: EndSign::Strokes, most: 1, reach: 'Belt off: the belt runs here.', every: 250, with: 'drive_belt'),
            $this->point('driven_clutch_hub', 'Driven clutch hub', 'On the axle', 78, 58, strokes: 1,
                end: EndSign::Strokes, most: 1, reach: 'Belt off: the belt runs here.', every: 250, with: 'drive_belt'),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine and axle', 74, 50),
            $this->compartment('rear_axle', CompartmentKind::RearDifferential, 'Axle oil',
                'Rear axle and its gear case', 82, 50, fill: 'Plug, front side', drain: 'Plug below',
                plug: 'Plug, rear side, to its threads'),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts', 20, 14, kind: PartKind::Wheel),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears', 80, 14, kind: PartKind::Wheel),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Pedal, rolling slowly; then the parking latch', 36, 56),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel', 32, 44),
            $this->spot('lights', Subject::Other, 'Lights', 'Front and rear', 6, 50),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plug', 'Under the seat', 64, 56),
            $this->part('battery', Subject::Battery, 'Battery', 'Under the seat', 58, 60),
            $this->point('king_pins', 'King pins', 'Both front wheels', 20, 22, strokes: 2),
            $this->point('steering_box', 'Steering box', 'Under the floor', 30, 50, strokes: 2),
            $this->point('pedal_shaft', 'Pedal shaft', 'Under the floor mat', 41, 68,
                strokes: 1, end: EndSign::Strokes, most: 2),
            $this->point('spring_shackles', 'Spring shackles', 'Rear springs', 82, 24, strokes: 2),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('fuel_level', at: 'fuel'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('drive_belt_look', at: 'drive_belt'),
            $this->look('leaks', at: 'leaks'),
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('brakes', at: 'brakes'),
            $this->look('steering', at: 'steering'),
            $this->look('lights', at: 'lights'),
            $this->look('plug', at: 'spark_plugs'),
            $this->look('battery', at: 'battery'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '20 psi', 'rear' => '22 psi']),
            $this->look('starter_belt', at: 'starter_belt'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('Off road, twice a year', 'used daily on tracks and grass', [
                $this->rule('Engine oil', TaskKind::Replace, ['engine_oil'], 125, months: 12),
                $this->rule('Air cleaner', TaskKind::Inspect, ['air_cleaner'], 50),
                $this->rule('Half-yearly service', TaskKind::Inspect,
                    ['brakes', 'steering', 'front_tyres', 'rear_tyres'], months: 6,
                    note: 'Once a year is enough on tarmac.'),
                $this->rule('Drive and starter belts', TaskKind::Inspect, ['drive_belt', 'starter_belt'], 125,
                    months: 12),
                $this->rule('Axle oil', TaskKind::CheckLevel, ['rear_axle'], months: 12),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 250, months: 24),
                $this->greaseAll(months: 6),
            ]),
            $this->rulebook('On tarmac, once a year', 'paths and car parks', [
                $this->rule('Engine oil', TaskKind::Replace, ['engine_oil'], 125, months: 12),
                $this->rule('Air cleaner', TaskKind::Inspect, ['air_cleaner'], 100, months: 12),
                $this->rule('Yearly service', TaskKind::Inspect, ['brakes', 'steering', 'front_tyres', 'rear_tyres'],
                    months: 12),
                $this->rule('Drive and starter belts', TaskKind::Inspect, ['drive_belt', 'starter_belt'], months: 12),
                $this->rule('Axle oil', TaskKind::CheckLevel, ['rear_axle'], months: 24),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 250, months: 24),
                $this->greaseAll(months: 12),
            ]),
        ];
    }
}
