<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Logbook\Acts\PutRight;
use App\Logbook\Acts\WriteActs;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\Written;

/** Something found was put right. */
final readonly class MendedNote implements NoteKind
{
    public function __construct(private PutRight $putRight, private WriteActs $writeActs)
    {
    }

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

    public function write(Note $note): Written
    {
        $act = $this->putRight->act($note->machine(), $note->given['check'], $note->circumstances->note, $note->id);
        $entry = Entry::write($note->machine(), EntryKind::Mended, $note->circumstances, ['job_id' => $note->job]);
        ($this->writeActs)($note->machine(), $entry, [$act], $note->circumstances);

        return new Written($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
