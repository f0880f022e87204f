<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;

/** A rider mower: one drive under the seat, a deck of two spindles. */
final class RiderMower extends Starter
{
    protected function places(): array
    {
        return [
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, under the hood', 20, 50,
                fill: 'Stick tube', drain: 'Left side, low', stick: 'Stick, under the hood'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Left side of the engine', 22, 42,
                in: 'engine_oil'),
            $this->spot('cooling_screen', Subject::Cooling, 'Cooling screen', 'Cooling screen on the engine', 24, 50),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Under the shroud', 22, 56),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Sleeve over the element', 18, 44),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Cover on the engine', 18, 42),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, under the seat or hood', 34, 50,
                fill: 'Cap of the tank', draw: 'Siphon through the filler', gauge: 'Tank, under the seat or hood'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, under the hood', 28, 44, in: 'fuel'),
            $this->part('hoses', Subject::Fuel, 'Hoses and clamps', 'Fuel line', 30, 46),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under the engine and the drive', 50, 50),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts', 14, 14),
            $this->point('axle_pivot', 'Axle pivot', 'Middle of the front axle', 14, 50, strokes: 3),
            $this->point('king_pins', 'King pins', 'Both ends of the front axle', 14, 22, strokes: 2, every: 25),
            $this->point('front_wheel_bearings', 'Front wheel bearings', 'Both hubs', 14, 78, strokes: 2, most: 4),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel, wheels on the ground', 44, 50),
            $this->point('steering_sector', 'Steering sector', 'Under the column', 34, 58,
                strokes: 2, reach: 'From below, wheels turned left.'),
            $this->part('deck_belt', Subject::Belts, 'Deck belt', 'On the deck, covers off', 54, 50),
            $this->part('blades', Subject::Cutting, 'Blades', 'Under the deck', 52, 40),
            $this->spot('deck', Subject::Cutting, 'Deck underside', 'Underside', 52, 60),
            $this->point('spindle_left', 'Spindle, left', 'Deck, left', 52, 26, strokes: 3, most: 6, every: 25),
            $this->point('spindle_right', 'Spindle, right', 'Deck, right', 52, 74, strokes: 3, most: 6, every: 25),
            $this->spot('chute', Subject::Safety, 'Chute', 'Side of the deck', 52, 90),
            $this->part('drive_belt', Subject::Belts, 'Drive belt', 'From engine to drive, from below', 62, 50),
            $this->compartment('hydrostatic', CompartmentKind::Hydrostatic, 'Hydrostatic oil',
                'Drive, between the rear wheels', 80, 50, fill: 'Tank under the seat', drain: 'Under the drive',
                line: 'Tank under the seat, cold'),
            $this->filter('hydrostatic_filter', Subject::Hydraulics, 'Hydrostatic filter', 'Under the drive', 82, 56,
                in: 'hydrostatic'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears', 80, 14),
            $this->spot('safety_switches', Subject::Safety, 'Safety switches', 'Rise from the seat, blades on', 70, 50),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Pedal, rolling slowly', 48, 70),
            $this->spot('lights', Subject::Other, 'Lights', 'Front', 8, 50),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plugs', 'Right side of the engine', 20, 60),
            $this->part('battery', Subject::Battery, 'Battery', 'Under the seat', 74, 56),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Muffler, in front', 10, 58),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('screen', at: 'cooling_screen'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('fuel_level', at: 'fuel'),
            $this->look('leaks', at: 'leaks'),
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('steering', at: 'steering'),
            $this->look('deck_belt', at: 'deck_belt'),
            $this->look('blades', at: 'blades'),
            $this->look('deck', at: 'deck'),
            $this->look('chute', at: 'chute'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('seat_switch', at: 'safety_switches'),
            $this->look('brakes', at: 'brakes'),
            $this->look('lights', at: 'lights'),
            $this->look('plug', at: 'spark_plugs'),
            $this->look('battery', at: 'battery'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '14 psi', 'rear' => '10 psi']),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours', 'a mower at work most weeks of the season', [
                $this->rule('Deck underside', TaskKind::Clean, ['deck'], 25),
                $this->rule('Blades', TaskKind::Clean, ['blades'], 50,
                    note: 'Sharp, balanced, tight; the right side down.'),
                $this->greaseAll(50),
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 50,
                    note: 'Sooner in dust.'),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 100,
                    months: 12, first: 25),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 100),
                $this->rule('Drive and deck belts', TaskKind::Inspect, ['drive_belt', 'deck_belt'], 100),
                $this->rule('Spark plugs', TaskKind::Replace, ['spark_plugs'], 200),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, ['hydrostatic', 'hydrostatic_filter'], 250,
                    first: 100),
            ]),
            $this->rulebook('By the season', 'a small lawn: once before the first mowing and once before storage', [
                $this->spring('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'],
                    first: 25),
                $this->spring('Blades', TaskKind::Clean, ['blades'], note: 'Sharp, balanced, tight.'),
                $this->spring('Spark plugs', TaskKind::Inspect, ['spark_plugs'], check: 'plug'),
                $this->spring('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner']),
                $this->spring('Tyres and battery', TaskKind::Inspect, ['front_tyres', 'rear_tyres', 'battery']),
                $this->greaseAllInSpring(),
                $this->storage('Deck underside', TaskKind::Clean, ['deck']),
                $this->storage('Fuel', TaskKind::Inspect, ['fuel'], note: 'Valve shut and run dry, or stabilised.'),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], months: 60),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, ['hydrostatic', 'hydrostatic_filter'], 250,
                    months: 60, first: 100),
            ]),
            $this->rulebook('Tighter, for dust', 'dry ground, big areas, hired drivers', [
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 10),
                $this->rule('Air cleaner', TaskKind::Replace, ['air_cleaner'], 100),
                $this->rule('Deck underside', TaskKind::Clean, ['deck'], 10),
                $this->rule('Blades', TaskKind::Clean, ['blades'], 25, note: 'Sharp, balanced, tight.'),
                $this->greaseAll(25),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 50,
                    months: 12, first: 25),
                $this->rule('Fuel filter', TaskKind::Replace, ['fuel_filter'], 100, months: 12),
                $this->rule('Drive and deck belts', TaskKind::Inspect, ['drive_belt', 'deck_belt'], 50),
                $this->rule('Spark plugs', TaskKind::Replace, ['spark_plugs'], 100),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, ['hydrostatic', 'hydrostatic_filter'], 200,
                    first: 75),
            ]),
        ];
    }
}
