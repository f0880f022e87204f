<?php

declare(strict_types=1);

namespace App\Rulebook\Kinds;

use App\Logbook\DecisionKind;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Rulebook\RecordService;
use App\Rulebook\Task;

/** Something is decided about tasks without anything being done. */
abstract class DecisionNote implements NoteKind
{
    public function __construct(private readonly RecordService $recordService) {}

    public function rules(?Machine $machine): array
    {
        return [
            'tasks' => ['required', 'array', 'min:1', 'max:200'],
            'tasks.*' => ['integer', 'distinct'],
            'note' => ['required', 'string', 'max:1000'],
        ];
    }

    public function write(Note $note): NoteOutcome
    {
        $tasks = $this->recordService->tasks($note->machine(), $note->given['tasks']);
        $points = $tasks->map(fn (Task $task): array => $this->point($note->machine(), $task));
        $entry = Entry::write(
            $note->machine(),
            $this->kind() === DecisionKind::Skipped ? EntryKind::Skipped : EntryKind::Called,
            $note->circumstances,
            ['uuid' => $note->id],
        );
        foreach ($tasks as $index => $task) {
            $entry->decisions()->create(
                ['task_id' => $task->id, 'task' => $task->name, 'kind' => $this->kind(), ...$points[$index] ?? []],
            );
        }

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    abstract protected function kind(): DecisionKind;

    /** @return array<string, string|null> the point that it is about */
    abstract protected function point(Machine $machine, Task $task): array;
}
