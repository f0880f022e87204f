<?php

declare(strict_types=1);

namespace Core\Grease;

use Core\Machine\MachineClass;
use Core\Schedule\Interval;

/**
 * The grease points that each class of machine begins with, in walking order. Strokes and intervals are common practice, no source: the maker's manual of
 * the machine at hand wins.
 */
final class StarterPoints
{
    /** @return list<GreasePoint> */
    public static function for(MachineClass $class): array
    {
        $h = fn (int $hours): Interval => Interval::ofHours($hours);
        $point = fn (string $name, string $place, int $strokes, int $hours, int $x, int $y, EndSign $end = EndSign::Shows, ?int $most = null, string $reach = '', ?string $job = null): GreasePoint => new GreasePoint($name, $place, $strokes, $h($hours), [$x, $y], $end, $most, $reach, $job);

        return match ($class) {
            MachineClass::Tractor => [
                $point('King pin, left', 'Front axle, left end', 4, 50, 18, 21, reach: 'Turn the wheels full right so it comes free.'),
                $point('Axle pivot', 'Middle of the front axle', 6, 50, 18, 50, reach: 'From the front, under the radiator.'),
                $point('King pin, right', 'Front axle, right end', 4, 50, 18, 79, reach: 'Turn the wheels full left so it comes free.'),
                $point('Tie-rod ends', 'Behind the front axle', 2, 50, 29, 34),
                $point('Loader pivots, left', 'Loader arm, left, three pins', 9, 10, 34, 12),
                $point('Loader pivots, right', 'Loader arm, right, three pins', 9, 10, 34, 88),
                $point('Clutch hub', 'Bell housing, behind the floor plate', 1, 200, 46, 50, EndSign::Strokes, 1, 'Floor plate off.', 'Floor plate off'),
                $point('Brake pivots', 'Pedal shaft, under the right step', 2, 100, 55, 74, EndSign::Strokes, 4, 'Lie on the right side; the one nobody gets.'),
                $point('PTO shaft joints', 'Both ends of the shaft', 3, 25, 92, 50, reach: 'Engine off, key out.'),
                $point('Three-point lift arms', 'Both lift-rod ends', 4, 50, 88, 30),
            ],
            MachineClass::ZeroTurn => [
                $point('Caster, left', 'Front left yoke', 2, 25, 14, 20),
                $point('Caster, right', 'Front right yoke', 2, 25, 14, 80),
                $point('Spindle, left', 'Deck, left', 3, 50, 36, 24, most: 6, reach: 'From above, blades off the ground.'),
                $point('Spindle, middle', 'Deck, middle', 3, 50, 30, 50, most: 6, reach: 'Floor plate up.'),
                $point('Spindle, right', 'Deck, right', 3, 50, 36, 76, most: 6),
                $point('Idler arm', 'Deck, under the belt cover', 1, 50, 46, 62, EndSign::Strokes, 2, 'Belt cover off.', 'Deck belt'),
                $point('Blade clutch', 'Under the engine', 1, 200, 78, 50, EndSign::Strokes, 1, 'Belt off: the belt runs here.', 'Drive belt'),
                $point('Lever pivots', 'Both, in front of the seat', 1, 100, 56, 34, EndSign::Strokes, 2),
            ],
            MachineClass::RiderMower => [
                $point('Axle pivot', 'Middle of the front axle', 3, 50, 14, 50),
                $point('King pins', 'Both ends of the front axle', 2, 25, 14, 22),
                $point('Steering sector', 'Under the column', 2, 50, 34, 58, reach: 'From below, wheels turned left.'),
                $point('Spindle, left', 'Deck, left', 3, 25, 52, 26, most: 6),
                $point('Spindle, right', 'Deck, right', 3, 25, 52, 74, most: 6),
                $point('Front wheel bearings', 'Both hubs', 2, 50, 14, 78, most: 4),
            ],
            MachineClass::FrontMower => [
                $point('Deck wheel, left', 'Left yoke', 2, 25, 6, 12),
                $point('Deck wheel, right', 'Right yoke', 2, 25, 6, 88),
                $point('Spindle, left', 'Deck, left', 3, 50, 16, 28, most: 6),
                $point('Spindle, middle', 'Deck, middle', 3, 50, 12, 50, most: 6),
                $point('Spindle, right', 'Deck, right', 3, 50, 16, 72, most: 6),
                $point('PTO shaft joints', 'Between machine and deck', 3, 25, 32, 50, reach: 'Engine off, key out.'),
                $point('Lift arms', 'Both, behind the deck', 4, 50, 33, 30),
                $point('Rear axle pivot', 'Middle of the rear axle', 4, 50, 86, 50),
                $point('Brake pivots', 'Pedal shaft, from below', 1, 100, 48, 70, EndSign::Strokes, 2),
            ],
            MachineClass::UtilityVehicle => [
                $point('A-arms, front left', 'Inner ends, upper and lower', 4, 50, 24, 24, EndSign::Strokes, 8),
                $point('A-arms, front right', 'Inner ends, upper and lower', 4, 50, 24, 76, EndSign::Strokes, 8),
                $point('Steering joints', 'Both ends of the column', 2, 50, 32, 42),
                $point('Prop-shaft joints', 'Both ends and the slip joint', 3, 50, 52, 50, reach: 'Skid plate flap open.'),
                $point('A-arms, rear left', 'Inner ends, upper and lower', 4, 50, 78, 24, EndSign::Strokes, 8),
                $point('A-arms, rear right', 'Inner ends, upper and lower', 4, 50, 78, 76, EndSign::Strokes, 8),
                $point('Bed hinges', 'Under the bed', 1, 100, 92, 50, EndSign::Strokes),
            ],
            MachineClass::AllTerrainVehicle => [
                $point('A-arms, front left', 'Inner ends', 2, 50, 24, 26, EndSign::Strokes, 4),
                $point('A-arms, front right', 'Inner ends', 2, 50, 24, 74, EndSign::Strokes, 4),
                $point('Steering post', 'Lower bearing', 1, 100, 36, 50, EndSign::Strokes, 3),
                $point('Prop-shaft joint', 'Front end', 2, 50, 46, 50),
                $point('Swing arm', 'Both bearings', 3, 50, 72, 50),
            ],
            MachineClass::SmallTruck => [
                $point('King pins or ball joints', 'Both front wheels', 3, 50, 20, 22),
                $point('Prop-shaft joints', 'Both ends', 3, 50, 55, 50),
                $point('Tailgate hinges', 'Rear edge of the bed', 1, 100, 95, 50, EndSign::Strokes),
            ],
            MachineClass::PetrolCart, MachineClass::ElectricCart => [
                $point('King pins', 'Both front wheels', 2, 50, 20, 22),
                $point('Steering box', 'Under the floor', 2, 100, 30, 50),
                $point('Pedal shaft', 'Under the floor mat', 1, 100, 41, 68, EndSign::Strokes, 2),
                $point('Spring shackles', 'Rear springs', 2, 100, 82, 24),
            ],
            MachineClass::Generator => [$point('Fan bearing', 'Behind the guard, fan end', 1, 400, 20, 50, EndSign::Strokes, 2, 'Starting disabled first.')],
            MachineClass::Aerator => [
                $point('Drum bearing, left', 'Left end of the drum', 2, 10, 30, 18, most: 4),
                $point('Drum bearing, right', 'Right end of the drum', 2, 10, 30, 82, most: 4),
                $point('Idler', 'Behind the belt guard', 1, 25, 55, 40, EndSign::Strokes, 1, 'Guard off.', 'Drive belt'),
                $point('Wheel bearings', 'Both wheels', 1, 25, 70, 50, EndSign::Strokes, 3),
            ],
            MachineClass::Crawler => [
                $point('Pivot shaft, left', 'Inside the left track frame', 50, 100, 50, 16, EndSign::Strokes, 75, 'Cover inside the frame off; 75 strokes where long neglected.'),
                $point('Pivot shaft, right', 'Inside the right track frame', 50, 100, 50, 84, EndSign::Strokes, 75, 'Cover inside the frame off; 75 strokes where long neglected.'),
                $point('Equalizer bar', 'Middle of the bar', 6, 50, 20, 54),
                $point('Blade trunnions', 'Both sides', 4, 10, 20, 14),
                $point('Clutch release', 'Under the floor plate', 1, 50, 66, 50, EndSign::Strokes, 1, 'Floor plate off.', 'Floor plate off'),
                $point('Fan hub', 'Behind the radiator', 1, 50, 36, 40, EndSign::Strokes, 2),
                $point('Lever shafts', 'Under the seat', 2, 100, 76, 60, EndSign::Strokes, 4),
            ],
        };
    }
}
