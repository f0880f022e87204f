<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Inspect\Instrument\Belt;

/** How far a belt gives under a force, against a limit stated for another. */
final class BeltDeflectionCalculator extends MeasureBy
{
    public function __construct()
    {
        parent::__construct(new Belt);
    }

    protected function limits(Fields $given): Fields
    {
        return $given->within('limit', 'the limit');
    }
}
