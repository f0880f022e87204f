<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\Reckoning;
use Illuminate\Http\JsonResponse;

/** A machine's grease points, and what is due on them. */
final readonly class GreaseController
{
    public function __construct(private Yard $yard)
    {
    }

    public function show(Machine $machine): JsonResponse
    {
        return new JsonResponse(
            GreaseShape::of($machine, Reckoning::of($machine->load('meters'), $this->yard)),
        );
    }
}
