<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Refusal;
use App\Logbook\Told\DoneAt;
use App\Logbook\Told\Greased;
use App\Logbook\Told\Replaced;
use App\Logbook\Told\Serviced;
use App\Logbook\Told\Telling;
use App\Logbook\Told\Told;
use App\Logbook\Told\WhatWasFound;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Rulebook\Standings\KnownRules;
use Core\Machine\ActKind;
use Core\Machine\Meets;
use Core\Machine\TaskKind;
use Illuminate\Support\Collection;

/** What a service tells, from the tasks that were ticked and what else was done. */
final readonly class RecordService
{
    public function __construct(private WhatWasFound $found) {}

    /**
     * @param  array<string, mixed>  $done  `tasks`, `other`, `greased` and `puts_right` as {@see ServiceFields}
     *     validates them
     * @return list<Told>
     *
     * @throws Refusal if a task, a spot or a finding is none of this machine's
     */
    public function told(Machine $machine, array $done): array
    {
        $told = [];
        foreach ($this->tasks($machine, $done['tasks'] ?? []) as $task) {
            $told = [...$told, ...$this->ofTask($machine, $task, $done['greased'] ?? [])];
        }
        foreach ($done['other'] ?? [] as $index => $other) {
            $told[] = self::other($machine, $other, "other.{$index}.");
        }
        foreach ($done['puts_right'] ?? [] as $index => $check) {
            $told[] = $this->found->putRight($machine, $check, field: "puts_right.{$index}");
        }

        return $told;
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
     * @return list<Told>
     */
    private function ofTask(Machine $machine, Task $task, array $greased): array
    {
        $told = array_column($greased, null, 'spot');

        $telling = new Telling($task->name, $task->id);

        return array_values($this->spots($machine, $task)->map(function (Spot $spot) use ($task, $told, $telling): Told {
            $kind = $task->kind->actAt($spot->kind);
            $check = $task->check_key ?? ($task->kind === TaskKind::CheckLevel ? Meets::LEVEL : '');

            return match (true) {
                $kind === ActKind::Lubricated => Greased::of($spot, $told[$spot->key] ?? [], $telling),
                $kind === ActKind::Replaced => new Replaced($spot, telling: $telling),
                default => new Serviced($spot, $kind, $kind->isLook() ? $check : '', telling: $telling),
            };
        })->all());
    }

    /** @return Collection<int, Spot> where a task is done: of the set of grease points, those that no other task greases */
    public function spots(Machine $machine, Task $task): Collection
    {
        $rules = $task->isOfAllPoints() ? array_column(KnownRules::ofMachine($machine->id), null, 'taskId') : [];
        $points = array_keys($rules[$task->id]->places ?? []);

        return $rules === [] ? $task->spots->loadMissing('sheet')->toBase()
            : Spot::query()->whereKey($points)->with('grease')->orderBy('position')->get()->toBase();
    }

    /** @param  array<string, mixed>  $other */
    private static function other(Machine $machine, array $other, string $path): Told
    {
        $spot = Spot::query()->with('parent.holder.sheet', 'parent.sheet', 'holder.sheet', 'sheet', 'grease')
            ->where(['machine_id' => $machine->id, 'key' => $other['spot']])->first()
            ?? throw Refusal::field("{$path}spot", "{$machine->name} has no such spot.");

        return DoneAt::told($spot, ActKind::from($other['act']), $other, new Telling(path: $path));
    }
}
