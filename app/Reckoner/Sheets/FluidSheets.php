<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

use App\Reckoner\Sheets\SheetField as Ask;
use Core\Fluid\FluidKind;
use Core\Fluid\Seen;
use Core\Machine\CompartmentKind;

/** What goes in, comes out, is mixed and is bought. */
final class FluidSheets
{
    private const METHODS = ['stick' => 'the stick', 'level_plug' => 'its level plug', 'sight_glass' => 'a sight glass', 'line' => 'a line on the tank'];

    private const NOT_SAID = ['' => 'not said'];

    private const CHEMISTRIES = [
        '' => 'not said',
        'iat' => 'IAT, inorganic',
        'oat' => 'OAT, organic acid',
        'hoat' => 'HOAT, hybrid',
        'glycol' => 'glycol (DOT 3, 4, 5.1)',
        'silicone' => 'silicone (DOT 5)',
    ];

    private const THEN = ['run_wait_read' => 'run it, wait, read it', 'until_it_shows' => 'until it shows', 'done' => 'done'];

    /** @return list<CalculatorSheet> */
    public static function all(): array
    {
        return [
            self::fillPlan(), self::stick(), self::level(), self::containers(), self::coolantMix(), self::coolantCorrect(), self::consumption(),
            self::condition(), self::willItDo(), self::covers(), self::engineGrade(), self::gearGrade(), self::pan(),
        ];
    }

    /** @return array<string, string> */
    public static function compartments(): array
    {
        return array_combine(
            array_column(CompartmentKind::cases(), 'value'),
            array_map(fn (CompartmentKind $kind): string => $kind->inWords(), CompartmentKind::cases()),
        );
    }

    private static function fillPlan(): CalculatorSheet
    {
        return new CalculatorSheet(
            'fill-plan',
            'How to fill it in stages',
            ['How much do I pour first?', 'fill oil', 'staged fill', 'capacity', 'pour'],
            [
                Ask::set('capacity', 'The book says it takes', Ask::volume('min', 'At least, if it gives a range'), Ask::volume('max', 'At most')),
                Ask::volume('prefill', 'In the filter already'),
                Ask::choice('method', 'Its level is read by', self::METHODS),
                Ask::number('share_first', 'Share that is poured first', '0.85'),
            ],
            fn (array $answer): array => [
                implode(', then ', array_map(fn (array $step): string => Words::plainAmount($step['pour']), $answer['steps'])),
                array_map(fn (array $step): array => [
                    'pour '.Words::amount($step['pour']),
                    Words::amount($step['total']).' in all, '.self::THEN[$step['then']],
                ], $answer['steps']),
            ],
        );
    }

    private static function stick(): CalculatorSheet
    {
        return new CalculatorSheet(
            'stick',
            "What the stick's band holds",
            ['How much is missing to full?', 'dipstick', 'overfull', 'how much to draw off', 'add mark'],
            [
                Ask::rows(
                    'marks',
                    'Readings',
                    'reading',
                    Ask::number('level', 'The stick shows', '0.5'),
                    Ask::volume('poured_since', 'Poured since the one before'),
                    Ask::tick('ran', 'It ran since'),
                )->beginsWith(2),
            ],
            fn (array $answer): array => [
                ($answer['draw_off']['value'] ?? '0') === '0'
                    ? Words::amount($answer['to_full']).' to full'
                    : 'Draw off '.Words::amount($answer['draw_off']),
                [['The whole band holds', Words::amount($answer['volume_per_band'])]],
            ],
            'Two readings and what was poured between them. 0 is the add mark, 1 the full mark.',
            'stick',
        );
    }

    private static function level(): CalculatorSheet
    {
        $engine = Ask::choice('engine', 'Engine', [...self::NOT_SAID, 'off' => 'off', 'idling' => 'idling']);
        $temperature = Ask::choice('temperature', 'Temperature', [...self::NOT_SAID, 'cold' => 'cold', 'warm' => 'warm', 'hot' => 'hot']);
        $held = Ask::choice('held', 'Stick', [...self::NOT_SAID, 'rested' => 'rested', 'screwed' => 'screwed in']);
        $waited = Ask::number('wait_minutes', 'After so many minutes');

        return new CalculatorSheet(
            'level',
            'Whether a level is right',
            ['Is the oil level fine?', 'reading too soon', 'cold or warm', 'slope'],
            [
                Ask::choice('method', 'Read by', self::METHODS),
                Ask::text('observed', 'It shows', 'full')->help('full, between, add, below, over; or 0 at the add mark to 1 at the full mark'),
                Ask::set('protocol', 'It wants to be read', $engine, $temperature, $waited, Ask::number('latest_minutes', 'and at most so many'), $held),
                Ask::set('actual', 'It was read', $engine, $temperature, $waited, $held, Ask::tick('slope', 'on a slope')),
            ],
            fn (array $answer): array => [Words::verdict($answer), ($answer['do'] ?? '') === '' ? [] : [['Do', $answer['do']]]],
        );
    }

