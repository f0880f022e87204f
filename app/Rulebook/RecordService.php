<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Refusal;
use App\Logbook\Acts\GivenAct;
use App\Logbook\Acts\Greasing;
use App\Logbook\Acts\PutRight;
use App\Logbook\Fluids\FluidActs;
use App\Logbook\Fluids\GivenFluid;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Circumstances;
use App\Rulebook\Standings\KnownRules;
use Core\Machine\ActKind;
use Core\Machine\Meets;
use Core\Machine\TaskKind;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;

/** The acts of a service, from the tasks that were ticked and what else was done. */
final readonly class RecordService
{
    public function __construct(private PutRight $putRight, private FluidActs $fluidActs)
    {
    }

    /**
     * @param  array<string, mixed>  $done  `tasks`, `other`, `greased` and `puts_right` as {@see ServiceFields}
     *     validates them
     * @return list<GivenAct>
     *
     * @throws Refusal if a task, a spot or a finding is none of this machine's
     */
    public function acts(Machine $machine, array $done, Circumstances $circumstances): array
    {
        $acts = [];
        foreach ($this->tasks($machine, $done['tasks'] ?? []) as $task) {
            $acts = [...$acts, ...$this->ofTask($machine, $task, $done['greased'] ?? [])];
        }
        foreach ($done['other'] ?? [] as $index => $other) {
            $acts = [...$acts, ...$this->other($machine, $other, $circumstances, "other.{$index}.")];
        }
        foreach ($done['puts_right'] ?? [] as $index => $check) {
            $acts[] = $this->putRight->act($machine, $check, field: "puts_right.{$index}");
        }

        return $acts;
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Task>
     */
    public function tasks(Machine $machine, array $ids, string $field = 'tasks'): Collection
    {
        $tasks = Task::query()->where('machine_id', $machine->id)->whereKey($ids)->with('spots')->get();
        if ($tasks->count() !== count(array_unique($ids))) {
            throw Refusal::field($field, "One of these tasks is not in the rulebook of {$machine->name}.");
        }

        return $tasks->sortBy(fn (Task $task): int|false => array_search($task->id, $ids, true))->values()->toBase();
    }

    /**
     * @param  list<array{spot: string, strokes?: int|null, did_not_go_in?: bool, sign_seen?: bool}>  $greased  where it
     *     was otherwise than usual
     * @return list<GivenAct>
     */
    private function ofTask(Machine $machine, Task $task, array $greased): array
    {
        $told = array_column($greased, null, 'spot');

        return array_values($this->spots($machine, $task)->map(function (Spot $spot) use ($task, $told): GivenAct {
            $kind = $task->kind->actAt($spot->kind);
            if ($kind === ActKind::Lubricated) {
                $own = $told[$spot->key] ?? [];

                return Greasing::act(
                    $spot,
                    ($own['did_not_go_in'] ?? false) !== true,
                    $own['strokes'] ?? null,
                    $own['sign_seen'] ?? false,
                    $task->id,
                    $task->name,
                );
            }
            $check = $kind->isLook()
                ? $task->check_key
                ?? ($task->kind === TaskKind::CheckLevel ? Meets::LEVEL : '')
                : '';

            return new GivenAct($spot, $kind, $task->name, check: $check, taskId: $task->id);
        })->all());
    }

    /** @return Collection<int, Spot> where a task is done: of the set of grease points, those that no other task greases */
    public function spots(Machine $machine, Task $task): Collection
    {
        $rules = $task->isOfAllPoints() ? array_column(KnownRules::ofMachine($machine->id), null, 'taskId') : [];
        $points = array_keys($rules[$task->id]->places ?? []);

        return $rules === [] ? $task->spots->toBase()
            : Spot::query()->whereKey($points)->with('grease')->orderBy('position')->get()->toBase();
    }

    /**
     * @param  array<string, mixed>  $other
     * @return non-empty-list<GivenAct>
     */
    private function other(Machine $machine, array $other, Circumstances $circumstances, string $path): array
    {
        $spot = Spot::query()->where(['machine_id' => $machine->id, 'key' => $other['spot']])->first()
            ?? throw Refusal::field("{$path}spot", "{$machine->name} has no such spot.");
        $kind = ActKind::from($other['act']);
        if (! in_array($kind, ActKind::at($spot->kind), true)) {
            throw Refusal::field("{$path}act", "{$spot->name} is not {$kind->word()}.");
        }
        $told = GivenFluid::of($other);
        if ($kind->movesFluid() || $kind === ActKind::Sampled) {
            $spot->loadMissing('parent.holder.sheet', 'parent.sheet', 'holder.sheet', 'sheet');

            return $this->fluidActs->of(
                $machine,
                $spot,
                $kind,
                $told,
                $circumstances,
                (string) Str::uuid(),
                path: $path,
            );
        }
        if ($told->amount !== null) {
            throw Refusal::field("{$path}amount", 'Only what is poured or drained has an amount.');
        }

        return [$kind === ActKind::Lubricated ? Greasing::act($spot, true, $other['strokes'] ?? null) : new GivenAct(
            $spot,
            $kind,
            $spot->name,
            words: $other['words'] ?? null,
            fitting: array_intersect_key(
                $other,
                array_flip(['number', 'found', 'seal', 'reused', 'torque', 'by_feel']),
            ),
        )];
    }
}
