<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A front-deck mower with a diesel at the rear. */
final class FrontMower extends Mower
{
    protected function places(): array
    {
        return [
            $this->part('blades', Subject::Cutting, 'Blades', 'Under the deck, deck raised and locked', 14, 50, kind: PartKind::Blade),
            $this->spot('deck', Subject::Cutting, 'Deck underside', 'Underside', 16, 40),
            $this->spot('casters', Subject::Wheels, 'Deck wheels', 'Deck wheels, rock and spin', 6, 20),
            $this->point('deck_wheel_left', 'Deck wheel, left', 'Left yoke', 6, 12, strokes: 2, every: 25),
            $this->point('deck_wheel_right', 'Deck wheel, right', 'Right yoke', 6, 88, strokes: 2, every: 25),
            $this->point('spindle_left', 'Spindle, left', 'Deck, left', 16, 28, strokes: 3, most: 6),
            $this->point('spindle_middle', 'Spindle, middle', 'Deck, middle', 12, 50, strokes: 3, most: 6),
            $this->point('spindle_right', 'Spindle, right', 'Deck, right', 16, 72, strokes: 3, most: 6),
            $this->part('deck_belt', Subject::Belts, 'Deck belt', 'On the deck, covers off', 18, 50, kind: PartKind::DeckBelt),
            $this->compartment('deck_gearbox', CompartmentKind::Gearbox, 'Deck gearbox oil', 'On the deck, middle', 22,
                50, fill: 'Plug on top', drain: 'Plug below', plug: 'Plug at the side'),
            $this->spot('chute', Subject::Safety, 'Chute', 'Side of the deck', 14, 92),
            $this->spot('pto_shaft', Subject::Safety, 'Deck shaft and guard', 'Shaft between machine and deck', 30, 54),
            $this->point('pto_joints', 'PTO shaft joints', 'Between machine and deck', 32, 50,
                strokes: 3, reach: 'Engine off, key out.', every: 25),
            $this->point('lift_arms', 'Lift arms', 'Both, behind the deck', 33, 30, strokes: 4),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both drive wheels', 42, 14, kind: PartKind::Wheel),
            $this->spot('wheel_nuts', Subject::Wheels, 'Wheel nuts', 'All four wheels', 42, 20),
            $this->compartment('front_axle', CompartmentKind::FrontDifferential, 'Front axle oil',
                'Drive axle, under the seat', 42, 50, fill: 'Plug on top', drain: 'Plug below',
                plug: 'Plug at the rear'),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, at the rear', 78, 50,
                fill: 'Cap on the valve cover', drain: 'Under the sump', stick: 'Stick, at the rear'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Left side of the engine', 78, 42,
                in: 'engine_oil'),
            $this->compartment('coolant', CompartmentKind::Coolant, 'Coolant', 'Radiator and engine', 88, 50,
                fill: 'Radiator cap, cold', drain: 'Tap at the foot of the radiator',
                line: 'Expansion tank, at the rear', taps: true),
            $this->spot('radiator_screen', Subject::Cooling, 'Radiator screen', 'Radiator screen, at the rear', 92, 50),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Radiator and oil cooler', 90, 44),
            $this->part('hoses', Subject::Cooling, 'Hoses and clamps', 'Radiator, fuel and hydrostatic lines', 82, 60),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Bowl on the intake', 74, 36),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'At the rear', 76, 34),
            $this->part('inner_element', Subject::AirCleaner, 'Air cleaner, inner element', 'Inside the main element',
                77, 38, under: ['air_cleaner']),
            $this->part('alternator_belt', Subject::Belts, 'Alternator belt',
                'Between crank and alternator, at the rear', 84, 50, kind: PartKind::VBelt),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, left side', 62, 26,
                fill: 'Cap, left side', drain: 'Tap under the tank', gauge: 'Dash', taps: true),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'Left side of the engine', 74, 40, in: 'fuel'),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under deck, drive and engine', 60, 50),
            $this->compartment('hydrostatic', CompartmentKind::Hydrostatic, 'Hydrostatic oil',
                'Housing under the floor', 54, 60, fill: 'Filler, right side', drain: 'Under the housing',
                glass: 'Sight glass, right side'),
            $this->filter('hydrostatic_filter', Subject::Hydraulics, 'Hydrostatic filter', 'Right side, low', 56, 66,
                in: 'hydrostatic'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both steered wheels', 86, 14, kind: PartKind::Wheel),
            $this->point('rear_axle_pivot', 'Rear axle pivot', 'Middle of the rear axle', 86, 50, strokes: 4),
            $this->spot('roll_frame', Subject::Safety, 'Roll-over frame', 'Frame up, pins in, belt on', 58, 44),
            $this->spot('safety_switches', Subject::Safety, 'Safety switches', 'Rise from the seat, blades on', 48, 50),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Both pedals', 40, 66),
            $this->point('brake_pivots', 'Brake pivots', 'Pedal shaft, from below', 48, 70,
                strokes: 1, end: EndSign::Strokes, most: 2, every: 100),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel', 44, 44),
            $this->spot('lights', Subject::Other, 'Lights', 'Front and rear', 36, 40),
            $this->spot('warning_lamps', Subject::Other, 'Warning lamps', 'Dash, key on', 44, 56),
            $this->part('battery', Subject::Battery, 'Battery', 'At the posts', 66, 66),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Pipe and muffler, rear', 94, 60),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('blades', at: 'blades'),
            $this->look('deck', at: 'deck'),
            $this->look('casters', at: 'casters'),
            $this->look('deck_belt', at: 'deck_belt'),
            $this->look('chute', at: 'chute'),
            $this->look('pto_guard', at: 'pto_shaft'),
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('wheel_nuts', at: 'wheel_nuts'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('coolant_level', at: 'coolant'),
            $this->look('screen', at: 'radiator_screen'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('belt', at: 'alternator_belt'),
            $this->look('hoses', at: 'hoses'),
            $this->look('leaks', at: 'leaks'),
            $this->look('hydro_level', at: 'hydrostatic'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('roll_frame', at: 'roll_frame'),
            $this->look('seat_switch', at: 'safety_switches'),
            $this->look('brakes', at: 'brakes'),
            $this->look('steering', at: 'steering'),
            $this->look('lights', at: 'lights'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '14 psi', 'rear' => '20 psi']),
            $this->look('battery', at: 'battery'),
            $this->look('coolant_protection', at: 'coolant', place: 'Expansion tank'),
        ];
    }

    protected function hydrostatic(): array
    {
        return ['hydrostatic', 'hydrostatic_filter'];
    }

    protected function wearing(int $hours): array
    {
        return [
            $this->rule('Deck belt', TaskKind::Inspect, ['deck_belt'], $hours),
            $this->rule('Alternator belt', TaskKind::Inspect, ['alternator_belt'], $hours, check: 'belt'),
        ];
    }

    protected function inSpring(): StarterRule
    {
        return $this->spring('Alternator belt', TaskKind::Inspect, ['alternator_belt'], check: 'belt');
    }

    protected function besides(): array
    {
        return [
            $this->rule('Deck gearbox and front axle oil', TaskKind::Replace, ['deck_gearbox', 'front_axle'], 500,
                first: 50),
            $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
        ];
    }
}
