<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Schedule\Anchor;

/** A compact or old tractor: seven housings and more, a loader, a three-point hitch. */
final class Tractor extends Starter
{
    protected function places(): array
    {
        return [
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, between the front wheels', 32, 50, fill: 'Cap on the valve cover', drain: 'Under the sump', stick: 'Right side of the engine'),
            $this->part('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Right side of the engine, upright', 34, 60, in: 'engine_oil'),
            $this->compartment('coolant', CompartmentKind::Coolant, 'Coolant', 'Radiator and engine', 16, 50, fill: 'Radiator cap, cold', drain: 'Tap at the foot of the radiator', line: 'Expansion tank, beside the radiator'),
            $this->spot('radiator_screen', Subject::Cooling, 'Radiator screen', 'Behind the grille', 12, 50),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Radiator and oil cooler', 14, 44),
            $this->part('hoses', Subject::Cooling, 'Hoses and clamps', 'Radiator, heater and fuel lines', 24, 42),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Bowl on the intake', 20, 40),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Under the bonnet, in front', 20, 44),
            $this->part('inner_element', Subject::AirCleaner, 'Air cleaner, inner element', 'Inside the main element', 21, 48),
            $this->part('alternator_belt', Subject::Belts, 'Alternator belt', 'Between crank and alternator, left side', 24, 56),
            $this->part('battery', Subject::Battery, 'Battery', 'Behind the grille', 13, 58),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine, axles and loader', 50, 50),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts, outside and inside', 18, 14),
            $this->point('king_pin_left', 'King pin, left', 'Front axle, left end', 18, 21, strokes: 4, reach: 'Turn the wheels full right so it comes free.'),
            $this->point('axle_pivot', 'Axle pivot', 'Middle of the front axle', 18, 50, strokes: 6, reach: 'From the front, under the radiator.'),
            $this->point('king_pin_right', 'King pin, right', 'Front axle, right end', 18, 79, strokes: 4, reach: 'Turn the wheels full left so it comes free.'),
            $this->point('tie_rod_ends', 'Tie-rod ends', 'Behind the front axle', 29, 34, strokes: 2),
            $this->spot('front_axle_joints', Subject::Wheels, 'King pins and tie rods', 'King pins and tie rods, wheels turned', 18, 30),
            $this->compartment('front_axle', CompartmentKind::FrontDifferential, 'Front axle oil', 'Front axle housing', 18, 56, fill: 'Left side, behind the step', drain: ['Under the middle', 'Under each end'], plug: 'Front of the housing'),
            $this->point('loader_pivots_left', 'Loader pivots, left', 'Loader arm, left, three pins', 34, 12, strokes: 9, every: 10),
            $this->point('loader_pivots_right', 'Loader pivots, right', 'Loader arm, right, three pins', 34, 88, strokes: 9, every: 10),
            $this->spot('loader', Subject::Hydraulics, 'Loader', 'Pins, hoses and cylinders of the loader', 34, 20),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, in front of the seat', 44, 34, fill: 'Cap, left side', drain: 'Tap under the tank', gauge: 'Dash'),
            $this->part('fuel_filter', Subject::Fuel, 'Fuel filter', 'Left side of the engine', 30, 38, in: 'fuel'),
            $this->part('water_separator', Subject::Fuel, 'Water separator', 'Separator bowl, left side', 28, 36, in: 'fuel'),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Pipe and muffler, right of the bonnet', 30, 66),
            $this->point('clutch_hub', 'Clutch hub', 'Bell housing, behind the floor plate', 46, 50, strokes: 1, end: EndSign::Strokes, most: 1, reach: 'Floor plate off.', every: 200),
            $this->point('brake_pivots', 'Brake pivots', 'Pedal shaft, under the right step', 55, 74, strokes: 2, end: EndSign::Strokes, most: 4, reach: 'Lie on the right side; the one nobody gets.', every: 100, with: 'brake_pedals'),
            $this->compartment('hydraulic', CompartmentKind::Hydraulic, 'Hydraulic oil', 'Rear housing, lift side', 70, 40, fill: 'Cap behind the seat', drain: 'Under the rear housing', glass: 'Sight glass at the rear housing'),
            $this->part('suction_screen', Subject::Hydraulics, 'Suction screen', 'Low on the rear housing, left', 66, 36, in: 'hydraulic'),
            $this->compartment('hydrostatic', CompartmentKind::Hydrostatic, 'Hydrostatic oil', 'Rear housing', 66, 50, fill: 'Filler behind the seat', drain: ['Under the housing', 'Under the range gear'], stick: 'Behind the seat'),
            $this->part('hydrostatic_filter', Subject::Hydraulics, 'Hydrostatic filter', 'Right side, upper', 62, 60, in: 'hydrostatic'),
            $this->part('hydrostatic_filter_2', Subject::Hydraulics, 'Second hydrostatic filter', 'Right side, lower', 64, 62, in: 'hydrostatic'),
            $this->part('breather', Subject::GearOil, 'Housing breather', 'On top of the rear housing', 70, 50, in: 'hydrostatic'),
            $this->compartment('reduction_gear', CompartmentKind::ReductionGear, 'Reduction gear oil', 'Both rear hubs', 74, 28, fill: 'Plug, high on each hub', drain: ['Low plug, left hub', 'Low plug, right hub'], plug: 'Middle plug of each hub'),
            $this->compartment('pto_housing', CompartmentKind::Pto, 'PTO housing oil', 'Rear, round the shaft', 84, 50, fill: 'Plug on top', drain: 'Plug below', plug: 'Plug beside the shaft'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears, outside and inside', 72, 14),
            $this->spot('wheel_nuts', Subject::Wheels, 'Wheel nuts', 'All four wheels', 72, 20),
            $this->spot('hitch', Subject::Other, 'Hitch', 'Three-point arms, top link, drawbar', 92, 42),
            $this->point('lift_arms', 'Three-point lift arms', 'Both lift-rod ends', 88, 30, strokes: 4),
            $this->spot('pto_shaft', Subject::Safety, 'PTO shaft and guard', 'PTO shaft and its guard', 93, 54),
            $this->point('pto_joints', 'PTO shaft joints', 'Both ends of the shaft', 92, 50, strokes: 3, reach: 'Engine off, key out.', every: 25),
            $this->spot('lights', Subject::Other, 'Lights', 'Front, rear and beacon', 8, 40),
            $this->spot('roll_frame', Subject::Safety, 'Roll-over frame', 'Bolts and lock pins of the frame, the belt', 64, 50),
            $this->spot('safety_switches', Subject::Safety, 'Safety switches', 'Rise from the seat, PTO on, engine idling', 58, 50),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Both pedals, coupled', 54, 68),
            $this->spot('brake_pedals', Subject::Brakes, 'Brake pedals', 'Both pedals, unlatched', 54, 72),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel', 50, 50),
            $this->spot('warning_lamps', Subject::Other, 'Warning lamps', 'Dash, key on', 48, 50),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('coolant_level', at: 'coolant'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('belt', at: 'alternator_belt'),
            $this->look('hoses', at: 'hoses'),
            $this->look('battery_look', at: 'battery'),
            $this->look('battery', at: 'battery', place: 'At the posts, behind the grille'),
            $this->look('screen', at: 'radiator_screen'),
            $this->look('leaks', at: 'leaks'),
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('front_axle', at: 'front_axle_joints'),
            $this->look('loader', at: 'loader'),
            $this->look('wheel_nuts', at: 'wheel_nuts'),
            $this->look('hydraulic_level', at: 'hydraulic'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('hitch', at: 'hitch'),
            $this->look('pto_guard', at: 'pto_shaft'),
            $this->look('lights', at: 'lights'),
            $this->look('roll_frame', at: 'roll_frame'),
            $this->look('seat_switch', at: 'safety_switches'),
            $this->look('brakes', at: 'brakes'),
            $this->look('pedal_play', at: 'brake_pedals'),
            $this->look('steering', at: 'steering'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('tyre_pressure', at: 'front_tyres', place: 'All four, valves', limits: ['front' => '28 psi', 'rear' => '16 psi']),
            $this->look('coolant_protection', at: 'coolant', place: 'Expansion tank'),
            $this->look('fuel_water', at: 'water_separator'),
            $this->look('hydraulic_look', at: 'hydraulic', place: 'A little on the stick or at the glass'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours', 'counted from the day it was done', [
                $this->greaseAll(50),
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 50, note: 'Sooner in dust. The inner element is never cleaned.'),
                $this->rule('Alternator belt', TaskKind::Inspect, ['alternator_belt'], 100, check: 'belt'),
                $this->rule('Brake pedals', TaskKind::Adjust, ['brake_pedals'], 100, check: 'pedal_play', note: 'Couple the pedals again.'),
                $this->rule('Hydraulic suction screen', TaskKind::Clean, ['suction_screen'], 200),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 200, months: 12, first: 50),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 400),
                $this->rule('Air cleaner', TaskKind::Replace, ['air_cleaner'], 400),
                $this->rule('Inner air element', TaskKind::Replace, ['inner_element'], 800),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, ['hydrostatic', 'hydrostatic_filter', 'hydrostatic_filter_2'], 400, first: 100),
                $this->rule('Front axle oil', TaskKind::Replace, ['front_axle'], 400, first: 50, note: 'New gears shed metal: change it early once.'),
                $this->rule('Reduction gear and PTO oil', TaskKind::Replace, ['reduction_gear', 'pto_housing'], 400, first: 50),
                $this->rule('Hoses and clamps', TaskKind::Inspect, ['hoses'], 400, months: 12),
                $this->rule('Coolant protection', TaskKind::Inspect, ['coolant'], months: 12, check: 'coolant_protection'),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
            $this->rulebook('By the column chart', 'the 50, 100, 200 and 400 h columns of a laminated chart', [
                $this->greaseAll(50),
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 50, note: 'Sooner in dust. The inner element is never cleaned.'),
                $this->rule('Wheel nuts and bolts', TaskKind::Adjust, ['wheel_nuts'], 100, check: 'wheel_nuts'),
                $this->rule('Alternator belt', TaskKind::Inspect, ['alternator_belt'], 100, check: 'belt'),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 200, first: 50),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 200),
                $this->rule('Air cleaner', TaskKind::Replace, ['air_cleaner'], 400),
                $this->rule('Hydrostatic filters', TaskKind::Replace, ['hydrostatic_filter', 'hydrostatic_filter_2'], 200, first: 50, note: 'The oil stays in; pour back what ran out.'),
                $this->rule('Hydrostatic oil and filters', TaskKind::Replace, ['hydrostatic', 'hydrostatic_filter', 'hydrostatic_filter_2'], 400),
                $this->rule('Front axle oil', TaskKind::Replace, ['front_axle'], 400, first: 50),
            ], Anchor::Chart),
            $this->rulebook('Few hours, by the season', 'a tractor run a few days a year', [
                $this->spring('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter']),
                $this->spring('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner']),
                $this->greaseAllInSpring(),
                $this->storage('Fuel tank and battery', TaskKind::Inspect, ['fuel', 'battery'], note: 'Tank full or stabilised, battery on a maintainer.'),
                $this->storage('Coolant protection', TaskKind::Inspect, ['coolant'], check: 'coolant_protection'),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 400, months: 36),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, ['hydrostatic', 'hydrostatic_filter', 'hydrostatic_filter_2'], 400, months: 48, first: 100),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
        ];
    }
}
