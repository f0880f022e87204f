<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

use App\Reckoner\Sheets\SheetField as Ask;
use Core\Measure\Unit;

/** What is measured and held against a limit. */
final class MeasuringSheets
{
    /** Those that a keeper measures in, as they are chosen from. */
    private const UNITS = [
        Unit::Litre, Unit::Millilitre, Unit::UsGallon, Unit::UsQuart, Unit::UsPint, Unit::UsFluidOunce, Unit::ImperialGallon, Unit::ImperialQuart,
        Unit::ImperialPint, Unit::ImperialFluidOunce, Unit::Millimetre, Unit::Centimetre, Unit::Metre, Unit::Inch, Unit::Foot, Unit::Kilometre,
        Unit::Mile, Unit::Kilopascal, Unit::Bar, Unit::PoundPerSquareInch, Unit::NewtonMetre, Unit::FootPound, Unit::InchPound, Unit::KilogramForceMetre,
        Unit::Newton, Unit::PoundForce, Unit::KilogramForce, Unit::DegreeCelsius, Unit::DegreeFahrenheit, Unit::Gram, Unit::Kilogram, Unit::Ounce,
        Unit::Pound, Unit::Hour, Unit::Minute, Unit::Second, Unit::Day,
    ];

    /** How far a belt is drawn giving. */
    private const SAG = ['fit' => 'little', 'watch' => 'more', 'act' => 'much'];

    /** @return list<CalculatorSheet> */
    public static function all(): array
    {
        return [self::convert(), self::belt(), self::freePlay(), self::battery(), self::torque(), self::wear(), self::grease()];
    }

    private static function convert(): CalculatorSheet
    {
        return new CalculatorSheet(
            'convert',
            'One measure in another',
            ['quarts in litres', 'inches', 'foot-pounds', 'psi', 'unit', 'imperial'],
            [
                Ask::text('quantity', 'Amount with its unit', '1 3/4 qt')->help('qt, gal, pt and fl oz are US unless imp stands before them.'),
                Ask::choice('to', 'In', array_combine(
                    array_column(self::UNITS, 'value'),
                    array_map(self::spelt(...), self::UNITS),
                )),
            ],
            // As it is typed into a field that is converted.
            fn (array $answer): array => [Words::amount($answer['result']), [], ['typed' => Words::plainAmount($answer['result'])]],
        );
    }

    /** US measures say so here, where imperial ones stand beside them. */
    private static function spelt(Unit $unit): string
    {
        return (str_starts_with($unit->value, 'us_') ? 'US ' : '').$unit->symbol();
    }

    private static function belt(): CalculatorSheet
    {
        return new CalculatorSheet(
            'belt-deflection',
            'Whether a belt is tight enough',
            ['belt tension', 'slack', 'alternator belt', 'how far may it give'],
            [
                Ask::length('rest', 'Straightedge to belt, at rest', '1 3/4 in'),
                Ask::length('pressed', 'pressed', '1 3/8 in'),
                Ask::force('force', "Force, if not the limit's"),
                Ask::set(
                    'limit',
                    'The book says',
                    Ask::length('deflection', 'It may give', '1/3 in'),
                    Ask::force('force', 'when pressed with', '15 lbf'),
                    Ask::length('least', 'and must give'),
                ),
            ],
            fn (array $answer): array => [
                Words::verdict($answer).': it gives '.Words::amount($answer['deflection']),
                [['It may give', Words::amount($answer['allowed'])], ['Over by', Words::amount($answer['over_by'])], ['Do', Words::do($answer)]],
                ['sag' => self::SAG[$answer['verdict']] ?? 'little', 'gives' => 'gives '.Words::amount($answer['deflection'])],
            ],
            drawing: 'belt',
            into: ['note' => 'measured', 'measurement' => 'belt', 'values' => ['rest', 'pressed', 'force'], 'words' => 'belt'],
        );
    }

    private static function freePlay(): CalculatorSheet
    {
        return new CalculatorSheet(
            'free-play',
            'Whether the pedals are right',
            ['brake pedal', 'clutch', 'left and right alike', 'adjust'],
            [
                Ask::length('left', 'Left, or the only one', '1 1/2 in'),
                Ask::length('right', 'Right'),
                Ask::length('target', 'It should be', '1 in'),
                Ask::length('tolerance', 'give or take', '1/4 in'),
                Ask::length('max_difference', 'Left and right differ by at most'),
            ],
            fn (array $answer): array => [
                Words::verdict($answer),
                [
                    ['Left over by', Words::amount($answer['left_over_by'])],
                    ['Right over by', Words::amount($answer['right_over_by'])],
                    ['They differ by', Words::amount($answer['difference'])],
                    ['Do', Words::do($answer)],
                ],
            ],
            into: ['note' => 'measured', 'measurement' => 'free_play', 'values' => ['left', 'right'], 'words' => 'pedals'],
        );
    }

