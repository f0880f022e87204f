<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Machines\Machine;

/** Which of a machine's meters is meant. */
enum MeterKind: string
{
    case Hours = 'hours';
    case Distance = 'distance';

    /** The kind that a machine is kept by. */
    public static function keptBy(Machine $machine): self
    {
        return $machine->meters->first()?->unit->isDistance() === true ? self::Distance : self::Hours;
    }

    public function isDistance(): bool
    {
        return $this === self::Distance;
    }
}
