<?php

declare(strict_types=1);

namespace App\Bench;

use App\Logbook\LaterJobs;
use App\Machines\Machine;
use Carbon\CarbonImmutable;

/** Jobs as the logbook asks for them. */
final class JobsMadeLater implements LaterJobs
{
    public function exist(Machine $machine, CarbonImmutable $since): bool
    {
        return Job::query()->where('machine_id', $machine->id)->where('made_at', '>=', $since)->exists();
    }
}
