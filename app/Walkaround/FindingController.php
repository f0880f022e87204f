<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Acts\Act;
use App\Logbook\Told\WhatWasFound;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\Reckoning;
use Illuminate\Http\JsonResponse;

/** What was found on a machine, how what wears goes on, and what is due on its grease points. */
final readonly class FindingController
{
    public function __construct(private Yard $yard, private CheckLists $checkLists, private WhatWasFound $found) {}

    /** One thing through its whole history, whether or not anything is wrong with it now. */
    public function show(Machine $machine, string $check): JsonResponse
    {
        $looks = Findings::looks($machine->id, $check);
        $lookedAt = $this->found->find($machine, $check);
        abort_if($lookedAt === null, 404);
        [$spot, $title] = $lookedAt;

        return new JsonResponse([
            'check' => $check,
            'spot' => $spot->key,
            'spot_name' => $spot->name,
            'title' => $title,
            'machine_id' => $machine->id,
            'machine' => $machine->name,
            'findings' => array_reverse(
                array_map(
                    fn (FindingThread $thread): array => $thread->toRecord($this->yard),
                    Findings::history($machine->id, $check),
                ),
            ),
            'looks' => $looks->take(100)->map(fn (Act $look): array => $look->toRecord())->all(),
            'looks_in_all' => $looks->count(),
        ]);
    }

    public function trends(Machine $machine): JsonResponse
    {
        return new JsonResponse(TrendShape::of($machine->load('meters'), $this->checkLists->of($machine)));
    }

    public function grease(Machine $machine): JsonResponse
    {
        return new JsonResponse(GreaseShape::of($machine, Reckoning::of($machine->load('meters'), $this->yard)));
    }
}
