<?php

declare(strict_types=1);

namespace App\Notes;

use App\Machines\Machine;
use Carbon\CarbonImmutable;

/** What there is of jobs. The bench, which lies above, says so. */
interface KnownJobs
{
    public function has(Machine $machine, string $job): bool;

    public function wereMadeSince(Machine $machine, CarbonImmutable $moment): bool;
}
