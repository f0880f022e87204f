<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigDecimal;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Grease\GreaseNeed;
use Core\Measure\Dimension;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** Strokes, grams and cartridges for a round or a season. */
final class GreaseCalculator implements Calculator
{
    private const MOST_STROKES = 100_000;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $strokes = 0;
        $rows = $given->rows('points', 'the grease points');
        foreach ($rows as $row) {
            $row->optionalText('name', 'the name of the point');
            $each = $row->has('strokes') ? $row
                ->optionalWholeNumber('strokes', 'the strokes', self::MOST_STROKES) : $row
                ->number('strokes', 'the strokes');
            $times = $row->optionalWholeNumber('times', 'the times', self::MOST_STROKES) ?? 1;
            $strokes += ($each instanceof BigDecimal ? 0 : $each ?? 0) * $times;
        }
        if (! $given->has('points') || $rows === []) {
            $given->fault('points', 'The grease points are missing.');
        }
        $gun = $given->measure('grams_per_stroke', 'what one stroke gives', Dimension::Mass, Unit::Gram);
        $cartridge = $given->optionalMeasure('cartridge', 'the cartridge', Dimension::Mass, Unit::Gram)
            ?? Quantity::of(400, Unit::Gram);
        foreach (['grams_per_stroke' => $gun, 'cartridge' => $cartridge] as $name => $mass) {
            if ($mass?->value->isZero()) {
                $given->fault($name, 'It must be above zero.');
            }
        }
        $given->complete();
        assert($gun !== null);
        $need = GreaseNeed::of($strokes, $gun, $cartridge);

        return new Answer([
            'strokes' => $need->strokes,
            'grams' => Notation::quantity($need->grams),
            'cartridges' => $need->cartridges,
        ],
            Plain::count($need->strokes, 'stroke')." of {$gun->inWords()} give {$need->grams->inWords()}: {$need->cartridges} of {$cartridge->inWords()}.",
            ['common practice']);
    }
}
