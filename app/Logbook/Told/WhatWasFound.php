<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Contract\Refusal;
use App\Logbook\Acts\Act;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;

/** Where a check looks, or something was found, and what it is called; whether or not it still stands on the sheet. */
final readonly class WhatWasFound
{
    public function __construct(private CheckLists $checkLists) {}

    /** @return array{Spot, string}|null */
    public function find(Machine $machine, string $check): ?array
    {
        $asked = $this->checkLists->find($machine, $check);
        $spot = $asked === null
            ? null
            : Spot::query()->where(['machine_id' => $machine->id, 'key' => $asked->manner->spot])->first();
        if ($asked !== null && $spot !== null) {
            return [$spot, $asked->title];
        }
        $last = Act::query()->where(['machine_id' => $machine->id, 'check_key' => $check])
            ->with('spot')
            ->latest('happened_at')
            ->latest('id')
            ->first();

        return $last === null ? null : [$last->spot, $last->title];
    }

    /** @throws Refusal if nobody ever looked at it */
    public function putRight(Machine $machine, string $check, Telling $telling = new Telling, string $field = 'check'): PutRight
    {
        [$spot, $title] = $this->find($machine, $check)
            ?? throw Refusal::field($field, "Nobody has ever looked at that on {$machine->name}.");

        return new PutRight($spot, $check, new Telling($title, note: $telling->note, uuid: $telling->uuid));
    }
}
