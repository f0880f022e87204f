<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A small truck for roads and tracks, kept by its odometer. */
final class SmallTruck extends Starter
{
    protected function places(): array
    {
        return [
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts', 20, 10, kind: PartKind::Wheel),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, under the seat or bed', 40,
                50, fill: 'Cap on the engine', drain: 'Under the sump', stick: 'Stick, under the seat or bed'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Side of the engine, from below',
                42, 58, in: 'engine_oil'),
            $this->compartment('coolant', CompartmentKind::Coolant, 'Coolant', 'Radiator in front', 10, 50,
                fill: 'Radiator cap, cold', drain: 'Tap at the foot of the radiator', line: 'Reserve tank', taps: true),
            $this->part('hoses', Subject::Cooling, 'Hoses and clamps', 'Along the frame', 28, 44),
            $this->compartment('brake_fluid', CompartmentKind::Brake, 'Brake fluid',
                'Reservoir, behind the front panel', 8, 34, fill: 'Cap of the reservoir',
                draw: 'Bleed screws, at each wheel', line: 'Reservoir, behind the front panel'),
            $this->part('alternator_belt', Subject::Belts, 'Alternator belt', 'Between crank and alternator', 36, 50, kind: PartKind::VBelt),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine, gearbox and axle', 50, 50),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Box beside the engine', 44,
                36),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, under the bed', 62, 70,
                fill: 'Cap, right side', drain: 'Plug under the tank', gauge: 'Dash'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, right side', 54, 66, in: 'fuel'),
            $this->compartment('transmission', CompartmentKind::Transmission, 'Gearbox oil', 'Behind the engine', 54,
                50, fill: 'Plug, side of the box', drain: 'Plug below', plug: 'Plug, side of the box, to its threads'),
            $this->compartment('front_axle', CompartmentKind::FrontDifferential, 'Front axle oil',
                'Front axle, where it is driven', 20, 50, fill: 'Plug, rear side', drain: 'Plug below',
                plug: 'Plug, rear side, to its threads'),
            $this->compartment('rear_axle', CompartmentKind::RearDifferential, 'Rear axle oil', 'Rear axle', 78, 50,
                fill: 'Plug, rear side', drain: 'Plug below', plug: 'Plug, rear side, to its threads'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears', 78, 10, kind: PartKind::Wheel),
            $this->spot('bed', Subject::Other, 'Bed', 'Latches of the drop sides', 80, 24),
            $this->spot('wheel_nuts', Subject::Wheels, 'Wheel nuts', 'All four wheels', 78, 88),
            $this->spot('lights', Subject::Other, 'Lights', 'Front, rear, brake, indicators', 3, 40),
            $this->spot('seat_belts', Subject::Safety, 'Seat belts', 'Both seats', 30, 40),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Pedal and hand brake', 24, 40),
            $this->part('pads', Subject::Brakes, 'Brake pads', 'The thinnest, through the wheel', 20, 88, kind: PartKind::Pads),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel', 24, 34),
            $this->spot('warning_lamps', Subject::Other, 'Warning lamps', 'Dash, key on', 20, 34),
            $this->part('battery', Subject::Battery, 'Battery', 'At the posts', 60, 30),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plugs', 'On top of the engine', 40, 42),
            $this->spot('ball_joints', Subject::Wheels, 'Ball joints and bearings',
                'Ball joints and bearings, each wheel rocked', 20, 20),
            $this->point('king_pins', 'King pins or ball joints', 'Both front wheels', 20, 22, strokes: 3),
            $this->point('prop_shaft_joints', 'Prop-shaft joints', 'Both ends', 66, 50, strokes: 3),
            $this->point('tailgate_hinges', 'Tailgate hinges', 'Rear edge of the bed', 95, 50,
                strokes: 1, end: EndSign::Strokes),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Pipe and muffler, along the frame', 70, 60),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('coolant_level', at: 'coolant'),
            $this->look('brake_fluid', at: 'brake_fluid'),
            $this->look('belt', at: 'alternator_belt'),
            $this->look('leaks', at: 'leaks'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('bed', at: 'bed'),
            $this->look('wheel_nuts', at: 'wheel_nuts'),
            $this->look('lights', at: 'lights'),
            $this->look('seat_belts', at: 'seat_belts'),
            $this->look('brakes', at: 'brakes'),
            $this->look('steering', at: 'steering'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('tread', at: 'rear_tyres', place: 'The thinnest of the four',
                limits: ['least' => '3 mm', 'watch_below' => '4 mm']),
            $this->look('pads', at: 'pads'),
            $this->look('brake_fluid_age', at: 'brake_fluid', place: 'Reservoir'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '26 psi', 'rear' => '28 psi']),
            $this->look('battery', at: 'battery'),
            $this->look('coolant_protection', at: 'coolant', place: 'Radiator cap, cold'),
            $this->look('play', at: 'ball_joints'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By distance or a year', 'mixed roads', [
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'],
                    km: 8000, months: 12),
                $this->rule('Tyres and wheel nuts', TaskKind::Inspect, ['front_tyres', 'rear_tyres', 'wheel_nuts'],
                    km: 5000, months: 6),
                $this->greaseAll(km: 5000, months: 6),
                $this->rule('Air cleaner', TaskKind::Replace, ['air_cleaner'], km: 24000),
                $this->rule('Gear oils', TaskKind::Replace, ['transmission', 'front_axle', 'rear_axle'],
                    km: 40000, months: 48),
                $this->rule('Brake pads', TaskKind::Inspect, ['pads'], km: 16000, months: 12, check: 'pads'),
                $this->rule('Spark plugs', TaskKind::Replace, ['spark_plugs'], km: 40000),
                $this->rule('Brake fluid', TaskKind::Replace, ['brake_fluid'], months: 24),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
            $this->rulebook('Short trips and loads', 'the yard, the dump and back', [
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'],
                    km: 5000, months: 6, note: '10W-30 in summer, 5W-30 in winter where the manual has it so.'),
                $this->rule('Tyres and wheel nuts', TaskKind::Inspect, ['front_tyres', 'rear_tyres', 'wheel_nuts'],
                    km: 2500, months: 3),
                $this->greaseAll(km: 2500, months: 3),
                $this->rule('Air cleaner', TaskKind::Replace, ['air_cleaner'], km: 12000, months: 12),
                $this->rule('Gear oils', TaskKind::Replace, ['transmission', 'front_axle', 'rear_axle'],
                    km: 20000, months: 24),
                $this->rule('Brake pads', TaskKind::Inspect, ['pads'], km: 8000, months: 6, check: 'pads'),
                $this->rule('Brake fluid', TaskKind::Replace, ['brake_fluid'], months: 24),
                $this->called('Fuel filter', TaskKind::Replace, ['fuel_filter'], 'water or dirt shows in it'),
            ]),
        ];
    }
}
