<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Logbook\Fluids\Sources;
use App\Machines\Yard;
use App\Shelf\Fitted;

/** Makes ready what stands at the steps of a job. */
final readonly class StepTables
{
    public function __construct(private Yard $yard, private Sources $open)
    {
    }

    /** @param  list<WantedWork>  $works */
    public function at(MachineAtTheBench $bench, array $works): StepsShown
    {
        $spots = $bench->spots->modelKeys();

        return new StepsShown(
            $bench,
            $works,
            Fitted::reusedAt($spots),
            Wrenches::of($this->yard),
            $this->open,
            LearnedBands::at($spots),
        );
    }
}
