<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A rider mower: one drive under the seat, a deck of two spindles. */
final class RiderMower extends Mower
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
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Cover on the engine', 18, 42, under: ['pre_cleaner']),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, under the seat or hood', 34, 50,
                fill: 'Cap of the tank', draw: 'Siphon through the filler', gauge: 'Tank, under the seat or hood'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, under the hood', 28, 44, in: 'fuel'),
            $this->part('hoses', Subject::Fuel, 'Hoses and clamps', 'Fuel line', 30, 46),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under the engine and the drive', 50, 50),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts', 14, 14, kind: PartKind::Wheel),
            $this->point('axle_pivot', 'Axle pivot', 'Middle of the front axle', 14, 50, strokes: 3),
            $this->point('king_pins', 'King pins', 'Both ends of the front axle', 14, 22, strokes: 2, every: 25),
            $this->point('front_wheel_bearings', 'Front wheel bearings', 'Both hubs', 14, 78, strokes: 2, most: 4),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel, wheels on the ground', 44, 50),
            $this->point('steering_sector', 'Steering sector', 'Under the column', 34, 58,
                strokes: 2, reach: 'From below, wheels turned left.'),
            $this->part('deck_belt', Subject::Belts, 'Deck belt', 'On the deck, covers off', 54, 50, kind: PartKind::DeckBelt),
            $this->part('blades', Subject::Cutting, 'Blades', 'Under the deck', 52, 40, kind: PartKind::Blade),
            $this->spot('deck', Subject::Cutting, 'Deck underside', 'Underside', 52, 60),
            $this->point('spindle_left', 'Spindle, left', 'Deck, left', 52, 26, strokes: 3, most: 6, every: 25),
            $this->point('spindle_right', 'Spindle, right', 'Deck, right', 52, 74, strokes: 3, most: 6, every: 25),
            $this->spot('chute', Subject::Safety, 'Chute', 'Side of the deck', 52, 90),
            $this->part('drive_belt', Subject::Belts, 'Drive belt', 'From engine to drive, from below', 62, 50, kind: PartKind::VBelt),
            $this->compartment('hydrostatic', CompartmentKind::Hydrostatic, 'Hydrostatic oil',
                'Drive, between the rear wheels', 80, 50, fill: 'Tank under the seat', drain: 'Under the drive',
                line: 'Tank under the seat, cold'),
            $this->filter('hydrostatic_filter', Subject::Hydraulics, 'Hydrostatic filter', 'Under the drive', 82, 56,
                in: 'hydrostatic'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears', 80, 14, kind: PartKind::Wheel),
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

    protected function hydrostatic(): array
    {
        return ['hydrostatic', 'hydrostatic_filter'];
    }

    protected function wearing(int $hours): array
    {
        return [
            $this->rule('Drive and deck belts', TaskKind::Inspect, ['drive_belt', 'deck_belt'], $hours),
            $this->rule('Spark plugs', TaskKind::Replace, ['spark_plugs'], 2 * $hours),
        ];
    }

    protected function inSpring(): StarterRule
    {
        return $this->spring('Spark plugs', TaskKind::Inspect, ['spark_plugs'], check: 'plug');
    }
}
