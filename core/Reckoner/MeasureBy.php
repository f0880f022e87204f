<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Inspect\Instrument;
use Core\Inspect\Occasion;

/** A calculator that is one of the inspection's instruments. */
abstract class MeasureBy implements Calculator
{
    public function __construct(private readonly Instrument $instrument)
    {
    }

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $judged = $this->instrument->judge($given, $this->limits($given), new Occasion($now));

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

    protected function limits(Fields $given): Fields
    {
        return $given;
    }
}
