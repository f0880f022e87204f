<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Machines\Spot;
use Core\Schedule\Interval;

/** How often grease points are greased. The rulebook, which lies above the logbook, says so. */
interface GreaseIntervals
{
    /** Empty where no rule says. */
    public function of(Spot $spot): Interval;
}
