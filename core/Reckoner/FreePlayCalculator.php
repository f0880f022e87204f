<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Inspect\Instrument\FreePlay;

/** The free play of one pedal or two. */
final class FreePlayCalculator extends MeasureBy
{
    public function __construct()
    {
        parent::__construct(new FreePlay);
    }
}
