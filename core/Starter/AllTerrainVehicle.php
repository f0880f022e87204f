<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** An all-terrain vehicle: handlebar, belt drive, gear cases front and rear. */
final class AllTerrainVehicle extends Starter
{
    protected function places(): array
    {
        return [
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts', 22, 12, kind: PartKind::Wheel),
            $this->part('front_boots', Subject::Wheels, 'Front CV boots', 'Outer and inner boots, bar turned', 24, 20),
            $this->point('a_arms_front_left', 'A-arms, front left', 'Inner ends', 24, 26,
                strokes: 2, end: EndSign::Strokes, most: 4),
            $this->point('a_arms_front_right', 'A-arms, front right', 'Inner ends', 24, 74,
                strokes: 2, end: EndSign::Strokes, most: 4),
            $this->spot('wheel_bearings', Subject::Wheels, 'Wheel bearings and joints', 'Each wheel, rocked', 22, 84),
            $this->part('shocks', Subject::Wheels, 'Shocks', 'At the seals', 26, 30),
            $this->compartment('front_gear_case', CompartmentKind::FrontDifferential, 'Front gear case oil',
                'Between the front wheels', 22, 50, fill: 'Plug on top', drain: 'Plug below',
                plug: 'Filler plug, to its threads'),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under engine and both housings', 50, 50),
            $this->compartment('engine_oil', CompartmentKind::Engine, 'Engine oil', 'Sump, under the saddle', 54, 50,
                fill: 'Cap, right side', drain: 'Under the skid plate', stick: 'Stick or glass, left side'),
            $this->filter('engine_oil_filter', Subject::EngineOil, 'Engine oil filter', 'Right side, under its cover', 56,
                60, in: 'engine_oil'),
            $this->spot('cooling_fins', Subject::Cooling, 'Cooling fins', 'Radiator or cylinder, in front', 34, 50),
            $this->part('hoses', Subject::Fuel, 'Hoses and clamps', 'Fuel and coolant lines', 46, 40),
            $this->part('pre_cleaner', Subject::AirCleaner, 'Pre-cleaner', 'Sleeve over the element', 58, 42),
            $this->part('air_cleaner', Subject::AirCleaner, 'Air cleaner, main element', 'Box under the seat', 60, 46, under: ['pre_cleaner']),
            $this->compartment('fuel', CompartmentKind::Fuel, 'Fuel', 'Tank, in front of the seat', 44, 50,
                fill: 'Cap of the tank', draw: 'Siphon through the filler', gauge: 'Display'),
            $this->filter('fuel_filter', Subject::Fuel, 'Fuel filter', 'In the line, left side', 48, 44, in: 'fuel'),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears', 78, 12, kind: PartKind::Wheel),
            $this->part('rear_boots', Subject::Wheels, 'Rear CV boots', 'Outer and inner boots', 76, 20),
            $this->compartment('rear_gear_case', CompartmentKind::RearDifferential, 'Rear gear case oil',
                'Between the rear wheels', 78, 50, fill: 'Plug, left side', drain: 'Plug below',
                plug: 'Plug, left side, to its threads'),
            $this->compartment('transmission', CompartmentKind::Transmission, 'Transmission oil', 'Behind the engine',
                62, 54, fill: 'Plug on top', drain: 'Plug below', plug: 'Plug at the side'),
            $this->point('steering_post', 'Steering post', 'Lower bearing', 36, 50,
                strokes: 1, end: EndSign::Strokes, most: 3, every: 100),
            $this->point('prop_shaft_joint', 'Prop-shaft joint', 'Front end', 46, 54, strokes: 2),
            $this->point('swing_arm', 'Swing arm', 'Both bearings', 72, 50, strokes: 3),
            $this->spot('throttle', Subject::Safety, 'Throttle', 'Thumb lever, bar turned full left and right', 40, 70),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Both levers and the pedal', 42, 30),
            $this->compartment('brake_fluid', CompartmentKind::Brake, 'Brake fluid', 'Reservoir on the bar', 40, 66,
                fill: 'Cap of the reservoir', draw: 'Bleed screws, at each wheel', line: 'Reservoir on the bar'),
            $this->part('pads', Subject::Brakes, 'Brake pads', 'The thinnest', 22, 88, kind: PartKind::Pads),
            $this->spot('lights', Subject::Other, 'Lights', 'Front, rear, brake', 12, 50),
            $this->spot('warning_lamps', Subject::Other, 'Warning lamps', 'Display, key on', 42, 50),
            $this->part('cvt_belt', Subject::Belts, 'CVT belt', 'Behind the cover, right side', 56, 70, kind: PartKind::CvtBelt, under: ['cvt_gasket']),
            $this->spot('cvt_sheaves', Subject::Belts, 'Belt sheaves', 'Behind the cover, right side', 54, 72),
            $this->part('cvt_gasket', Subject::Belts, 'Belt cover gasket', 'Round the belt cover', 58, 72, kind: PartKind::Gasket),
            $this->part('battery', Subject::Battery, 'Battery', 'Under the seat', 64, 50),
            $this->part('spark_plugs', Subject::Ignition, 'Spark plug', 'Left side of the cylinder', 50, 38),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('front_boots', at: 'front_boots'),
            $this->look('play', at: 'wheel_bearings'),
            $this->look('shocks', at: 'shocks'),
            $this->look('leaks', at: 'leaks'),
            $this->look('engine_oil', at: 'engine_oil'),
            $this->look('air_cleaner', at: 'air_cleaner'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('rear_boots', at: 'rear_boots'),
            $this->look('throttle', at: 'throttle'),
            $this->look('brakes', at: 'brakes'),
            $this->look('brake_fluid', at: 'brake_fluid'),
            $this->look('lights', at: 'lights'),
            $this->look('warning_lamps', at: 'warning_lamps'),
            $this->look('tread', at: 'rear_tyres', place: 'The thinnest of the four'),
            $this->look('pads', at: 'pads'),
            $this->look('brake_fluid_age', at: 'brake_fluid', place: 'Reservoir on the bar'),
            $this->look('cvt_belt', at: 'cvt_belt'),
            $this->look('cvt_width', at: 'cvt_belt', place: 'Across the cords, belt out'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '5 psi', 'rear' => '6 psi']),
            $this->look('battery', at: 'battery'),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours or distance', 'whichever comes first', [
                $this->rule('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'], 100,
                    km: 1600, months: 12, first: 20, firstKm: 320),
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 25,
                    km: 400, note: 'Sooner in dust.'),
                $this->greaseAll(50, km: 800),
                $this->rule('Drive belt', TaskKind::Inspect, ['cvt_belt', 'cvt_sheaves', 'cvt_gasket'], 100, km: 1600),
                $this->rule('Gear case oils', TaskKind::Replace, ['front_gear_case', 'rear_gear_case'], 200,
                    km: 3200, months: 24, first: 20, firstKm: 320),
                $this->rule('Brake fluid', TaskKind::Replace, ['brake_fluid'], months: 24),
            ]),
            $this->rulebook('Twice a year', 'a few rides a month', [
                $this->spring('Engine oil and filter', TaskKind::Replace, ['engine_oil', 'engine_oil_filter'],
                    first: 20),
                $this->rule('Air cleaner', TaskKind::Clean, ['pre_cleaner', 'air_cleaner'], 50, months: 6),
                $this->greaseAll(months: 6),
                $this->rule('Drive belt', TaskKind::Inspect, ['cvt_belt', 'cvt_sheaves', 'cvt_gasket'], 100,
                    months: 12),
                $this->rule('Gear case oils', TaskKind::Replace, ['front_gear_case', 'rear_gear_case'], months: 24),
                $this->rule('Brake fluid', TaskKind::Replace, ['brake_fluid'], months: 24),
            ]),
        ];
    }
}
