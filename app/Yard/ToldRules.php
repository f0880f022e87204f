<?php

declare(strict_types=1);

namespace App\Yard;

use App\Machines\Spot;
use App\Rulebook\Rule;
use App\Rulebook\Standings\Reckoning;
use App\Rulebook\Standings\RuleShape;
use App\Walkaround\Findings;
use App\Walkaround\FindingThread;
use Core\Forecast\TaskStanding;
use Core\Inspect\SpotState;
use Core\Machine\TaskKind;
use Core\Machine\Verdict;

/** A machine's rules and spots, each told by the harder of what its rules say and what was found there. */
final readonly class ToldRules
{
    /** @var list<FindingThread> what is open on the machine, the hardest first */
    public array $findings;

    /** @var array<int, array<string, mixed>> each grease point as {@see GreaseShape} tells it, by spot id */
    private array $points;

    /** @param  list<array<string, mixed>>  $points  the machine's grease points, where they are told of */
    public function __construct(private Reckoning $reckoning, array $points = [])
    {
        $this->points = array_column($points, null, 'id');
        $machine = $reckoning->machine;
        $this->findings = Findings::open([$machine->id])[$machine->id] ?? [];
    }

    /** @return list<array<string, mixed>> every rule as the contract's `ToldRule`, most urgent first */
    public function all(): array
    {
        return array_map($this->rule(...), $this->reckoning->outlook->tasks);
    }

    /** @return list<array<string, mixed>> the rules whose tasks are done at a spot, most urgent first */
    public function at(Spot $spot): array
    {
        return array_map($this->rule(...), $this->tasksAt($spot));
    }

    /** @return list<FindingThread> what is open at a spot, the hardest first */
    public function foundAt(Spot $spot): array
    {
        return $this->foundAmong([$spot->id, $spot->shares_with_id ?? $spot->id]);
    }

    /**
     * What the rules of a spot and what was found there come to, and the finding or the task that makes it so.
     *
     * @return array{told: string, because: string|null} as the contract's `SpotTold`
     */
    public function ofSpot(Spot $spot): array
    {
        $all = $this->toldAt($spot);
        $told = SpotState::hardest(...array_column($all, 0));
        $because = $told === SpotState::Fresh ? null : array_column($all, 1)[
            (int) array_search($told, array_column($all, 0), true)
        ];

        return ['told' => $told->value, 'because' => $because];
    }

    /** @return list<array{SpotState, string|null}> each with the finding or the task that tells it */
    private function toldAt(Spot $spot): array
    {
        $point = $this->points[$spot->id] ?? null;

        return [
            ...array_map(fn (FindingThread $finding): array => [
                SpotState::ofVerdict($finding->verdict()),
                $finding->latest()->title,
            ], $this->foundAt($spot)),
            ...$point === null ? [] : [[SpotState::from($point['state']), $point['task']]],
            ...array_map(fn (TaskStanding $task): array => [
                SpotState::ofStanding($task->standing->state),
                $task->task->name,
            ], $this->tasksAt($spot)),
        ];
    }

    /** @return list<TaskStanding> of a grease point all but the greasing, which the point tells by itself */
    private function tasksAt(Spot $spot): array
    {
        return array_values(array_filter(
            $this->reckoning->outlook->tasks,
            fn (TaskStanding $task): bool => in_array($spot->shares_with_id ?? $spot->id, $this->spotsOf($task), true)
                && ($task->task->kind !== TaskKind::Lubricate || ! isset($this->points[$spot->id])),
        ));
    }

    /**
     * A rule with what it says, and what is open at its spots: the row tells the harder of the two.
     *
     * @return array<string, mixed>
     */
    private function rule(TaskStanding $task): array
    {
        $open = $this->foundAmong($this->spotsOf($task));

        return [
            ...RuleShape::of($this->row($task), $task, $this->reckoning),
            'findings' => array_map(
                fn (FindingThread $finding): array => $finding->toRecord($this->reckoning->yard),
                $open,
            ),
            'told' => SpotState::harder(
                $task->standing->state,
                Verdict::hardest(...array_map(fn (FindingThread $finding): Verdict => $finding->verdict(), $open)),
            )->value,
        ];
    }

    private function row(TaskStanding $task): Rule
    {
        return $this->reckoning->machine->rules->findOrFail((int) $task->task->id);
    }

    /** @return list<int> */
    private function spotsOf(TaskStanding $task): array
    {
        return array_keys($this->reckoning->rules[(int) $task->task->id]->places);
    }

    /**
     * @param  list<int>  $spots
     * @return list<FindingThread>
     */
    private function foundAmong(array $spots): array
    {
        return array_values(array_filter(
            $this->findings,
            fn (FindingThread $finding): bool => in_array($finding->latest()->spot_id, $spots, true),
        ));
    }
}
