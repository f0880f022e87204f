<?php

declare(strict_types=1);

namespace App\Rulebook\Kinds;

use App\Contract\Refusal;
use App\Logbook\DecisionKind;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\RecordService;
use App\Rulebook\Standings\Reckoning;
use App\Rulebook\Task;
use Core\Measure\Day;

/** The next point of some tasks is passed over on purpose. */
final class SkipNote extends DecisionNote
{
    public function __construct(RecordService $recordService, private readonly Yard $yard)
    {
        parent::__construct($recordService);
    }

    public function messages(): array
    {
        return ['tasks.required' => 'Choose the task.', 'note.required' => 'Say why it is passed over.'];
    }

    public function ability(): string
    {
        return 'service';
    }

    protected function kind(): DecisionKind
    {
        return DecisionKind::Skipped;
    }

    protected function point(Machine $machine, Task $task): array
    {
        $rule = $machine->rules->firstWhere('task_id', $task->id);
        $due = $rule === null
            ? []
            : Reckoning::of($machine->load('meters'), $this->yard)->standings[$rule->id]->standing->points;
        if ($due === []) {
            throw Refusal::field('tasks', "{$task->name} has no next point to pass over.");
        }
        $at = fn (string $limit): ?string => isset($due[$limit]) ? (string) $due[$limit]->at : null;

        return [
            'hours' => $at('hours'),
            'km' => $at('km'),
            'date' => isset($due['date']) ? Day::of($due['date']->at->toInt())->format('Y-m-d') : null,
        ];
    }
}