    private static function containers(): CalculatorSheet
    {
        $sized = fn (array $one): string => "{$one['count']} × ".Words::amount($one['size']);
        $much = fn (array $one): string => Words::amount($one['amount']);

        return new CalculatorSheet(
            'containers',
            'Which containers to open and buy',
            ['How many bottles do I need?', 'jug', 'cans', 'left over', 'cheapest'],
            [
                Ask::rows('needs', 'Needed', 'need', Ask::text('fluid', 'Fluid')->beginsWith('oil'), Ask::volume('amount', 'Amount')),
                Ask::rows(
                    'sizes',
                    'Sold in',
                    'size',
                    Ask::text('fluid', 'Fluid')->beginsWith('oil'),
                    Ask::volume('size', 'Size'),
                    Ask::number('price', 'Price, if known'),
                ),
                Ask::rows('have', 'Unopened on the shelf', 'size', Ask::text('fluid', 'Fluid'), Ask::volume('size', 'Size'), Ask::number('count', 'How many')),
                Ask::rows('open', 'Open on the shelf', 'container', Ask::text('fluid', 'Fluid'), Ask::volume('amount', 'Left in it')),
                Ask::number('tolerance', 'Share that may be short', '0.01'),
            ],
            fn (array $answer): array => [
                $answer['buy'] === [] ? 'Nothing to buy' : 'Buy '.Words::named($answer['buy'], 'fluid', $sized),
                [
                    ['Open of what stands there', Words::named($answer['use'], 'fluid', $sized)],
                    ['Left over', Words::named($answer['left_over'], 'fluid', $much)],
                    ['Short by', Words::named($answer['short_by'], 'fluid', $much)],
                    ['Cost', (string) ($answer['cost'] ?? Words::NONE)],
                ],
            ],
        );
    }

    private static function coolantMix(): CalculatorSheet
    {
        return new CalculatorSheet(
            'coolant-mix',
            'How much concentrate and water',
            ['Mix coolant', 'antifreeze', 'how cold does it stand', 'distilled water', 'percent'],
            [
                Ask::volume('volume', 'It takes in all', '7 gal'),
                Ask::number('percent', 'Percent of concentrate', '50')->beginsWith('50'),
                Ask::choice('glycol', 'Glycol', ['ethylene' => 'ethylene', 'propylene' => 'propylene']),
            ],
            fn (array $answer): array => [
                Words::amount($answer['concentrate']).' and '.Words::amount($answer['water']).' of distilled water',
                [['Protects to', Words::amount($answer['protects_to'])]],
                ['water' => Words::amount($answer['water']), 'concentrate' => Words::amount($answer['concentrate'])],
            ],
            drawing: 'mix',
        );
    }

    private static function coolantCorrect(): CalculatorSheet
    {
        return new CalculatorSheet(
            'coolant-correct',
            'How to correct weak coolant',
            ['Coolant protects too little', 'drain and replace', 'stronger', 'weaker'],
            [
                Ask::volume('volume', 'It holds', '7 gal'),
                Ask::number('present_percent', 'Percent now', '35'),
                Ask::number('target_percent', 'Percent wanted', '50')->beginsWith('50'),
            ],
            fn (array $answer): array => ['Drain '.Words::amount($answer['drain']).", fill up with {$answer['refill_with']}"],
        );
    }

    private static function consumption(): CalculatorSheet
    {
        return new CalculatorSheet(
            'consumption',
            'What it uses in 100 hours',
            ['Does it burn oil?', 'top-ups', 'trend', 'losing fluid'],
            [
                Ask::rows('top_ups', 'Topped up', 'top-up', Ask::number('hours', 'At h'), Ask::volume('amount', 'Amount')),
                Ask::number('from', 'Followed from h'),
                Ask::number('to', 'to h'),
                Ask::volume('limit_per_100h', 'It may use in 100 h'),
            ],
            fn (array $answer): array => [
                Words::amount($answer['per_100h']).' in 100 h',
                [['It is', $answer['trend']], ['Verdict', Words::verdict($answer)]],
            ],
        );
    }

    private static function condition(): CalculatorSheet
    {
        return new CalculatorSheet(
            'condition',
            'What a fluid looks like, and what that means',
            ['Milky oil', 'metal on the magnet', 'burnt smell', 'fuel in the oil', 'grey', 'slivers'],
            [
                Ask::choice('compartment', 'It came out of', self::compartments()),
                Ask::ticks('seen', 'Seen', array_combine(
                    array_column(Seen::cases(), 'value'),
                    array_map(fn (Seen $seen): string => $seen->label(), Seen::cases()),
                )),
                Ask::tick('first_service', 'At its first service'),
                Ask::tick('just_filled', 'It was filled just now'),
            ],
            fn (array $answer): array => [
                Words::verdict($answer),
                array_map(fn (array $one): array => [$one['reading'], $one['do']], $answer['readings'] ?? []),
            ],
        );
    }

