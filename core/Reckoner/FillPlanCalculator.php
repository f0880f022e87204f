<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigRational;
use Core\Fill\FillPlan;
use Core\Fill\Pour;
use Core\Fluid\Level\LevelMethod;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;

/** The stages in which a compartment is filled. */
final class FillPlanCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $capacity = $given->within('capacity', 'the capacity');
        $least = $capacity->optionalMeasure('min', 'the least', Dimension::Volume);
        $most = $capacity->measure('max', 'the most', Dimension::Volume);
        $prefilled = $given->optionalMeasure('prefill', 'what is in the filter already', Dimension::Volume);
        $method = $given->option('method', array_column(LevelMethod::cases(), 'value'), 'the method');
        $share = $given->optionalNumber('share_first', 'the share that is poured first', aboveZero: true);
        if ($share?->isGreaterThan(1)) {
            $given->fault('share_first', 'The share that is poured first is at most 1.');
        }
        if ($most?->value->isZero()) {
            $capacity->fault('max', 'A compartment holds more than nothing.');
        }
        if ($least !== null && $most !== null && $least->compareTo($most) > 0) {
            $capacity->fault('min', "The least, {$least->inWords()}, is over the most, {$most->inWords()}.");
        }
        if ($prefilled !== null && $most !== null && $prefilled->compareTo($most) >= 0) {
            $given->fault('prefill', "The filter cannot hold {$prefilled->inWords()} of {$most->inWords()}.");
        }
        $given->complete();
        assert($most !== null && $method !== null);
        $plan = FillPlan::of(
            $most,
            $least,
            $prefilled,
            LevelMethod::from($method),
            BigRational::of($share ?? FillPlan::SHARE_FIRST),
        );

        return new Answer([
            'steps' => array_map(fn (Pour $pour): array => [
                'pour' => Notation::quantity($pour->amount),
                'total' => Notation::quantity($pour->total),
                'then' => $pour->then->value,
            ], $plan->pours),
            'book_total' => Notation::quantity($most),
        ], implode(', then ', array_map(
            fn (Pour $pour): string => implode(', ', array_filter([
                "pour {$pour->amount->inWords()} ({$pour->total->inWords()} in all)",
                $pour->then->inWords(),
            ])),
            $plan->pours,
        )).'. The level decides, not the figure.', ['common practice']);
    }
}
