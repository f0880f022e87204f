<?php

declare(strict_types=1);

namespace App\Bench;

use App\Machines\Machine;
use App\Notes\KnownJobs;
use Carbon\CarbonImmutable;

/** Jobs as the rooms below ask for them. */
final class JobsOfMachines implements KnownJobs
{
    public function has(Machine $machine, string $job): bool
    {
        return Job::query()->where('machine_id', $machine->id)->whereKey($job)->exists();
    }

    public function wereMadeSince(Machine $machine, CarbonImmutable $moment): bool
    {
        return Job::query()->where('machine_id', $machine->id)->where('made_at', '>=', $moment)->exists();
    }
}
