<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A lawn aerator: a small engine, chains and a drum of tines. */
final class Aerator extends Starter
{
    protected function places(): array
    {
        return [
            $this->part('tines', Subject::Cutting, 'Tines', 'Along the drum', 30, 50),
            $this->spot('frame', Subject::Cutting, 'Tines and frame', 'Drum, frame and guards', 34, 30),
            $this->part('chains', Subject::Belts, 'Drive chains', 'Both sides, guards off', 44, 24),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump', 62, 50,
                fill: 'Stick tube', drain: 'Plug, low on the engine', stick: 'Stick'),
            $this->compartment('drive_oil', CompartmentKind::Gearbox, 'Drive oil', 'Gear case between engine and drum',
                52, 60, fill: 'Plug on top', drain: 'Plug below', plug: 'Plug at the side'),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank', 68, 40,
                fill: 'Cap of the tank', draw: 'Siphon through the filler', gauge: 'Tank'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, under the tank', 66, 44, in: 'fuel'),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Sleeve over the element', 64, 36),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'On the engine', 66, 34, under: ['pre_cleaner']),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Round the cylinder', 60, 40),
            $this->part('drive_belt', Subject::Belts, 'Drive belt', 'Between engine and drum', 50, 44, kind: PartKind::VBelt),
            $this->spot('guards', Subject::Safety, 'Guards', 'All round', 40, 70),
            $this->spot('levers', Subject::Other, 'Levers', 'Both handles', 90, 50),
            $this->part('front_tyres', Subject::Wheels, 'Tyres', 'Both wheels', 70, 14, kind: PartKind::Wheel),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plug', 'Front of the engine', 58, 50),
            $this->point('drum_bearing_left', 'Drum bearing, left', 'Left end of the drum', 30, 18,
                strokes: 2, most: 4, every: 10),
            $this->point('drum_bearing_right', 'Drum bearing, right', 'Right end of the drum', 30, 82,
                strokes: 2, most: 4, every: 10),
            $this->point('idler', 'Idler', 'Behind the belt guard', 55, 40,
                strokes: 1, end: EndSign::Strokes, most: 1, reach: 'Guard off.', every: 25, with: 'drive_belt'),
            $this->point('wheel_bearings', 'Wheel bearings', 'Both wheels', 70, 50,
                strokes: 1, end: EndSign::Strokes, most: 3),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('tines', at: 'tines'),
            $this->look('chains', at: 'chains'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('fuel_level', at: 'fuel'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('drive_belt_look', at: 'drive_belt'),
            $this->look('guards', at: 'guards'),
            $this->look('levers', at: 'levers'),
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('plug', at: 'spark_plugs'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours', 'many lawns a week', [
                $this->greaseAll(25),
                $this->rule('Engine oil', TaskKind::Replace, ['engine_oil'], 50, months: 12, first: 20),
                $this->rule('Drive chains', TaskKind::Adjust, ['chains'], 25),
                $this->rule('Drive belt', TaskKind::Inspect, ['drive_belt'], 50),
                $this->rule('Drive oil', TaskKind::CheckLevel, ['drive_oil'], 50),
                $this->rule('Drive oil', TaskKind::Replace, ['drive_oil'], 200, months: 24),
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 50,
                    note: 'Sooner in dust.'),
            ]),
            $this->rulebook('By the season', 'one estate, spring and autumn', [
                $this->spring('Engine oil', TaskKind::Replace, ['engine_oil'], first: 20),
                $this->spring('Drive chains', TaskKind::Adjust, ['chains']),
                $this->spring('Drive oil', TaskKind::CheckLevel, ['drive_oil']),
                $this->spring('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner']),
                $this->greaseAll(25),
                $this->storage('Tines and frame', TaskKind::Clean, ['tines', 'frame'], note: 'Washed, dried, oiled.'),
            ]),
        ];
    }
}
