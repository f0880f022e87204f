<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Yard\Machine;
use App\Yard\Yard;
use Illuminate\Http\JsonResponse;

/** What was found on a machine, and how what wears goes on. */
final readonly class FindingController
{
    public function __construct(private Yard $yard, private Sheets $sheets)
    {
    }

    /** One thing through its whole history, whether or not anything is wrong with it now. */
    public function show(Machine $machine, string $subject): JsonResponse
    {
        $looks = Findings::looks($machine->id, $subject);
        $title = $this->sheets->titleOf($machine, $subject);
        abort_if($title === null, 404);

        return new JsonResponse([
            'subject' => $subject,
            'title' => $title,
            'machine_id' => $machine->id,
            'machine' => $machine->name,
            'findings' => array_reverse(array_map(fn (FindingThread $thread): array => $thread->toRecord($this->yard), Findings::history($machine->id, $subject))),
            'looks' => $looks->take(100)->map(fn (Observation $look): array => $look->toRecord())->all(),
            'looks_in_all' => $looks->count(),
        ]);
    }

    public function trends(Machine $machine): JsonResponse
    {
        return new JsonResponse(TrendShape::of($machine->load('meters'), $this->sheets->of($machine)));
    }
}
