<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fill\CoolantMix;
use Core\Fluid\Glycol;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;

/** How much coolant is drained and replaced to reach a strength. */
final class CoolantCorrectCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $volume = $given->measure('volume', 'the volume', Dimension::Volume);
        $present = $given->number('present_percent', 'the present share of glycol');
        $target = $given->number('target_percent', 'the share of glycol to be reached');
        if ($volume?->value->isZero()) {
            $given->fault('volume', 'There must be something to correct.');
        }
        if ($present?->isGreaterThan(100)) {
            $given->fault('present_percent', 'No more than 100 %.');
        }
        if ($target?->isGreaterThan(Glycol::MOST)) {
            $given->fault('target_percent', 'At most '.Glycol::MOST.' % by volume: more glycol protects less again.');
        }
        $given->complete();
        assert($volume !== null && $present !== null && $target !== null);
        [$drain, $isWeak] = CoolantMix::correction($volume, $present->toBigRational(), $target->toBigRational());
        [$refill, $with] = $isWeak
            ? ['concentrate', 'concentrate of the same chemistry']
            : ['water', 'distilled water'];

        return new Answer(
            ['drain' => Notation::quantity($drain), 'refill_with' => $refill],
            $drain->value->isZero()
                ? "It stands at {$target} % already."
                : "Drain {$drain->display()} cold and fill up with as much {$with}: that brings {$present} % to {$target} %. Run it warm, let it cool, test it.",
            ['common practice'],
        );
    }
}
