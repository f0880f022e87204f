<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Told\Telling;
use App\Logbook\Told\WhatWasFound;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;

/** Something found was put right. */
final readonly class MendedNote implements NoteKind
{
    public function __construct(private WhatWasFound $found, private WriteTold $writeTold) {}

    public function rules(?Machine $machine): array
    {
        return ['check' => ['required', 'string', 'max:40'], 'note' => ['required', 'string', 'max:1000']];
    }

    public function messages(): array
    {
        return ['note.required' => 'Say what was done about it.'];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $told = $this->found->putRight(
            $note->machine(),
            $note->given['check'],
            new Telling(note: $note->circumstances->note, uuid: $note->id),
        );
        $entry = Entry::write($note->machine(), EntryKind::Mended, $note->circumstances, ['job_id' => $note->job]);
        ($this->writeTold)($note->machine(), $entry, [$told], $note->circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