    private static function battery(): CalculatorSheet
    {
        return new CalculatorSheet(
            'battery',
            'Whether a battery is good',
            ['volts', 'state of charge', 'drops under load', 'starter'],
            [
                Ask::volts('rest_volts', 'At rest', '12.6 V'),
                Ask::volts('loaded_volts', 'With the lights on'),
                Ask::number('seconds', 'for so many seconds', '10'),
                Ask::choice('kind', 'Kind', ['flooded' => 'flooded', 'agm' => 'AGM']),
                Ask::volts('nominal', 'Battery of', '12 V'),
                Ask::volts('max_drop', 'A 12 V battery may drop by', '1 V'),
            ],
            fn (array $answer): array => [
                Words::verdict($answer),
                [
                    ['Charged to', $answer['state_of_charge'] === null ? Words::NONE : "{$answer['state_of_charge']} %"],
                    ['It drops by', Words::amount($answer['drop'])],
                    ['Do', Words::do($answer)],
                ],
            ],
            into: ['note' => 'measured', 'measurement' => 'battery', 'values' => ['rest_volts', 'loaded_volts'], 'words' => 'battery'],
        );
    }

    private static function torque(): CalculatorSheet
    {
        return new CalculatorSheet(
            'torque',
            'What to set the wrench to',
            ['foot-pounds or inch-pounds', 'torque wrench', 'adapter', 'crowfoot', 'N·m'],
            [
                Ask::torque('target', 'The book says', '24 in-lb'),
                Ask::set('wrench', 'Your wrench goes', Ask::torque('min', 'from'), Ask::torque('max', 'to')),
                Ask::set(
                    'adapter',
                    'With an adapter',
                    Ask::length('wrench_length', 'Wrench, grip to square'),
                    Ask::length('extension', 'Adapter, square to bolt'),
                    Ask::number('angle', 'Angle between them, °', '0')->help('0 in line, 90 at right angles'),
                ),
            ],
            fn (array $answer): array => [
                $answer['verdict'] === 'act' ? 'Not with this wrench' : 'Set '.Words::amount($answer['wrench_setting'] ?? $answer['settings']['N_m']),
                [
                    ['In N·m', Words::amount($answer['settings']['N_m'])],
                    ['In ft-lb', Words::amount($answer['settings']['ft_lbf'])],
                    ['In in-lb', Words::amount($answer['settings']['in_lbf'])],
                    ...array_map(fn (string $warning): array => ['Mind', $warning], $answer['warnings']),
                ],
            ],
            drawing: 'wrench',
        );
    }

    private static function wear(): CalculatorSheet
    {
        return new CalculatorSheet(
            'wear',
            'When wear reaches its limit',
            ['brake pads', 'tread', 'how long will it last', 'trend'],
            [
                Ask::rows('points', 'Measured', 'measurement', Ask::number('hours', 'At h'), Ask::length('value', 'Left', '6.2 mm'))->beginsWith(2),
                Ask::length('limit', 'The limit', '0.5 mm'),
                Ask::tick('falls', 'It grows instead of falling', false),
            ],
            fn (array $answer): array => [
                $answer['limit_at'] === null ? Words::verdict($answer) : "About {$answer['limit_at']['p50']} h",
                [
                    ['Between', $answer['limit_at'] === null ? Words::NONE : "{$answer['limit_at']['p10']} and ".($answer['limit_at']['p90'] ?? '…').' h'],
                    ['In 100 h', Words::amount($answer['slope_per_100h'])],
                    ['Verdict', Words::verdict($answer)],
                ],
            ],
        );
    }

    private static function grease(): CalculatorSheet
    {
        return new CalculatorSheet(
            'grease',
            'How much grease it takes',
            ['cartridges', 'strokes', 'grease gun', 'grams'],
            [
                Ask::rows('points', 'Points', 'point', Ask::text('name', 'Name'), Ask::number('strokes', 'Strokes', '3'), Ask::number('times', 'Times', '1')),
                Ask::mass('grams_per_stroke', 'One stroke weighs', '0.85 g'),
                Ask::mass('cartridge', 'A cartridge holds', '400 g'),
            ],
            fn (array $answer): array => ["{$answer['strokes']} strokes, ".Words::amount($answer['grams']), [['Cartridges', (string) $answer['cartridges']]]],
        );
    }
}
