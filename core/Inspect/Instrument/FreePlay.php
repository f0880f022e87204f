<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Brick\Math\BigRational;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** How far a pedal goes from rest to the first resistance; left and right alike, or the machine pulls to one side. */
final class FreePlay implements Instrument
{
    public function asks(array $limits = []): array
    {
        return [
            Ask::quantity('left', 'Left, or the only one', Unit::Inch, like: 'target'),
            Ask::quantity('right', 'Right', Unit::Inch, like: 'target')->ifAny(),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::quantity('target', 'Target', Unit::Inch),
            Ask::quantity('tolerance', 'give or take', Unit::Inch),
            Ask::quantity('max_difference', 'Left and right differ by at most', Unit::Inch)->ifAny(),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $target = $limits->measure('target', 'the target', Dimension::Length);
        $tolerance = $limits->measure('tolerance', 'the tolerance', Dimension::Length, $target?->unit);
        $most = $limits->optionalMeasure('max_difference', 'the greatest difference', Dimension::Length, $target?->unit)
            ?? $tolerance;
        $left = $entered->measure('left', 'the left play', Dimension::Length, $target?->unit);
        $right = $entered->optionalMeasure('right', 'the right play', Dimension::Length, $target?->unit);
        $limits->complete();
        $entered->complete();
        assert($target !== null && $tolerance !== null && $left !== null);

        $faults = array_filter(
            [
                $this->fault($right === null ? 'It' : 'Left', $left, $target, $tolerance),
                $right === null ? null : $this->fault('Right', $right, $target, $tolerance),
            ],
        );
        $difference = $right === null ? null : self::apart($left, $right);
        if ($difference !== null && $most !== null && $difference->compareTo($most) > 0) {
            $faults[] = "left and right differ by {$difference->inWords()}, at most {$most->inWords()} is allowed";
        }
        $told = $right === null
            ? "{$left->inWords()} of play"
            : "{$left->inWords()} of play left and {$right->inWords()} right";

        return new Judged(
            $faults === [] ? Verdict::Fit : Verdict::Act,
            $faults === []
                ? "{$told}; the target is {$target->inWords()}, give or take {$tolerance->inWords()}."
                : ucfirst(implode('; ', $faults)).'.',
            $faults === [] ? '' : 'Adjust at the turnbuckle in small turns, lock it, couple the pedals again.',
            [
                'left_over_by' => Notation::quantity(self::over($left, $target)),
                'right_over_by' => $right === null ? null : Notation::quantity(self::over($right, $target)),
                'difference' => $difference === null ? null : Notation::quantity($difference),
            ],
        );
    }

    private function fault(string $which, Quantity $play, Quantity $target, Quantity $tolerance): ?string
    {
        $off = self::apart($play, $target);
        if ($off->compareTo($tolerance) <= 0) {
            return null;
        }

        return "{$which} has {$play->inWords()}, ".($play->compareTo($target) > 0 ? "over the target of {$target->inWords()} by {$off->inWords()}" : "{$off->inWords()} less than the target of {$target->inWords()}: the brake may drag");
    }

    private static function over(Quantity $play, Quantity $target): Quantity
    {
        $over = $play->value->minus($target->to($play->unit)->value);

        return Quantity::of($over->isPositive() ? $over : BigRational::zero(), $play->unit);
    }

    private static function apart(Quantity $one, Quantity $other): Quantity
    {
        return Quantity::of($one->value->minus($other->to($one->unit)->value)->abs(), $one->unit);
    }
}
