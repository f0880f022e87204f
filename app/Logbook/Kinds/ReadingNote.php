<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Input\TypedNumber;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Illuminate\Validation\Rule;

/** What a meter shows. */
final readonly class ReadingNote implements NoteKind
{
    public function __construct(private LogReading $logReading) {}

    public function rules(?Machine $machine): array
    {
        return [
            'value' => ['required', new TypedNumber('The reading')],
            'meter' => ['sometimes', 'nullable', Rule::in(array_keys(GivenReading::FIELDS))],
        ];
    }

    public function messages(): array
    {
        return [];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $along = GivenReading::FIELDS[$note->given['meter'] ?? ''] ?? $machine->keptBy();
        $entry = Entry::write($machine, EntryKind::Reading, $note->circumstances, ['uuid' => $note->id]);
        ($this->logReading)($machine, GivenReading::of($note->given['value'], $along), $entry, $note->circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