    private static function willItDo(): CalculatorSheet
    {
        $fluids = array_combine(array_column(FluidKind::cases(), 'value'), array_map(fn (FluidKind $kind): string => $kind->word(), FluidKind::cases()));

        return new CalculatorSheet(
            'will-it-do',
            'Whether a bottle will do',
            ['Can I use this oil?', 'specification', 'equivalent', 'wet brakes', 'yellow metals'],
            [
                Ask::set(
                    'fluid',
                    'The bottle',
                    Ask::choice('kind', 'Holds', $fluids),
                    Ask::text('grade', 'Grade', '10W-30'),
                    Ask::texts('designations', 'It says', 'API CK-4'),
                    Ask::choice('chemistry', 'Made of', self::CHEMISTRIES),
                    Ask::text('makers_own', "Sold by the machine's maker as"),
                ),
                Ask::set(
                    'compartment',
                    'It goes into',
                    Ask::choice('kind', 'Compartment', self::compartments()),
                    Ask::set(
                        'specification',
                        'Its book wants',
                        Ask::choice('kind', 'Fluid', [...self::NOT_SAID, ...$fluids]),
                        Ask::rows('grades', 'Grades', 'grade', Ask::text('grade', 'Grade'), Ask::degrees('from', 'From'), Ask::degrees('to', 'To')),
                        Ask::texts('designations', 'Any of', 'API CI-4'),
                        Ask::choice('chemistry', 'Made of', self::CHEMISTRIES),
                        Ask::text('makers_own', "The maker's own"),
                    ),
                    Ask::choice('cooling', 'Engine cooled by', [...self::NOT_SAID, 'air' => 'air', 'liquid' => 'liquid']),
                    Ask::tick('yellow_metals', 'Brass or bronze inside'),
                ),
                Ask::degrees('coldest', 'Coldest night'),
                Ask::degrees('hottest', 'Hottest day'),
                Ask::tick('warranty', 'The warranty runs'),
                Ask::choice('school', 'Your way', [
                    'makers_in_warranty' => "maker's own while the warranty runs",
                    'makers' => "always the maker's own",
                    'equivalents' => 'always equivalents',
                ]),
            ],
            fn (array $answer): array => [
                self::suits($answer['will_it'], 'It will do', 'It will not do'),
                array_map(fn (string $reason): array => ['', $reason], array_slice($answer['reasons'] ?? [], 1)),
            ],
        );
    }

    private static function covers(): CalculatorSheet
    {
        return new CalculatorSheet(
            'covers',
            'Whether a newer designation covers an older',
            ['SP for SL', 'CK-4', 'GL-5 for GL-4', 'API', 'service category'],
            [
                Ask::text('has', 'The bottle says', 'CK-4 / SN'),
                Ask::text('needs', 'The book asks for', 'CI-4'),
                Ask::tick('yellow_metals', 'Brass or bronze inside'),
            ],
            fn (array $answer): array => [self::suits($answer['covers'], 'It covers it', 'It does not')],
        );
    }

    private static function suits(string $answer, string $yes, string $no): string
    {
        return ['yes' => $yes, 'no' => $no][$answer] ?? 'It depends';
    }

    private static function engineGrade(): CalculatorSheet
    {
        return new CalculatorSheet(
            'engine-grade',
            'Whether an engine oil suits the cold',
            ['10W-30 in winter', 'viscosity', 'SAE', 'cranking', 'cold start'],
            [Ask::text('grade', 'Grade', '10W-30'), Ask::degrees('coldest', 'Coldest night', '-18 °C'), Ask::degrees('hottest', 'Hottest day')],
            fn (array $answer): array => [self::suitsCold($answer), [['Cranks down to', Words::amount($answer['lowest_cranking'])]]],
        );
    }

    private static function gearGrade(): CalculatorSheet
    {
        return new CalculatorSheet(
            'gear-grade',
            'Whether a gear oil suits the cold',
            ['80W-90 in winter', 'gear oil viscosity', 'SAE J306'],
            [Ask::text('grade', 'Grade', '80W-90'), Ask::degrees('coldest', 'Coldest night', '-18 °C')],
            fn (array $answer): array => [self::suitsCold($answer), [['Flows down to', Words::amount($answer['lowest'])]]],
        );
    }

    /** @param  array<string, mixed>  $answer */
    private static function suitsCold(array $answer): string
    {
        return $answer['valid'] ? Words::verdict($answer) : 'There is no such grade';
    }

    private static function pan(): CalculatorSheet
    {
        return new CalculatorSheet(
            'pan',
            'Whether the pans take it',
            ['catch pan', 'bucket', 'does it run over', 'drain'],
            [
                Ask::rows('comes_out', 'Comes out', 'drain', Ask::text('drain', 'Drain'), Ask::volume('amount', 'Amount'), Ask::text('fluid', 'Fluid, if unlike')),
                Ask::rows('pans', 'Pans', 'pan', Ask::volume('size', 'Holds')),
                Ask::number('margin', 'Share left free', '0.1'),
            ],
            fn (array $answer): array => [match (true) {
                ! $answer['enough'] => 'Too small by '.Words::amount($answer['short_by']),
                $answer['empty_after'] !== [] => 'Empty them after '.implode(', ', $answer['empty_after']),
                default => 'They take it',
            }],
        );
    }
}
