<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Inspect\Instrument\Battery;

/** State of charge and drop under load of a lead-acid battery. */
final class BatteryCalculator extends MeasureBy
{
    public function __construct()
    {
        parent::__construct(new Battery);
    }
}
