<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Unreadable;

/** One amount in another unit. */
final class ConvertCalculator implements Calculator
{
    private const MOST_PLACES = 12;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $quantity = $given->quantity('quantity', 'the amount');
        $unit = $given->unit('to', 'the unit to convert to');
        $places = $given->optionalWholeNumber('places', 'the number of decimals', self::MOST_PLACES);
        $result = null;
        if ($quantity !== null && $unit !== null) {
            try {
                $result = $quantity->to($unit);
            } catch (Unreadable $unreadable) {
                $given->fault('to', $unreadable->getMessage());
            }
        }
        $given->complete();
        assert($quantity !== null && $result !== null);
        $why = sprintf(
            '%s %s is %s %s.',
            $quantity->rounded(),
            $quantity->unit->symbol(),
            $result->rounded($places ?? 6),
            $result->unit->symbol(),
        );

        return new Answer(['result' => Notation::quantity($result, $places)], $why, ['NIST SP 811 (2008), appendix B']);
    }
}
