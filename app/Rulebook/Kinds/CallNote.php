<?php

declare(strict_types=1);

namespace App\Rulebook\Kinds;

use App\Logbook\DecisionKind;
use App\Machines\Machine;
use App\Rulebook\Task;

/** A check has said that some tasks must be done now. */
final class CallNote extends DecisionNote
{
    public function messages(): array
    {
        return ['tasks.required' => 'Choose the task.', 'note.required' => 'Say what was seen.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    protected function kind(): DecisionKind
    {
        return DecisionKind::Called;
    }

    protected function point(Machine $machine, Task $task): array
    {
        return [];
    }
}
