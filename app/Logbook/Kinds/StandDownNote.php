<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;

/** A machine is not to be used. Who says so beside others who have said it already is written down beside them. */
final class StandDownNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        return ['note' => ['required', 'string', 'max:1000']];
    }

    public function messages(): array
    {
        return ['note.required' => 'Say what is wrong with it.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $entry = Entry::write($note->machine(), EntryKind::StoodDown, $note->circumstances, ['uuid' => $note->id]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
