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
use Core\Inspect\WearMeasure;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\WrittenNumber;

/**
 * What is left of a part that wears down: tread, lining, thread on an adjuster, a belt's width. The least of several
 * readings counts.
 */
final class WearLeft implements Instrument, JudgedQuickly
{
    public function asks(array $limits = []): array
    {
        return [Ask::quantity('left', 'Left of it, at the thinnest', Unit::Millimetre, like: 'least')];
    }

    public function limits(): array
    {
        return [
            Ask::quantity('least', 'At least', Unit::Millimetre),
            Ask::quantity('watch_below', 'Watch it below', Unit::Millimetre)->ifAny(),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $least = $limits->measure('least', 'the least that may be left', Dimension::Length);
        $watch = $limits->optionalMeasure('watch_below', 'where watching begins', Dimension::Length, $least?->unit);
        $left = $entered->measure('left', 'what is left', Dimension::Length, $least?->unit);
        $limits->complete();
        $entered->complete();
        assert($least !== null && $left !== null);

        $over = Quantity::of($left->value->minus($least->to($left->unit)->value)->abs(), $left->unit);
        [$verdict, $why, $do] = match (true) {
            $left->compareTo($least) < 0 => [
                Verdict::Act,
                "{$left->inWords()} left, {$over->inWords()} less than the {$least->inWords()} there must be.",
                'Replace it.',
            ],
            $watch !== null
                && $left->compareTo($watch) < 0 => [
                    Verdict::Watch,
                    "{$left->inWords()} left, {$over->inWords()} above the {$least->inWords()} there must be.",
                    'Order the part.',
                ],
            default => [Verdict::Fit, "{$left->inWords()} left; {$least->inWords()} is the least.", ''],
        };

        return new Judged(
            $verdict,
            $why,
            $do,
            ['left' => Notation::quantity($left)],
            worn: new WearMeasure($left, $least, WrittenNumber::resolution($entered->written('left'))),
        );
    }

    public function quickLimit(Fields $limits): ?QuickLimit
    {
        $least = $limits->measure('least', 'the least that may be left', Dimension::Length);
        if ($least === null) {
            return null;
        }
        $watch = $limits->optionalMeasure('watch_below', 'where watching begins', Dimension::Length, $least->unit);

        return new QuickLimit(['left' => 1], $least->unit, [
            [
                QuickLimit::below($least, $least->unit),
                Verdict::Act,
                "Less than the {$least->inWords()} there must be. Replace it.",
            ],
            ...$watch === null
                ? []
                : [
                    [
                        QuickLimit::below($watch, $least->unit),
                        Verdict::Watch,
                        "Above the {$least->inWords()} there must be, but near it. Order the part.",
                    ],
                ],
            [null, Verdict::Fit, "{$least->inWords()} is the least."],
        ]);
    }
}
