<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Machines\Machine;

/** A reading was written, or struck. */
final readonly class ReadingChanged
{
    public function __construct(public Machine $machine, public Reading $reading) {}
}
