<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Machines\Machine;
use Carbon\CarbonImmutable;

/** Whether a job was made on a machine since some moment. The bench, which lies above the logbook, says so. */
interface LaterJobs
{
    public function exist(Machine $machine, CarbonImmutable $since): bool;
}
