<?php

declare(strict_types=1);

namespace App\Yard;

use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Rulebook\Standings\Reckoning;
use App\Shelf\CompartmentShape;
use App\Walkaround\GreaseShape;
use Illuminate\Http\JsonResponse;

/** A machine's plate: every spot with what is told of it, and the story of one. */
final readonly class PlateController
{
    public function __construct(
        private Yard $yard,
        private CheckLists $checkLists,
        private CompartmentShape $compartments,
    ) {}

    public function show(Machine $machine): JsonResponse
    {
        $reckoning = $this->reckoning($machine);
        $grease = GreaseShape::of($machine, $reckoning);
        $told = new ToldRules($reckoning, $grease['points']);
        $spots = $machine->spots()->with('parent:id,key', 'grease', 'sheet')->get();

        return new JsonResponse([
            ...$machine->only('id', 'name'),
            'class' => $machine->class->value,
            'spots' => $spots->map(fn (Spot $spot): array => [...$spot->toRecord(), ...$told->ofSpot($spot)])->all(),
            'grease' => $grease,
        ]);
    }

    public function spot(Machine $machine, Spot $spot): JsonResponse
    {
        return new JsonResponse(SpotStory::of(
            $spot,
            $this->reckoning($machine),
            $this->checkLists->of($machine),
            $this->compartments,
        ));
    }

    private function reckoning(Machine $machine): Reckoning
    {
        return Reckoning::of($machine->load('meters'), $this->yard);
    }
}
