<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fill\CoolantMix;
use Core\Fluid\Glycol;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;

/** Concentrate and distilled water for a strength. */
final class CoolantMixCalculator implements Calculator
{
    public const SOURCES = [
        'ASHRAE Handbook, Fundamentals, physical properties of secondary coolants (values from memory)',
        'common practice',
    ];

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $volume = $given->measure('volume', 'the volume', Dimension::Volume);
        $percent = $given->number('percent', 'the share of glycol');
        $glycol = $given->option('glycol', array_column(Glycol::cases(), 'value'), 'the glycol');
        if ($volume?->value->isZero()) {
            $given->fault('volume', 'There must be something to mix.');
        }
        if ($percent?->isGreaterThan(Glycol::MOST)) {
            $given->fault('percent', 'At most '.Glycol::MOST.' % by volume: more glycol protects less again.');
        }
        $given->complete();
        assert($volume !== null && $percent !== null && $glycol !== null);
        $mix = CoolantMix::of($volume, $percent->toBigRational(), Glycol::from($glycol));

        return new Answer([
            'concentrate' => Notation::quantity($mix->concentrate),
            'water' => Notation::quantity($mix->water),
            'protects_to' => Notation::quantity($mix->protectsTo),
        ],
            "{$mix->concentrate->inWords()} of concentrate and {$mix->water->inWords()} of distilled water, never from a well, "
                ."keep free of ice down to {$mix->protectsTo->display()}.", self::SOURCES);
    }
}
