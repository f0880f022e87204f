<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Supply\PartKind;

/** An electric cart: a pack of batteries, a motor, one gear case. */
final class ElectricCart extends Starter
{
    protected function places(): array
    {
        return [
            $this->spot('charger', Subject::Battery, 'Charger', 'At the plug', 92, 40),
            $this->spot('terminals', Subject::Battery, 'Terminals and cables', 'Every post of the pack, under the seat',
                58, 40),
            $this->compartment('battery_water', CompartmentKind::BatteryCells, 'Battery water',
                'Cells of the pack, under the seat', 60, 50, fill: 'Caps of the cells',
                draw: 'Syringe, where a cell is over full', line: 'Caps off, lamp of no naked flame'),
            $this->part('pack', Subject::Battery, 'Battery pack', 'Across the whole pack, rested', 62, 60),
            $this->spot('leaks', Subject::Other, 'Underside', 'Under the pack and the axle', 70, 50),
            $this->part('front_tyres', Subject::Wheels, 'Front tyres', 'Both fronts', 20, 14, kind: PartKind::Wheel),
            $this->part('rear_tyres', Subject::Wheels, 'Rear tyres', 'Both rears', 80, 14, kind: PartKind::Wheel),
            $this->spot('brakes', Subject::Brakes, 'Brakes', 'Pedal, rolling slowly; then the parking latch', 36, 56),
            $this->spot('steering', Subject::Wheels, 'Steering', 'At the wheel', 32, 44),
            $this->spot('reverse_buzzer', Subject::Safety, 'Reverse buzzer', 'Lever in reverse', 48, 60),
            $this->spot('lights', Subject::Other, 'Lights', 'Front and rear', 6, 50),
            $this->compartment('reduction_gear', CompartmentKind::ReductionGear, 'Reduction gear oil',
                'Gear case of the axle', 82, 50, fill: 'Plug, rear side', drain: 'Plug below',
                plug: 'Plug, rear side, to its threads'),
            $this->point('king_pins', 'King pins', 'Both front wheels', 20, 22, strokes: 2),
            $this->point('steering_box', 'Steering box', 'Under the floor', 30, 50, strokes: 2),
            $this->point('pedal_shaft', 'Pedal shaft', 'Under the floor mat', 41, 68,
                strokes: 1, end: EndSign::Strokes, most: 2),
            $this->point('spring_shackles', 'Spring shackles', 'Rear springs', 82, 24, strokes: 2),
        ];
    }

    protected function walk(): array
    {
        return [
            $this->look('charger', at: 'charger'),
            $this->look('terminals', at: 'terminals'),
            $this->look('leaks', at: 'leaks'),
            $this->look('front_tyres', at: 'front_tyres'),
            $this->look('rear_tyres', at: 'rear_tyres'),
            $this->look('brakes', at: 'brakes'),
            $this->look('steering', at: 'steering'),
            $this->look('reverse_buzzer', at: 'reverse_buzzer'),
            $this->look('lights', at: 'lights'),
            $this->look('cell_water', at: 'battery_water'),
            $this->look('pack', at: 'pack'),
            $this->look('tyre_pressure',
                at: 'front_tyres', place: 'All four, valves', limits: ['front' => '20 psi', 'rear' => '22 psi']),
        ];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('Off road, twice a year', 'used daily on tracks and grass', [
                $this->rule('Battery water', TaskKind::CheckLevel, ['battery_water'], months: 1),
                $this->rule('Terminals', TaskKind::Clean, ['terminals'], months: 3),
                $this->rule('Half-yearly service', TaskKind::Inspect,
                    ['brakes', 'steering', 'front_tyres', 'rear_tyres'], months: 6,
                    note: 'Once a year is enough on tarmac.'),
                $this->greaseAll(months: 6),
                $this->rule('Reduction gear oil', TaskKind::CheckLevel, ['reduction_gear'], months: 12),
                $this->rule('Reduction gear oil', TaskKind::Replace, ['reduction_gear'], months: 48),
            ]),
            $this->rulebook('On tarmac, once a year', 'paths and car parks', [
                $this->rule('Battery water', TaskKind::CheckLevel, ['battery_water'], months: 1),
                $this->rule('Terminals', TaskKind::Clean, ['terminals'], months: 6),
                $this->rule('Yearly service', TaskKind::Inspect, ['brakes', 'steering', 'front_tyres', 'rear_tyres'],
                    months: 12),
                $this->greaseAll(months: 12),
                $this->rule('Reduction gear oil', TaskKind::CheckLevel, ['reduction_gear'], months: 24),
            ]),
        ];
    }
}
