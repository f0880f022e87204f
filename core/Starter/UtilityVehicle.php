<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Fluid\Sheet\DrainWay;
use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A utility vehicle with a belt drive: engine under the bed, gear cases at both ends. */
final class UtilityVehicle extends Starter
{
    protected function places(): array
    {
        return [
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts, tread and sidewall', 20, 10, kind: PartKind::Wheel),
            $this->part('front_boots', Subject::Wheels, 'Front CV boots', 'Outer and inner boots, wheels turned', 22,
                18),
            $this->part('rack_boots', Subject::Wheels, 'Steering-rack boots', 'Both ends of the steering rack', 28, 34),
            $this->point('a_arms_front_left', 'A-arms, front left', 'Inner ends, upper and lower', 24, 24,
                strokes: 4, end: EndSign::Strokes, most: 8),
            $this->point('a_arms_front_right', 'A-arms, front right', 'Inner ends, upper and lower', 24, 76,
                strokes: 4, end: EndSign::Strokes, most: 8),
            $this->point('steering_joints', 'Steering joints', 'Both ends of the column', 32, 42, strokes: 2),
            $this->part('shocks', Subject::Wheels, 'Shocks', 'All four, at the seals', 20, 26),
            $this->spot('wheel_bearings', Subject::Wheels, 'Wheel bearings and joints',
                'Each wheel, rocked up and down, then side to side', 20, 84),
            $this->compartment('front_gear_case', CompartmentKind::FrontDifferential, 'Front gear case oil',
                'Between the front wheels', 20, 50, fill: 'Plug on top', drain: 'Plug below',
                plug: 'Filler plug, to its threads'),
            $this->compartment('coolant', CompartmentKind::Coolant, 'Coolant', 'Radiator in front, engine behind', 10,
                50, fill: 'Radiator cap, cold', drain: 'Lowest hose', line: 'Bottle, under the hood', out: DrainWay::Hose),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Radiator, in front', 8, 50),
            $this->part('hoses', Subject::Cooling, 'Hoses and clamps', 'Along the frame, both sides', 50, 40),
            $this->compartment('brake_fluid', CompartmentKind::Brake, 'Brake fluid', 'Reservoir, under the hood', 14,
                34, fill: 'Cap of the reservoir', draw: 'Bleed screws, at each wheel',
                line: 'Reservoir, under the hood'),
            $this->part('pads', Subject::Brakes, 'Brake pads', 'The thinnest, through the wheel', 22, 88, kind: PartKind::Pads),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine, gearbox and both axles', 50, 50),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, under the bed', 72, 50,
                fill: 'Cap on the engine', drain: 'Under the skid plate flap', stick: 'Stick, under the bed or seat'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Rear of the engine', 76, 46,
                in: 'engine_oil'),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Sleeve over the element', 60, 30),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Box behind the seat', 60, 34, under: ['pre_cleaner']),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, under the seat', 52, 70,
                fill: 'Cap, right side', draw: 'Siphon through the filler', gauge: 'Dash'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, right side', 58, 66, in: 'fuel'),
            $this->compartment('transmission', CompartmentKind::Gearbox, 'Gearbox oil', 'Behind the engine', 80, 50,
                fill: 'Plug, left side', drain: 'Plug below', plug: 'Plug, left side, to its threads'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears, tread and sidewall', 80, 10, kind: PartKind::Wheel),
            $this->part('rear_boots', Subject::Wheels, 'Rear CV boots', 'Outer and inner boots', 78, 18),
            $this->compartment('rear_axle', CompartmentKind::WetBrakeAxle, 'Rear axle oil', 'Rear axle, brakes inside',
                86, 50, fill: 'Plug, rear side', drain: 'Plug below', plug: 'Plug, rear side, to its threads'),
            $this->point('prop_shaft_joints', 'Prop-shaft joints', 'Both ends and the slip joint', 52, 50,
                strokes: 3, reach: 'Skid plate flap open.'),
            $this->point('a_arms_rear_left', 'A-arms, rear left', 'Inner ends, upper and lower', 78, 24,
                strokes: 4, end: EndSign::Strokes, most: 8),
            $this->point('a_arms_rear_right', 'A-arms, rear right', 'Inner ends, upper and lower', 78, 76,
                strokes: 4, end: EndSign::Strokes, most: 8),
            $this->spot('bed', Subject::Other, 'Bed', 'Latch and hinges of the bed', 88, 60),
            $this->point('bed_hinges', 'Bed hinges', 'Under the bed', 92, 50,
                strokes: 1, end: EndSign::Strokes, every: 100),
            $this->spot('wheel_nuts', Subject::Wheels, 'Wheel nuts', 'All four wheels', 80, 88),
            $this->spot('seat_belts', Subject::Safety, 'Seat belts', 'Both seats', 48, 40),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Pedal, rolling slowly', 36, 36),
            $this->spot('lights', Subject::Other, 'Lights', 'Front, rear, brake', 4, 40),
            $this->spot('warning_lamps', Subject::Other, 'Warning lamps', 'Dash, key on', 34, 50),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel', 38, 44),
            $this->part('cvt_belt', Subject::Belts, 'CVT belt', 'Behind the cover, left side', 68, 30, kind: PartKind::CvtBelt, under: ['cvt_gasket']),
            $this->spot('cvt_sheaves', Subject::Belts, 'Belt sheaves', 'Behind the cover, left side', 66, 28),
            $this->part('cvt_gasket', Subject::Belts, 'Belt cover gasket', 'Round the belt cover', 70, 28, kind: PartKind::Gasket),
            $this->part('battery', Subject::Battery, 'Battery', 'Under the seat', 50, 60),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plug', 'Under the bed', 74, 56),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Pipe and spark arrester, rear', 94, 64),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('front_boots', at: 'front_boots'),
            $this->look('rack_boots', at: 'rack_boots'),
            $this->look('shocks', at: 'shocks'),
            $this->look('play', at: 'wheel_bearings'),
            $this->look('leaks', at: 'leaks'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('coolant_level', at: 'coolant'),
            $this->look('hoses', at: 'hoses'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('rear_boots', at: 'rear_boots'),
            $this->look('bed', at: 'bed'),
            $this->look('wheel_nuts', at: 'wheel_nuts'),
            $this->look('seat_belts', at: 'seat_belts'),
            $this->look('brakes', at: 'brakes'),
            $this->look('brake_fluid', at: 'brake_fluid'),
            $this->look('lights', at: 'lights'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('steering', at: 'steering'),
            $this->look('tread', at: 'rear_tyres', place: 'The thinnest of the four'),
            $this->look('pads', at: 'pads'),
            $this->look('brake_fluid_age', at: 'brake_fluid', place: 'Reservoir'),
            $this->look('cvt_belt', at: 'cvt_belt'),
            $this->look('cvt_width', at: 'cvt_belt', place: 'Across the cords, belt out'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '14 psi', 'rear' => '18 psi']),
            $this->look('battery', at: 'battery'),
            $this->look('plug', at: 'spark_plugs'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours or distance', 'whichever comes first', [
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 100,
                    km: 1600, months: 12, first: 25, firstKm: 400),
                $this->rule('Air cleaner', TaskKind::Inspect, ['air_cleaner'], 25, km: 400, note: 'Sooner in dust.'),
                $this->greaseAll(50, km: 800),
                $this->rule('Drive belt', TaskKind::Inspect, ['cvt_belt', 'cvt_sheaves', 'cvt_gasket'], 100, km: 1600),
                $this->rule('Gear case oils', TaskKind::Replace, ['front_gear_case', 'transmission', 'rear_axle'], 200,
                    km: 3200, first: 25, firstKm: 400),
                $this->rule('Brake pads', TaskKind::Inspect, ['pads'], 50, km: 800, check: 'pads'),
                $this->rule('Spark plug', TaskKind::Inspect, ['spark_plugs'], 100, check: 'plug'),
                $this->rule('Brake fluid', TaskKind::Replace, ['brake_fluid'], months: 24),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
            $this->rulebook('Off road every day', 'mud, water and loads', [
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 50,
                    km: 800, months: 6, first: 25, firstKm: 400),
                $this->rule('Air cleaner', TaskKind::Inspect, ['air_cleaner'], 10, km: 160),
                $this->greaseAll(25, km: 400, note: 'And after every crossing of water.'),
                $this->rule('Drive belt', TaskKind::Inspect, ['cvt_belt', 'cvt_sheaves', 'cvt_gasket'], 50, km: 800),
                $this->rule('Gear case oils', TaskKind::Replace, ['front_gear_case', 'transmission', 'rear_axle'], 100,
                    km: 1600, months: 12, first: 25, firstKm: 400),
                $this->called('Gear case oils', TaskKind::Sample, ['front_gear_case', 'transmission', 'rear_axle'],
                    'it was under water to the hubs'),
                $this->rule('Boots and bushings', TaskKind::Inspect, ['front_boots', 'rear_boots', 'rack_boots'], 25,
                    km: 400),
                $this->rule('Brake pads', TaskKind::Inspect, ['pads'], 25, km: 400, check: 'pads'),
                $this->rule('Brake fluid', TaskKind::Replace, ['brake_fluid'], months: 24),
            ]),
        ];
    }
}
