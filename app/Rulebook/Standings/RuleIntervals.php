<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Logbook\Acts\GreaseIntervals;
use App\Machines\Spot;
use Core\Schedule\Interval;

/** How often grease points are greased, as their rules say. */
final class RuleIntervals implements GreaseIntervals
{
    public function of(Spot $spot): Interval
    {
        $rule = KnownRules::byPoint(KnownRules::ofMachine($spot->machine_id))[$spot->id] ?? null;

        return $rule->line->rule->every ?? new Interval;
    }
}
