<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Fluid\Glycol;
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

/** Whether the coolant stands the coldest night, by a tester that shows degrees or per cent. */
final class Coolant implements Instrument
{
    /** Nearer to the coldest night than this is watched: testers err by as much. */
    private const MARGIN = 3;

    public function asks(array $limits = []): array
    {
        return [
            Ask::quantity('protects_to', 'The tester shows protection to', Unit::DegreeCelsius)->ifAny(),
            Ask::number('percent', 'or so much glycol, %')->ifAny(),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::choice('glycol', 'Glycol', ['ethylene' => 'ethylene', 'propylene' => 'propylene']),
            Ask::quantity('coldest', 'Coldest night, if not the yard\'s', Unit::DegreeCelsius)->ifAny(),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $glycol = $limits->choice('glycol', Glycol::Ethylene, 'the glycol');
        $coldest = $limits->optionalMeasure('coldest', 'the coldest night', Dimension::Temperature, Unit::DegreeCelsius)
            ?? $occasion->coldestNight;
        $protects = $entered->optionalMeasure(
            'protects_to',
            'what the tester shows',
            Dimension::Temperature,
            Unit::DegreeCelsius,
        );
        $percent = $entered->optionalNumber('percent', 'the share of glycol');
        if ($coldest === null) {
            $limits->fault(
                'coldest',
                'Nobody has said how cold the coldest night here gets. The keeper sets it with the yard.',
            );
        }
        if ($protects === null && $percent === null) {
            $entered->fault('protects_to', 'What the tester shows is missing.');
        }
        if ($protects === null && $percent !== null) {
            try {
                $protects = Quantity::of($glycol->freezesAt($percent->toBigRational()), Unit::DegreeCelsius);
            } catch (\DomainException $beyond) {
                $entered->fault('percent', $beyond->getMessage());
            }
        }
        $limits->complete();
        $entered->complete();
        assert($coldest !== null && $protects !== null);

        $spare = $coldest->to(Unit::DegreeCelsius)->value->minus($protects->to(Unit::DegreeCelsius)->value);
        $why = ($percent === null ? '' : "{$percent} % {$glycol->value} glycol: ")."It protects to {$protects->inWords()}; the coldest night here is {$coldest->inWords()}.";
        $fields = ['protects_to' => Notation::quantity($protects, 1)];
        $sources = [
            'Glycol freezing points by volume: ASHRAE Handbook, Fundamentals, values from memory',
            'common practice',
        ];

        return match (true) {
            $spare->isNegative() => new Judged(
                Verdict::Act,
                $why,
                'Correct the mix before that night. Never open the cooling system hot.',
                $fields,
                $sources,
            ),
            $spare->isLessThan(self::MARGIN) => new Judged(
                Verdict::Watch,
                $why,
                'Correct the mix before winter.',
                $fields,
                $sources,
            ),
            default => new Judged(Verdict::Fit, $why, '', $fields, $sources),
        };
    }
}
