<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Machine;
use App\Rulebook\Standings\DueTask;
use App\Rulebook\Standings\DueTasks;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Core\Measure\Day;
use Illuminate\Support\Facades\DB;

/** What somebody may get ready for: tasks by when they fall due, and what was found wrong at a part or an opening. */
final readonly class ReadyWorks
{
    public function __construct(private DueTasks $dueTasks) {}

    /**
     * @param  list<int>|null  $machines  null for all
     * @return list<ReadyWork> the tasks that are due by a day, the soonest first
     */
    public function dueBy(\DateTimeImmutable $day, ?array $machines = null): array
    {
        $until = Day::number($day);

        return $this->tasks(array_values(array_filter(
            $this->dueTasks->all($machines),
            fn (DueTask $task): bool => $task->isDueBy($until),
        )));
    }

    /** @return list<ReadyWork> every task that may fall due, the soonest first */
    public function all(): array
    {
        return $this->tasks($this->dueTasks->all());
    }

    /**
     * @param  list<int>  $rules
     * @return list<ReadyWork> the soonest first
     */
    public function ofRules(array $rules): array
    {
        $machines = DB::table('rules')->whereIntegerInRaw('id', $rules)->distinct()->pluck('machine_id')->all();

        return $machines === [] ? [] : $this->tasks(array_values(array_filter(
            $this->dueTasks->all($machines),
            fn (DueTask $task): bool => in_array($task->ruleId, $rules, true),
        )));
    }

    /**
     * @param  list<int>  $spots
     * @return list<ReadyWork> what sits there, to be replaced
     */
    public function ofSpots(array $spots): array
    {
        return array_values(DB::table('spots')->join('machines', 'machines.id', '=', 'spots.machine_id')
            ->whereIntegerInRaw('spots.id', $spots)
            ->whereIn('spots.kind', [SpotKind::Part, SpotKind::Opening])
            ->where('machines.retired', false)
            ->orderBy('spots.id')
            ->get(['spots.id', 'spots.name', 'spots.machine_id', 'machines.name as machine'])
            ->map(fn (\stdClass $spot): ReadyWork => new ReadyWork(
                (int) $spot->machine_id,
                $spot->machine,
                new ReadyTask($spot->name, TaskKind::Replace, [(int) $spot->id]),
            ))->all());
    }

    /**
     * @param  list<DueTask>  $due
     * @return list<ReadyWork>
     */
    private function tasks(array $due): array
    {
        $ids = array_map(fn (DueTask $task): int => $task->ruleId, $due);
        $rules = DB::table('rules')->join('tasks', 'tasks.id', '=', 'rules.task_id')
            ->whereIntegerInRaw('rules.id', $ids)
            ->get(['rules.id', 'rules.task_id', 'rules.top_up', 'tasks.name', 'tasks.kind'])
            ->keyBy('id')->all();
        $spots = [];
        foreach (DB::table('task_spots')->whereIntegerInRaw('task_id', array_column($rules, 'task_id'))
            ->orderBy('position')->get() as $row) {
            $spots[$row->task_id][] = (int) $row->spot_id;
        }
        $machines = Machine::query()->toBase()->pluck('name', 'id')->all();
        $works = [];
        foreach ($due as $task) {
            $rule = $rules[$task->ruleId] ?? null;
            if ($rule !== null) {
                $works[] = new ReadyWork(
                    $task->machineId,
                    $machines[$task->machineId],
                    new ReadyTask($rule->name, TaskKind::from($rule->kind), $spots[$rule->task_id] ?? [], $rule->top_up),
                    $task,
                );
            }
        }

        return $works;
    }
}
