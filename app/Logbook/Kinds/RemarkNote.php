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

/** Something worth keeping, of a machine or of the yard itself. */
final class RemarkNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        return ['note' => ['required', 'string', 'max:1000']];
    }

    public function messages(): array
    {
        return ['note.required' => 'Say what is to be kept.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $entry = Entry::write($note->machine, EntryKind::Remark, $note->circumstances, ['uuid' => $note->id]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
