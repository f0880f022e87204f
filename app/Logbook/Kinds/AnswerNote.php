<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Doubt;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Illuminate\Support\Facades\Gate;

/** What was asked of an entry is answered: it is right as it stands, and why. What is wrong is corrected instead. */
final class AnswerNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        return ['doubt' => ['required', 'integer'], 'note' => ['required', 'string', 'max:1000']];
    }

    public function messages(): array
    {
        return ['note.required' => 'Say why it is right.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $doubt = Doubt::query()->whereHas('entry', fn ($entries) => $entries->where('machine_id', $machine->id))
            ->with('entry', 'answer')->find((int) $note->given['doubt'])
            ?? throw Refusal::field('doubt', 'Nothing of that kind was asked on this machine.');
        if (! $doubt->isOpen() || $doubt->entry->isStruck()) {
            throw Refusal::conflict('That is answered already.');
        }
        if ($doubt->entry->person_id !== $note->by()->id) {
            Gate::forUser($note->by())->authorize('service', $machine);
        }
        $entry = Entry::write($machine, EntryKind::Answered, $note->circumstances, [
            'uuid' => $note->id,
            'detail' => ['asks' => $doubt->asks],
        ]);
        $doubt->update(['answer_id' => $entry->id]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
