<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Logbook\Acts\WhatMeets;
use App\Machines\Spot;
use App\Rulebook\Rule;
use Core\Machine\TaskKind;

/** Where a rule says otherwise how often points are greased, what they had may or may not have been enough. */
final readonly class GreaseAnew
{
    public function __construct(private WhatMeets $whatMeets) {}

    public function __invoke(Rule $rule): void
    {
        if ($rule->task->kind !== TaskKind::Lubricate) {
            return;
        }
        $places = (KnownRules::ofMachine($rule->machine_id)[$rule->id] ?? null)->places ?? [];
        Spot::query()->whereKey(array_keys($places))->with('grease')->get()->each($this->whatMeets->ofPoint(...));
    }
}
