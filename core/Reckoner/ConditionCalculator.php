<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Inspect\Instrument\FluidLook;

/** What the look of a fluid means. */
final class ConditionCalculator extends MeasureBy
{
    public function __construct()
    {
        parent::__construct(new FluidLook);
    }
}
