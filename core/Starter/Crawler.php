<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Fluid\Sheet\DrainWay;
use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** A crawler with a blade: steering clutches with boosters, final drives inside and outside, an oil-bath cleaner. */
final class Crawler extends Starter
{
    protected function places(): array
    {
        return [
            $this->part('tracks', Subject::Wheels, 'Tracks', 'Both sides: shoes, bolts, sag', 50, 10),
            $this->spot('rollers', Subject::Wheels, 'Rollers and idlers', 'Rollers and idlers, both sides', 50, 90),
            $this->point('pivot_shaft_left', 'Pivot shaft, left', 'Inside the left track frame', 50, 16, strokes: 50,
                end: EndSign::Strokes, most: 75, reach: 'Cover inside the frame off; 75 strokes where long neglected.',
                every: 100),
            $this->point('pivot_shaft_right', 'Pivot shaft, right', 'Inside the right track frame', 50, 84, strokes: 50,
                end: EndSign::Strokes, most: 75, reach: 'Cover inside the frame off; 75 strokes where long neglected.',
                every: 100),
            $this->spot('equalizer', Subject::Wheels, 'Equalizer bar', 'Bar under the front of the frame, by gauge', 20,
                50),
            $this->point('equalizer_bar', 'Equalizer bar', 'Middle of the bar', 20, 54, strokes: 6),
            $this->part('blade', Subject::Cutting, 'Blade', 'Blade, edges, trunnions', 6, 50),
            $this->point('blade_trunnions', 'Blade trunnions', 'Both sides', 20, 14, strokes: 4, every: 10),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump', 32, 50,
                fill: 'Cap on the valve cover', drain: ['Front sump plug', 'Rear sump plug'],
                stick: 'Stick, left side'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Right side of the engine', 34,
                60, in: 'engine_oil'),
            $this->part('crankcase_breather', Subject::EngineOil, 'Crankcase breather', 'On the valve cover', 32, 44,
                in: 'engine_oil', kind: PartKind::Breather),
            $this->compartment('coolant', CompartmentKind::Coolant, 'Coolant', 'Radiator and engine', 22, 46,
                fill: 'Radiator cap, cold', drain: 'Tap at the foot of the radiator', line: 'Radiator cap, cold', taps: true),
            $this->spot('radiator_core', Subject::Cooling, 'Radiator core', 'Radiator core', 18, 50),
            $this->part('hoses', Subject::Cooling, 'Hoses and clamps', 'Radiator and fuel lines', 26, 44),
            $this->compartment('oil_bath', CompartmentKind::OilBath, 'Oil-bath cleaner', 'Cup of the oil-bath cleaner',
                30, 38, fill: 'The cup, off', drain: 'Poured out of the cup', line: 'Line in the cup', out: DrainWay::Cup),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Bowl on the intake stack', 28, 36),
            $this->part('fan_belt', Subject::Belts, 'Fan belt', 'Fan belt', 26, 52, kind: PartKind::VBelt),
            $this->point('fan_hub', 'Fan hub', 'Behind the radiator', 36, 40,
                strokes: 1, end: EndSign::Strokes, most: 2, with: 'fan_belt', every: 50),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, behind the seat', 88, 50,
                fill: 'Cap of the tank', drain: 'Tap under the tank', gauge: 'Stick in the tank', taps: true),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filters', 'Left side of the engine', 36, 36, in: 'fuel'),
            $this->part('sediment_bowl', Subject::Fuel, 'Sediment bowl', 'Sediment bowl', 38, 34, in: 'fuel'),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine, transmission and both final drives', 60,
                50),
            $this->compartment('hydraulic', CompartmentKind::Hydraulic, 'Hydraulic oil', 'Tank, right side', 56, 74,
                fill: 'Cap of the tank', drain: 'Plug under the tank', glass: 'Tank, right side'),
            $this->filter('hydraulic_filter', Subject::Hydraulics, 'Hydraulic filter', 'In the tank', 58, 76,
                in: 'hydraulic'),
            $this->compartment('transmission', CompartmentKind::Transmission, 'Transmission oil',
                'Under the floor plates', 66, 50, fill: 'Filler beside the seat', drain: 'Plug under the case',
                stick: 'Stick under the floor plate'),
            $this->filter('transmission_filter', Subject::GearOil, 'Transmission filter', 'Under the floor plates', 64,
                56, in: 'transmission'),
            $this->part('suction_screen', Subject::GearOil, 'Magnetic suction screen',
                'Under the floor plates, in its cover', 66, 44, in: 'transmission', kind: PartKind::Screen),
            $this->part('transmission_breather', Subject::GearOil, 'Bronze breather', 'Under a snap ring, on the case',
                68, 48, in: 'transmission', kind: PartKind::Breather),
            $this->point('clutch_release', 'Clutch release', 'Under the floor plate', 66, 54, strokes: 1,
                end: EndSign::Strokes, most: 1, reach: 'Floor plate off.', every: 50, with: 'transmission_filter'),
            $this->compartment('final_drive_inner_left', CompartmentKind::FinalDrive, 'Final drive, left inner',
                'Left, inside the sprocket', 80, 28, fill: 'Upper plug', drain: 'Lowest plug', plug: 'Middle plug'),
            $this->compartment('final_drive_outer_left', CompartmentKind::FinalDrive, 'Final drive, left outer',
                'Left hub, outside the sprocket', 80, 14, fill: 'Upper plug, marks level', drain: 'Plug turned lowest',
                plug: 'Plug at the marks', out: DrainWay::Hub),
            $this->compartment('final_drive_inner_right', CompartmentKind::FinalDrive, 'Final drive, right inner',
                'Right, inside the sprocket', 80, 72, fill: 'Upper plug', drain: 'Lowest plug', plug: 'Middle plug'),
            $this->compartment('final_drive_outer_right', CompartmentKind::FinalDrive, 'Final drive, right outer',
                'Right hub, outside the sprocket', 80, 86, fill: 'Upper plug, marks level', drain: 'Plug turned lowest',
                plug: 'Plug at the marks', out: DrainWay::Hub),
            $this->spot('steering_boosters', Subject::Brakes, 'Steering boosters', 'Linkage of both steering levers',
                72, 42),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Both pedals', 70, 60),
            $this->spot('brake_adjusters', Subject::Brakes, 'Brake adjusters', 'Brake adjusters, both sides', 74, 58),
            $this->point('lever_shafts', 'Lever shafts', 'Under the seat', 76, 60,
                strokes: 2, end: EndSign::Strokes, most: 4, every: 100),
            $this->spot('warning_lamps', Subject::Other, 'Gauges', 'Gauges, engine running', 58, 50),
            $this->spot('lights', Subject::Other, 'Lights', 'Front and rear', 12, 40),
            $this->part('battery', Subject::Battery, 'Battery', 'Under the seat', 76, 50),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('tracks', at: 'tracks'),
            $this->look('rollers', at: 'rollers'),
            $this->look('equalizer', at: 'equalizer'),
            $this->look('blade_frame', at: 'blade'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('coolant_level', at: 'coolant'),
            $this->look('hoses', at: 'hoses'),
            $this->look('oil_bath', at: 'oil_bath'),
            $this->look('screen', at: 'radiator_core'),
            $this->look('belt', at: 'fan_belt'),
            $this->look('leaks', at: 'leaks'),
            $this->look('hydraulic_level', at: 'hydraulic'),
            $this->look('transmission_level', at: 'transmission'),
            $this->look('final_drive_look', at: 'final_drive_outer_left', place: 'A little from each level plug'),
            $this->look('fuel_water', at: 'sediment_bowl'),
            $this->look('levers', at: 'steering_boosters', place: 'Steering levers: travel and effort'),
            $this->look('brakes', at: 'brakes'),
            $this->look('adjuster', at: 'brake_adjusters'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('lights', at: 'lights'),
            $this->look('battery', at: 'battery'),
            $this->look('coolant_protection', at: 'coolant', place: 'Radiator cap, cold'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours', 'a machine in good order', [
                $this->rule('Oil-bath cleaner', TaskKind::Replace, ['oil_bath'], 50,
                    note: 'Empty, wash, refill to the line.'),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 100,
                    months: 12),
                $this->rule('Track tension', TaskKind::Adjust, ['tracks'], 50, check: 'tracks'),
                $this->rule('Transmission oil', TaskKind::CheckLevel, ['transmission'], 50),
                $this->rule('Filters under the floor', TaskKind::Replace, ['transmission_filter', 'hydraulic_filter'],
                    500),
                $this->rule('Suction screen and breather', TaskKind::Clean, ['suction_screen', 'transmission_breather'],
                    500),
                $this->rule('Final drive oil', TaskKind::CheckLevel,
                    ['final_drive_inner_left', 'final_drive_outer_left', 'final_drive_inner_right', 'final_drive_outer_right'], 100),
                $this->rule('Final drive oil', TaskKind::Replace,
                    ['final_drive_inner_left', 'final_drive_outer_left', 'final_drive_inner_right', 'final_drive_outer_right'], 500),
                $this->rule('Transmission oil', TaskKind::Replace, ['transmission'], 1000),
                $this->rule('Fan belt', TaskKind::Inspect, ['fan_belt'], 100, check: 'belt'),
                $this->rule('Fuel filters', TaskKind::Replace, ['fuel_filter'], 250),
                $this->rule('Brake adjusters', TaskKind::Inspect, ['brake_adjusters'], 250, check: 'adjuster'),
                $this->greaseAll(50),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
            $this->rulebook('An old one', 'worn shafts and seals', [
                $this->rule('Oil-bath cleaner', TaskKind::Replace, ['oil_bath'], 25,
                    note: 'Empty, wash, refill to the line.'),
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 100,
                    months: 12),
                $this->rule('Steering boosters', TaskKind::Adjust, ['steering_boosters'], 50,
                    note: 'Both sides, always; half a turn at a time.'),
                $this->rule('Brake adjusters', TaskKind::Adjust, ['brake_adjusters'], 50,
                    note: 'Half a turn at a time.'),
                $this->rule('Track tension', TaskKind::Adjust, ['tracks'], 25, check: 'tracks'),
                $this->rule('Transmission oil', TaskKind::CheckLevel, ['transmission'], 25),
                $this->rule('Filters under the floor', TaskKind::Replace, ['transmission_filter', 'hydraulic_filter'],
                    250),
                $this->rule('Fan belt', TaskKind::Inspect, ['fan_belt'], 100, check: 'belt'),
                $this->rule('Final drive oil', TaskKind::CheckLevel,
                    ['final_drive_inner_left', 'final_drive_outer_left', 'final_drive_inner_right', 'final_drive_outer_right'], 25),
                $this->rule('Final drive oil', TaskKind::Replace,
                    ['final_drive_inner_left', 'final_drive_outer_left', 'final_drive_inner_right', 'final_drive_outer_right'], 250),
                $this->greaseAll(50),
                $this->rule('Coolant', TaskKind::Replace, ['coolant'], months: 24),
            ]),
        ];
    }
}
