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

/** A clearance between two bounds, by gauge. */
final class Clearance implements Instrument, JudgedQuickly
{
    public function asks(array $limits = []): array
    {
        return [Ask::quantity('gap', 'Clearance', Unit::Inch, like: 'least')];
    }

    public function limits(): array
    {
        return [Ask::quantity('least', 'From', Unit::Inch), Ask::quantity('most', 'to', Unit::Inch)];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $least = $limits->measure('least', 'the least clearance', Dimension::Length);
        $most = $limits->measure('most', 'the greatest clearance', Dimension::Length, $least?->unit);
        $gap = $entered->measure('gap', 'the clearance', Dimension::Length, $least?->unit);
        if ($least !== null && $most !== null && $least->compareTo($most) > 0) {
            $limits->fault('most', 'The greatest clearance is less than the least.');
        }
        $limits->complete();
        $entered->complete();
        assert($least !== null && $most !== null && $gap !== null);

        $bounds = "{$least->inWords()} to {$most->inWords()} is right";
        $off = fn (Quantity $bound): string => Quantity::of(
            $gap->value->minus($bound->to($gap->unit)->value)->abs(),
            $gap->unit,
        )->inWords();
        $fields = ['gap' => Notation::quantity($gap)];

        return match (true) {
            $gap->compareTo($most) > 0 => new Judged(
                Verdict::Act,
                "{$gap->inWords()} is {$off($most)} too wide; {$bounds}.",
                'Take shims out until it is within.',
                $fields,
            ),
            $gap->compareTo($least) < 0 => new Judged(
                Verdict::Act,
                "{$gap->inWords()} is {$off($least)} too narrow; {$bounds}.",
                'Put shims in until it is within.',
                $fields,
            ),
            default => new Judged(Verdict::Fit, "{$gap->inWords()}; {$bounds}.", '', $fields),
        };
    }

    public function quickLimit(Fields $limits): ?QuickLimit
    {
        $least = $limits->measure('least', 'the least clearance', Dimension::Length);
        $most = $limits->measure('most', 'the greatest clearance', Dimension::Length, $least?->unit);
        if ($least === null || $most === null) {
            return null;
        }
        $bounds = "{$least->inWords()} to {$most->inWords()} is right";

        return new QuickLimit(['gap' => 1], $least->unit, [
            [
                QuickLimit::below($least, $least->unit),
                Verdict::Act,
                "Too narrow; {$bounds}. Put shims in until it is within.",
            ],
            [QuickLimit::above($most, $least->unit), Verdict::Fit, "{$bounds}."],
            [null, Verdict::Act, "Too wide; {$bounds}. Take shims out until it is within."],
        ]);
    }
}
