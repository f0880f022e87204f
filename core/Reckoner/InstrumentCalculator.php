<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Inspect\Instrument;
use Core\Inspect\Occasion;

/** A calculator that is one of the inspection's instruments. */
final class InstrumentCalculator implements Calculator
{
    /** @param  string  $limitsIn  the field that holds its limits; empty where they stand among the rest */
    public function __construct(private readonly Instrument $instrument, private readonly string $limitsIn = '') {}

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $limits = $this->limitsIn === '' ? $given : $given->within($this->limitsIn, 'the limit');
        $judged = $this->instrument->judge($given, $limits, new Occasion($now));

        return new Answer(
            [
                ...$judged->fields,
                'usable' => $judged->isUsable(),
                'verdict' => $judged->verdict?->value,
                'do' => $judged->do,
            ],
            $judged->why,
            $judged->sources,
        );
    }
}
