<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Contract\Refusal;
use App\Logbook\Fluids\Sources;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Yard;
use Core\Procedure\Hold;
use Core\Procedure\Procedure;
use Core\Procedure\Step;
use Core\Procedure\Timing\Impossible;
use Core\Procedure\Timing\TimedStep;
use Core\Procedure\Timing\Timetable;
use Core\Procedure\Timing\Weights;
use Core\Procedure\Timing\Workload;
use Core\Procedure\Unready;

/** Makes a job's plan: the steps in the order in which one person is soonest done, with all that is asked at them. */
final readonly class PlanJob
{
    /** What most sheds have. Common practice, no source. */
    private const AT_HAND = [Hold::PAN => 2, Hold::STAND => 1];

    public function __construct(private CheckLists $checkLists, private Yard $yard, private Sources $sources) {}

    /**
     * @param  non-empty-list<WantedWork>  $works
     * @return array<string, mixed> as the contract's `JobPlan`
     *
     * @throws Refusal if something is not written down without which nobody can be led
     */
    public function of(Machine $machine, array $works, bool $raised): array
    {
        $bench = new MachineAtTheBench($machine, $this->checkLists, $works, $raised, $this->yard);
        try {
            $procedure = Procedure::of($bench->serviced(), $bench->works(), $bench->compartments(), $bench->parts());
        } catch (Unready $unready) {
            throw Refusal::field('rules', $unready->getMessage());
        }
        [$begins, $minutes] = $this->timed($procedure);
        $shown = StepsShown::at($bench, $works, $this->yard, $this->sources);
        $byKey = array_column($procedure->steps, null, 'key');

        return [
            'tasks' => array_map(fn (WantedWork $work): array => $work->toRecord(), $works),
            'minutes' => $minutes,
            'steps' => array_map(fn (string $key, int $minute): array => [
                ...PlannedStep::written($byKey[$key]),
                'begins' => $minute,
                ...$shown->of($byKey[$key]),
            ], array_keys($begins), $begins),
        ];
    }

    /** @return array{array<string, int>, int} the minute in which each step begins, in their order, and in which all is done */
    private function timed(Procedure $procedure): array
    {
        $steps = array_map(
            fn (Step $step): TimedStep => TimedStep::of($step),
            $procedure->steps,
        );
        try {
            $timetable = Timetable::roundTheMachine(new Workload($steps, $procedure->holds, self::AT_HAND, 1), Weights::usual());
        } catch (Impossible) {
            // More pans are held at once than most sheds have: told as if there were enough.
            $timetable = Timetable::roundTheMachine(new Workload($steps, [], self::AT_HAND, 1), Weights::usual());
        }
        $begins = [];
        foreach ($timetable->order as $key) {
            $begins[$key] = $timetable->starts[$key];
        }

        return [$begins, $timetable->length];
    }
}
