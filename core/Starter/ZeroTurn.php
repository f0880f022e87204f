<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A zero-turn mower: two drives, levers, a deck of three spindles. */
final class ZeroTurn extends Mower
{
    protected function places(): array
    {
        return [
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, behind the seat', 82, 50,
                fill: 'Cap on the engine', drain: 'Hose with a plug, right side', stick: 'Stick, behind the seat'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Right side of the engine', 84,
                60, in: 'engine_oil'),
            $this->spot('cooling_screen', Subject::Cooling, 'Cooling screen', 'Cooling screen on top of the engine', 86,
                50),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Under the shroud, both cylinders', 84, 42),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Sleeve over the element', 78, 42),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Canister on the engine', 80,
                40, under: ['pre_cleaner']),
            $this->part('inner_element', Subject::AirCleaner, 'Air cleaner, inner element', 'Inside the main element',
                81, 44, under: ['air_cleaner']),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, left of the seat', 62, 28,
                fill: 'Cap of the tank', draw: 'Siphon through the filler', gauge: 'Tank, left of the seat'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, left of the engine', 76, 34,
                in: 'fuel'),
            $this->part('hoses', Subject::Fuel, 'Hoses and clamps', 'Fuel and oil lines', 74, 40),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine and both drives', 72, 50),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both drive wheels', 78, 14, kind: PartKind::Wheel),
            $this->spot('wheel_nuts', Subject::Wheels, 'Wheel nuts', 'Drive wheels', 78, 20),
            $this->compartment('hydrostatic_left', CompartmentKind::Hydrostatic, 'Hydrostatic oil, left', 'Left drive',
                72, 34, fill: 'Tank behind the seat', drain: 'Under the left drive',
                line: 'Expansion tank behind the seat'),
            $this->filter('hydrostatic_filter_left', Subject::Hydraulics, 'Hydrostatic filter, left',
                'Under the left drive', 70, 36, in: 'hydrostatic_left'),
            $this->compartment('hydrostatic_right', CompartmentKind::Hydrostatic, 'Hydrostatic oil, right',
                'Right drive', 72, 66, fill: 'Tank behind the seat', drain: 'Under the right drive',
                line: 'Expansion tank behind the seat'),
            $this->filter('hydrostatic_filter_right', Subject::Hydraulics, 'Hydrostatic filter, right',
                'Under the right drive', 70, 64, in: 'hydrostatic_right'),
            $this->part('deck_belt', Subject::Belts, 'Deck belt', 'On the deck, covers off', 42, 50, kind: PartKind::DeckBelt),
            $this->part('blades', Subject::Cutting, 'Blades', 'Under the deck', 34, 50, kind: PartKind::Blade),
            $this->spot('deck', Subject::Cutting, 'Deck underside', 'Underside', 36, 40),
            $this->spot('casters', Subject::Wheels, 'Casters', 'Both fronts, rock and spin', 14, 30),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both caster wheels', 14, 14, kind: PartKind::Wheel),
            $this->point('caster_left', 'Caster, left', 'Front left yoke', 14, 20, strokes: 2, every: 25),
            $this->point('caster_right', 'Caster, right', 'Front right yoke', 14, 80, strokes: 2, every: 25),
            $this->point('spindle_left', 'Spindle, left', 'Deck, left', 36, 24,
                strokes: 3, most: 6, reach: 'From above, blades off the ground.'),
            $this->point('spindle_middle', 'Spindle, middle', 'Deck, middle', 30, 50,
                strokes: 3, most: 6, reach: 'Floor plate up.'),
            $this->point('spindle_right', 'Spindle, right', 'Deck, right', 36, 76, strokes: 3, most: 6),
            $this->point('idler_arm', 'Idler arm', 'Deck, under the belt cover', 46, 62,
                strokes: 1, end: EndSign::Strokes, most: 2, reach: 'Belt cover off.', every: 50, with: 'deck_belt'),
            $this->spot('safety_switches', Subject::Safety, 'Safety switches', 'Rise from the seat, blades on', 58, 50),
            $this->spot('chute', Subject::Safety, 'Chute', 'Right side of the deck', 38, 90),
            $this->spot('levers', Subject::Other, 'Levers', 'Both steering levers', 52, 36),
            $this->point('lever_pivots', 'Lever pivots', 'Both, in front of the seat', 56, 34,
                strokes: 1, end: EndSign::Strokes, most: 2, every: 100),
            $this->spot('brakes', Subject::Brakes, 'Parking brake', 'Parking brake, on a slope', 66, 50),
            $this->spot('roll_frame', Subject::Safety, 'Roll-over frame', 'Frame up, pins in, belt on', 66, 56),
            $this->spot('warning_lamps', Subject::Other, 'Warning lamps', 'Dash, key on', 56, 66),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plugs', 'Both cylinders', 88, 50),
            $this->part('battery', Subject::Battery, 'Battery', 'Under the seat', 60, 60),
            $this->part('drive_belt', Subject::Belts, 'Drive belt', 'From engine to drives, from below', 76, 50, kind: PartKind::VBelt),
            $this->point('blade_clutch', 'Blade clutch', 'Under the engine', 78, 54, strokes: 1, end: EndSign::Strokes,
                most: 1, reach: 'Belt off: the belt runs here.', every: 200, with: 'drive_belt'),
            $this->spot('exhaust', Subject::Exhaust, 'Exhaust', 'Muffler, rear', 92, 50),
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
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('wheel_nuts', at: 'wheel_nuts'),
            $this->look('hydro_level', at: 'hydrostatic_left'),
            $this->look('deck_belt', at: 'deck_belt'),
            $this->look('blades', at: 'blades'),
            $this->look('deck', at: 'deck'),
            $this->look('casters', at: 'casters'),
            $this->look('seat_switch', at: 'safety_switches'),
            $this->look('chute', at: 'chute'),
            $this->look('levers', at: 'levers'),
            $this->look('brakes', at: 'brakes'),
            $this->look('roll_frame', at: 'roll_frame'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('plug', at: 'spark_plugs'),
            $this->look('battery_look', at: 'battery'),
            $this->look('battery', at: 'battery', place: 'At the posts, under the seat'),
            $this->look('tyre_pressure',
                at: 'rear_tyres', place: 'All four, valves', limits: ['front' => '25 psi', 'rear' => '13 psi']),
            $this->look('drive_belt_look', at: 'drive_belt'),
            $this->look('hoses', at: 'hoses'),
        ];
    }

    protected function hydrostatic(): array
    {
        return ['hydrostatic_left', 'hydrostatic_filter_left', 'hydrostatic_right', 'hydrostatic_filter_right'];
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
