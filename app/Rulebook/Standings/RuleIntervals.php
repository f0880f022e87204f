<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Logbook\Acts\GreaseIntervals;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Schedule\Interval;

/** How often grease points are greased, as their rules say. */
final class RuleIntervals implements GreaseIntervals
{
    public function of(Spot $spot): Interval
    {
        $machine = Machine::query()->with('rules')->findOrFail($spot->machine_id);

        return (TaskSpots::of([$machine])->ofPoints($machine)[$spot->id] ?? null)?->toCore()->every ?? new Interval;
    }
}
