<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\JudgedQuickly;
use Core\Inspect\Occasion;
use Core\Inspect\QuickLimit;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/**
 * How far a belt gives when its longest run is pressed in the middle. Over the few millimetres that matter a belt gives
 * in proportion to the force,
 * so a limit stated for one force is scaled to one near it. A belt that hardly gives is too tight: bearings suffer.
 */
final class Belt implements Instrument, JudgedQuickly
{
    public function asks(array $limits = []): array
    {
        return [
            Ask::quantity('rest', 'At rest', Unit::Inch, like: 'deflection'),
            Ask::quantity('pressed', 'Pressed', Unit::Inch, like: 'deflection'),
            Ask::quantity('force', 'Force, if not the limit\'s', Unit::PoundForce, like: 'force')->ifAny(),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::quantity('deflection', 'It may give', Unit::Inch),
            Ask::quantity('least', 'and must give', Unit::Inch)->ifAny(),
            Ask::quantity('force', 'when pressed with', Unit::PoundForce),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $limit = $limits->measure('deflection', 'how far it may give', Dimension::Length);
        $least = $limits->optionalMeasure('least', 'how far it must give', Dimension::Length, $limit?->unit);
        $limitForce = $limits->measure('force', 'the force of the limit', Dimension::Force);
        $force = $entered->optionalMeasure('force', 'the force', Dimension::Force, $limitForce?->unit) ?? $limitForce;
        $deflection = $this->deflection($entered, $limit?->unit);
        if ($force?->value->isZero() || $limitForce?->value->isZero()) {
            $entered->fault('force', 'The force must be above zero.');
        } elseif ($force !== null && $limitForce !== null && self::isFar($force, $limitForce)) {
            $entered->fault(
                'force',
                "The limit is stated for {$limitForce->inWords()}. Press with half to twice as much: farther off a belt no longer gives in proportion.",
            );
        }
        if ($limit !== null && $least !== null && $least->compareTo($limit) >= 0) {
            $limits->fault('least', 'It must give less than it may.');
        }
        $limits->complete();
        $entered->complete();
        assert($limit !== null && $limitForce !== null && $force !== null && $deflection !== null);

        $share = $force->si()->dividedBy($limitForce->si());
        $allowed = Quantity::of($limit->to($deflection->unit)->value->multipliedBy($share), $deflection->unit);
        $required = Quantity::of(
            ($least ?? Quantity::of($limit->value->dividedBy(2), $limit->unit))->to($deflection->unit)->value->multipliedBy($share),
            $deflection->unit,
        );
        $nothing = Quantity::of(0, $deflection->unit);
        $over = $deflection->compareTo($allowed) > 0 ? $deflection->minus($allowed) : $nothing;
        $under = $deflection->compareTo($required) < 0 ? $required->minus($deflection) : $nothing;
        $scaled = $share->isEqualTo(1)
            ? ''
            : " (the limit is {$limit->inWords()} at {$limitForce->inWords()}; scaled to the force used)";
        [$verdict, $found, $do] = match (true) {
            $over->value->isPositive() => [
                Verdict::Act,
                ", so it is over by {$over->inWords()}.",
                'Tighten it, run it, and check again.',
            ],
            $under->value->isPositive() => [
                Verdict::Act,
                "; less than {$required->inWords()} is too tight, by {$under->inWords()}.",
                'Slacken it, run it, and check again: a tight belt kills bearings.',
            ],
            default => [Verdict::Fit, '.', ''],
        };

        return new Judged(
            $verdict,
            "It gives {$deflection->inWords()}. The most at {$force->inWords()} is {$allowed->inWords()}{$scaled}{$found}",
            $do,
            [
                'deflection' => Notation::quantity($deflection),
                'over_by' => Notation::quantity($over),
                'under_by' => Notation::quantity($under),
                'allowed' => Notation::quantity($allowed),
                'least' => Notation::quantity($required),
            ],
        );
    }

    private static function isFar(Quantity $force, Quantity $limit): bool
    {
        $share = $force->si()->dividedBy($limit->si());

        return $share->isLessThan('1/2') || $share->isGreaterThan(2);
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

    /** At the force of the limit; pressed with another, the limit must be scaled. */
    public function quickLimit(Fields $limits): ?QuickLimit
    {
        $most = $limits->measure('deflection', 'how far it may give', Dimension::Length);
        $force = $limits->measure('force', 'the force of the limit', Dimension::Force);
        if ($most === null || $force === null || $limits->has('least')) {
            return null;
        }
        $least = Quantity::of($most->value->dividedBy(2), $most->unit);

        return new QuickLimit(['rest' => 1, 'pressed' => -1], $most->unit, [
            [
                QuickLimit::below($least, $most->unit),
                Verdict::Act,
                "Less than {$least->inWords()} at {$force->inWords()} is too tight. Slacken it, run it, and check again.",
            ],
            [
                QuickLimit::above($most, $most->unit),
                Verdict::Fit,
                "The most at {$force->inWords()} is {$most->inWords()}.",
            ],
            [
                null,
                Verdict::Act,
                "Over the {$most->inWords()} at {$force->inWords()}. Tighten it, run it, and check again.",
            ],
        ], unless: ['force']);
    }
}
