<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Measure\Dimension;
use Core\Measure\Quantity;

/** How much a compartment takes by its book: one figure, or from and to. */
final readonly class BookAmount
{
    private function __construct(public ?Quantity $least, public ?Quantity $most)
    {
    }

    public static function read(Fields $row): self
    {
        $least = null;
        if ($row->isSet('capacity')) {
            $range = $row->within('capacity', 'the capacity');
            $least = $range->optionalMeasure('min', 'the least', Dimension::Volume);
            $most = $range->measure('max', 'the most', Dimension::Volume);
            if ($least !== null && $most !== null && $least->compareTo($most) > 0) {
                $range->fault('min', "The least, {$least->inWords()}, is over the most, {$most->inWords()}.");
            }
        } else {
            $most = $row->optionalMeasure('capacity', 'the capacity', Dimension::Volume);
        }
        if ($most?->value->isZero()) {
            $row->fault('capacity', 'A compartment holds more than nothing.');
        }

        return new self($least, $most);
    }
}
