<?php

declare(strict_types=1);

namespace App\Yard;

use App\Machines\Yard;
use App\Rulebook\Standings\KeptStandings;

/** What was reckoned of all machines is kept with their lines on the yard's sheet. */
final readonly class KeptLines implements KeptStandings
{
    public function __construct(private Yard $yard) {}

    public function renew(): void
    {
        YardLine::bringUpToDate($this->yard);
    }
}
