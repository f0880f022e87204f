<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\MachineClass;

/**
 * The check sheet that each class of machine begins with, in walking order. Every limit is common practice, no source: the maker's manual of the machine
 * at hand wins.
 */
final class StarterSheet
{
    /** @var array<string, array<string, string>> by class: what is looked at, in walking order, and where on such a machine */
    private const WALKS = [
        'tractor' => [
            'engine_oil' => 'Stick, right side of the engine', 'coolant_level' => 'Expansion tank, beside the radiator', 'air_cleaner' => 'Under the bonnet, in front', 'belt' => 'Between crank and alternator, left side',
            'battery_look' => 'Behind the grille', 'battery' => 'At the posts, behind the grille', 'screen' => 'Radiator screen, behind the grille', 'leaks' => 'Under engine, axles and loader', 'front_tyres' => 'Both fronts, outside and inside',
            'front_axle' => 'King pins and tie rods, wheels turned', 'loader' => 'Pins, hoses and cylinders of the loader', 'wheel_nuts' => 'All four wheels', 'hydraulic_level' => 'Sight glass at the rear housing', 'rear_tyres' => 'Both rears, outside and inside',
            'hitch' => 'Three-point arms, top link, drawbar', 'pto_guard' => 'PTO shaft and its guard', 'lights' => 'Front, rear and beacon', 'roll_frame' => 'Bolts and lock pins of the frame, the belt', 'seat_switch' => 'Rise from the seat, PTO on, engine idling', 'brakes' => 'Both pedals, coupled', 'pedal_play' => 'Both pedals, unlatched',
            'steering' => 'At the wheel', 'warning_lamps' => 'Dash, key on', 'tyre_pressure' => 'All four, valves', 'coolant_protection' => 'Expansion tank', 'fuel_water' => 'Separator bowl, left side', 'hydraulic_look' => 'A little on the stick or at the glass',
        ],
        'zero_turn' => [
            'engine_oil' => 'Stick, behind the seat', 'screen' => 'Cooling screen on top of the engine', 'air_cleaner' => 'Canister on the engine', 'fuel_level' => 'Tank, left of the seat', 'leaks' => 'Under engine and both drives', 'rear_tyres' => 'Both drive wheels', 'wheel_nuts' => 'Drive wheels',
            'hydro_level' => 'Expansion tank behind the seat', 'deck_belt' => 'On the deck, covers off', 'blades' => 'Under the deck', 'deck' => 'Underside', 'casters' => 'Both fronts, rock and spin', 'seat_switch' => 'Rise from the seat, blades on', 'chute' => 'Right side of the deck', 'levers' => 'Both steering levers', 'brakes' => 'Parking brake, on a slope',
            'roll_frame' => 'Frame up, pins in, belt on', 'warning_lamps' => 'Dash, key on', 'plug' => 'Both cylinders', 'battery_look' => 'Under the seat', 'battery' => 'At the posts, under the seat', 'tyre_pressure' => 'All four, valves', 'drive_belt_look' => 'From engine to drives, from below',
        ],
        'rider_mower' => [
            'engine_oil' => 'Stick, under the hood', 'screen' => 'Cooling screen on the engine', 'air_cleaner' => 'Cover on the engine', 'fuel_level' => 'Tank, under the seat or hood', 'leaks' => 'Under the engine and the drive', 'front_tyres' => 'Both fronts', 'steering' => 'At the wheel, wheels on the ground', 'deck_belt' => 'On the deck, covers off',
            'blades' => 'Under the deck', 'deck' => 'Underside', 'chute' => 'Side of the deck', 'rear_tyres' => 'Both rears', 'seat_switch' => 'Rise from the seat, blades on', 'brakes' => 'Pedal, rolling slowly', 'lights' => 'Front', 'plug' => 'Right side of the engine', 'battery' => 'Under the seat', 'tyre_pressure' => 'All four, valves',
        ],
        'front_mower' => [
            'blades' => 'Under the deck, deck raised and locked', 'deck' => 'Underside', 'casters' => 'Deck wheels, rock and spin', 'deck_belt' => 'On the deck, covers off', 'chute' => 'Side of the deck', 'pto_guard' => 'Shaft between machine and deck', 'front_tyres' => 'Both drive wheels', 'wheel_nuts' => 'All four wheels', 'engine_oil' => 'Stick, at the rear',
            'coolant_level' => 'Expansion tank, at the rear', 'screen' => 'Radiator screen, at the rear', 'air_cleaner' => 'At the rear', 'belt' => 'Between crank and alternator, at the rear', 'leaks' => 'Under deck, drive and engine', 'hydro_level' => 'Sight glass, right side', 'rear_tyres' => 'Both steered wheels', 'roll_frame' => 'Frame up, pins in, belt on',
            'seat_switch' => 'Rise from the seat, blades on', 'brakes' => 'Both pedals', 'steering' => 'At the wheel', 'lights' => 'Front and rear', 'warning_lamps' => 'Dash, key on', 'tyre_pressure' => 'All four, valves', 'battery' => 'At the posts', 'coolant_protection' => 'Expansion tank',
        ],
        'utility_vehicle' => [
            'front_tyres' => 'Both fronts, tread and sidewall', 'front_boots' => 'Outer and inner boots, wheels turned', 'rack_boots' => 'Both ends of the steering rack', 'shocks' => 'All four, at the seals', 'play' => 'Each wheel, rocked up and down, then side to side', 'leaks' => 'Under engine, gearbox and both axles', 'engine_oil' => 'Stick, under the bed or seat',
            'coolant_level' => 'Bottle, under the hood', 'air_cleaner' => 'Box behind the seat', 'rear_tyres' => 'Both rears, tread and sidewall', 'rear_boots' => 'Outer and inner boots', 'bed' => 'Latch and hinges of the bed', 'wheel_nuts' => 'All four wheels', 'seat_belts' => 'Both seats', 'brakes' => 'Pedal, rolling slowly', 'brake_fluid' => 'Reservoir, under the hood',
            'lights' => 'Front, rear, brake', 'warning_lamps' => 'Dash, key on', 'steering' => 'At the wheel', 'tread' => 'The thinnest of the four', 'pads' => 'The thinnest, through the wheel', 'brake_fluid_age' => 'Reservoir', 'cvt_belt' => 'Behind the cover, left side', 'cvt_width' => 'Across the cords, belt out', 'tyre_pressure' => 'All four, valves', 'battery' => 'Under the seat', 'plug' => 'Under the bed',
        ],
        'all_terrain_vehicle' => [
            'front_tyres' => 'Both fronts', 'front_boots' => 'Outer and inner boots, bar turned', 'play' => 'Each wheel, rocked', 'shocks' => 'At the seals', 'leaks' => 'Under engine and both housings', 'engine_oil' => 'Stick or glass, left side', 'air_cleaner' => 'Box under the seat', 'rear_tyres' => 'Both rears', 'rear_boots' => 'Outer and inner boots',
            'throttle' => 'Thumb lever, bar turned full left and right', 'brakes' => 'Both levers and the pedal', 'brake_fluid' => 'Reservoir on the bar', 'lights' => 'Front, rear, brake', 'warning_lamps' => 'Display, key on', 'tread' => 'The thinnest of the four', 'pads' => 'The thinnest', 'brake_fluid_age' => 'Reservoir on the bar', 'cvt_belt' => 'Behind the cover, right side', 'cvt_width' => 'Across the cords, belt out', 'tyre_pressure' => 'All four, valves', 'battery' => 'Under the seat',
        ],
        'small_truck' => [
            'front_tyres' => 'Both fronts', 'engine_oil' => 'Stick, under the seat or bed', 'coolant_level' => 'Reserve tank', 'brake_fluid' => 'Reservoir, behind the front panel', 'belt' => 'Between crank and alternator', 'leaks' => 'Under engine, gearbox and axle', 'rear_tyres' => 'Both rears', 'bed' => 'Latches of the drop sides', 'wheel_nuts' => 'All four wheels', 'lights' => 'Front, rear, brake, indicators', 'seat_belts' => 'Both seats',
            'brakes' => 'Pedal and hand brake', 'steering' => 'At the wheel', 'warning_lamps' => 'Dash, key on', 'tread' => 'The thinnest of the four', 'pads' => 'The thinnest, through the wheel', 'brake_fluid_age' => 'Reservoir', 'tyre_pressure' => 'All four, valves', 'battery' => 'At the posts', 'coolant_protection' => 'Radiator cap, cold', 'play' => 'Ball joints and bearings, each wheel rocked',
        ],
        'petrol_cart' => [
            'engine_oil' => 'Stick, under the seat', 'fuel_level' => 'Tank, under the seat', 'air_cleaner' => 'Under the seat', 'drive_belt_look' => 'Drive and starter belts, under the seat', 'leaks' => 'Under engine and axle', 'front_tyres' => 'Both fronts', 'rear_tyres' => 'Both rears', 'brakes' => 'Pedal, rolling slowly; then the parking latch', 'steering' => 'At the wheel', 'lights' => 'Front and rear', 'plug' => 'Under the seat', 'battery' => 'Under the seat', 'tyre_pressure' => 'All four, valves', 'starter_belt' => 'Between engine and starter',
        ],
        'electric_cart' => [
            'charger' => 'At the plug', 'terminals' => 'Every post of the pack, under the seat', 'leaks' => 'Under the pack and the axle', 'front_tyres' => 'Both fronts', 'rear_tyres' => 'Both rears', 'brakes' => 'Pedal, rolling slowly; then the parking latch', 'steering' => 'At the wheel', 'reverse_buzzer' => 'Lever in reverse', 'lights' => 'Front and rear', 'cell_water' => 'Caps off, lamp of no naked flame', 'pack' => 'Across the whole pack, rested', 'tyre_pressure' => 'All four, valves',
        ],
        'generator' => [
            'louvres' => 'Intake and outlet', 'exhaust' => 'Pipe, muffler and lagging', 'engine_oil' => 'Stick, service side', 'coolant_level' => 'Expansion bottle', 'fuel_level' => 'Tank or gauge', 'belt' => 'Behind the guard, fan end', 'leaks' => 'In the tray', 'charger' => 'Charger lamp on the panel', 'last_fault' => 'Panel: last warning, last failure', 'mice' => 'Behind the panels', 'coolant_protection' => 'Expansion bottle', 'battery' => 'At the posts', 'air_cleaner' => 'Service side', 'fuel_water' => 'Filter bowl',
        ],
        'aerator' => [
            'tines' => 'Along the drum', 'chains' => 'Both sides, guards off', 'engine_oil' => 'Stick', 'fuel_level' => 'Tank', 'air_cleaner' => 'On the engine', 'drive_belt_look' => 'Between engine and drum', 'guards' => 'All round', 'levers' => 'Both handles', 'front_tyres' => 'Both wheels', 'plug' => 'Front of the engine',
        ],
        'crawler' => [
            'tracks' => 'Both sides: shoes, bolts, sag', 'rollers' => 'Rollers and idlers, both sides', 'equalizer' => 'Bar under the front of the frame, by gauge', 'blade_frame' => 'Blade, edges, trunnions', 'engine_oil' => 'Stick, left side', 'coolant_level' => 'Radiator cap, cold', 'oil_bath' => 'Cup of the oil-bath cleaner', 'screen' => 'Radiator core', 'belt' => 'Fan belt', 'leaks' => 'Under engine, transmission and both final drives', 'hydraulic_level' => 'Tank, right side', 'final_drive_look' => 'A little from each level plug', 'fuel_water' => 'Sediment bowl',
            'levers' => 'Steering levers: travel and effort', 'brakes' => 'Both pedals', 'adjuster' => 'Brake adjusters, both sides', 'warning_lamps' => 'Gauges, engine running', 'lights' => 'Front and rear', 'battery' => 'Under the seat', 'coolant_protection' => 'Radiator cap, cold',
        ],
    ];

    public static function for(MachineClass $class): CheckSheet
    {
        $checks = [];
        foreach (self::WALKS[$class->value] as $key => $place) {
            $checks[] = CheckLibrary::check($key)->with(['place' => $place, ...CheckLibrary::forClass($key, $class)]);
        }

        return new CheckSheet($checks);
    }
}
