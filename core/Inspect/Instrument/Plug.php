<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Inspect\WearMeasure;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\WrittenNumber;

/** A spark plug by its gap and the colour of its nose. */
final class Plug implements Instrument
{
    private const COLOURS = [
        'tan' => ['tan', Verdict::Fit, '', ''],
        'white' => [
            'white',
            Verdict::Act,
            'lean: it burns too hot',
            'Look for air leaks and a starved carburettor or filter.',
        ],
        'black' => [
            'black and dry',
            Verdict::Act,
            'rich',
            'Look at the air cleaner and the choke; clean and regap, or replace.',
        ],
        'oily' => [
            'oily',
            Verdict::Act,
            'oil gets past the rings or the valve',
            'Replace it, and follow the oil it uses.',
        ],
    ];

    public function asks(array $limits = []): array
    {
        return [
            Ask::quantity('gap', 'Gap', Unit::Inch, like: 'gap'),
            Ask::choice(
                'colour',
                'Colour of the nose',
                array_map(fn (array $colour): string => $colour[0], self::COLOURS),
            ),
            Ask::flag('unlike', 'The plugs do not look alike'),
        ];
    }

    public function limits(): array
    {
        return [Ask::quantity('gap', 'Gap', Unit::Inch), Ask::quantity('tolerance', 'give or take', Unit::Inch)];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $right = $limits->measure('gap', 'the right gap', Dimension::Length);
        $tolerance = $limits->measure('tolerance', 'the tolerance', Dimension::Length, $right?->unit);
        $gap = $entered->measure('gap', 'the gap', Dimension::Length, $right?->unit);
        $colour = $entered->option('colour', array_keys(self::COLOURS), 'the colour');
        $unlike = $entered->flag('unlike', 'whether the plugs differ');
        $limits->complete();
        $entered->complete();
        assert($right !== null && $tolerance !== null && $gap !== null && $colour !== null);

        [$looks, $verdict, $means, $do] = self::COLOURS[$colour];
        $off = Quantity::of($gap->value->minus($right->to($gap->unit)->value)->abs(), $gap->unit);
        $isOff = $off->compareTo($tolerance) > 0;
        $why = "The gap is {$gap->inWords()}, ".($isOff ? "{$off->inWords()} off the right {$right->inWords()}" : "{$right->inWords()} is right")."; the nose is {$looks}".($means === '' ? '' : ": {$means}").'.';
        $do = array_filter(
            [
                $isOff ? 'Clean and regap, or replace it.' : '',
                $do,
                $unlike ? 'Cylinders that do not look alike do not burn alike: find out which is wrong.' : '',
            ],
        );

        return new Judged(
            Verdict::hardest($verdict, $isOff ? Verdict::Act : Verdict::Fit, $unlike ? Verdict::Watch : Verdict::Fit),
            $why,
            implode(' ', $do),
            ['gap' => Notation::quantity($gap)],
            worn: new WearMeasure(
                $gap,
                Quantity::of($right->value->plus($tolerance->to($right->unit)->value), $right->unit),
                WrittenNumber::resolution($entered->written('gap')),
                falls: false,
            ),
        );
    }
}
