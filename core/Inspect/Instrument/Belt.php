<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Inspect\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Reckoner\Answer;
use Core\Reckoner\Fields;

/**
 * How far a belt gives when its longest run is pressed in the middle. Over the few millimetres that matter a belt gives in proportion to the force,
 * so a limit stated for one force is scaled to the force used.
 */
final class Belt implements Instrument
{
    public function asks(): array
    {
        return [
            Ask::quantity('rest', 'At rest', Unit::Inch, like: 'deflection'),
            Ask::quantity('pressed', 'Pressed', Unit::Inch, like: 'deflection'),
            Ask::quantity('force', 'Force, if not the limit\'s', Unit::PoundForce, like: 'force')->ifAny(),
        ];
    }

    public function limits(): array
    {
        return [Ask::quantity('deflection', 'It may give', Unit::Inch), Ask::quantity('force', 'when pressed with', Unit::PoundForce)];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $limit = $limits->measure('deflection', 'how far it may give', Dimension::Length);
        $limitForce = $limits->measure('force', 'the force of the limit', Dimension::Force);
        $force = $entered->optionalMeasure('force', 'the force', Dimension::Force, $limitForce?->unit) ?? $limitForce;
        $deflection = $this->deflection($entered, $limit?->unit);
        if ($force?->value->isZero() || $limitForce?->value->isZero()) {
            $entered->fault('force', 'The force must be above zero.');
        }
        $limits->complete();
        $entered->complete();
        assert($limit !== null && $limitForce !== null && $force !== null && $deflection !== null);

        $share = $force->si()->dividedBy($limitForce->si());
        $allowed = Quantity::of($limit->to($deflection->unit)->value->multipliedBy($share), $deflection->unit);
        $over = $deflection->compareTo($allowed) > 0 ? $deflection->minus($allowed) : Quantity::of(0, $deflection->unit);
        $isOver = $over->value->isPositive();
        $scaled = $share->isEqualTo(1) ? '' : " (the limit is {$limit->inWords()} at {$limitForce->inWords()}; scaled to the force used)";

        return new Judged(
            $isOver ? Verdict::Act : Verdict::Fit,
            "It gives {$deflection->inWords()}. The most at {$force->inWords()} is {$allowed->inWords()}{$scaled}".($isOver ? ", so it is over by {$over->inWords()}." : '.'),
            $isOver ? 'Tighten it, run it, and check again.' : '',
            ['deflection' => Answer::quantity($deflection), 'over_by' => Answer::quantity($over), 'allowed' => Answer::quantity($allowed)],
        );
    }

    private function deflection(Fields $entered, ?Unit $unit): ?Quantity
    {
        if ($entered->has('deflection')) {
            return $entered->measure('deflection', 'how far it gives', Dimension::Length, $unit);
        }
        $rest = $entered->measure('rest', 'the distance at rest', Dimension::Length, $unit);
        $pressed = $entered->measure('pressed', 'the distance pressed in', Dimension::Length, $unit);
        if ($rest === null || $pressed === null) {
            return null;
        }
        $pressed = $pressed->to($rest->unit);

        return Quantity::of($rest->value->minus($pressed->value)->abs(), $rest->unit);
    }
}
