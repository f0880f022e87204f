<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Input\TypedNumber;
use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\Reading;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;

/** The machine's own reminder was set. */
final class ReminderNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        return ['set' => ['required', new TypedNumber('The reminder')]];
    }

    public function messages(): array
    {
        return [];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $meter = $machine->currentMeters()[0]
            ?? throw Refusal::conflict("{$machine->name} has no meter to be reminded by.");
        $detail = [
            'meter_id' => $meter->id,
            'unit' => $meter->unit->value,
            'set' => (string) TypedNumber::read($note->given['set']),
            'shown' => (string) Reading::lastShown($meter),
        ];
        $entry = Entry::write(
            $machine,
            EntryKind::ReminderSet,
            $note->circumstances,
            ['uuid' => $note->id, 'detail' => $detail],
        );

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
