<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\Written;

/** Whether a machine may be used: it is stood down, or lifted again. */
abstract class StandNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        return ['note' => ['required', 'string', 'max:1000']];
    }

    public function write(Note $note): Written
    {
        $machine = $note->machine();
        $newest = Entry::query()->where('machine_id', $machine->id)
            ->whereIn('kind', [EntryKind::StoodDown, EntryKind::Lifted])
            ->whereNull('struck_at')
            ->latest('happened_at')->latest('id')->first();
        if (($newest->kind ?? EntryKind::Lifted) === $this->kind()) {
            throw Refusal::conflict($this->isSoAlready($machine->name));
        }
        $entry = Entry::write($machine, $this->kind(), $note->circumstances, ['uuid' => $note->id]);

        return new Written($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    abstract protected function kind(): EntryKind;

    abstract protected function isSoAlready(string $name): string;
}
