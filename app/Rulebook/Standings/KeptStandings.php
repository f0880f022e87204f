<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

/** Whoever keeps what was reckoned of all machines. */
interface KeptStandings
{
    /** Reckons anew what no longer holds. */
    public function renew(): void;
}
