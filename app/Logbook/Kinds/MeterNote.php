<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Input\TypedNumber;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\ReplaceMeter;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Illuminate\Validation\Rule;

/** A machine got another meter. */
final readonly class MeterNote implements NoteKind
{
    public function __construct(private ReplaceMeter $replaceMeter)
    {
    }

    public function rules(?Machine $machine): array
    {
        return [
            'meter' => ['required', Rule::in(array_keys(GivenReading::FIELDS))],
            'old_value' => ['sometimes', 'nullable', new TypedNumber('The old meter')],
            'new_value' => ['required', new TypedNumber('The new meter')],
            'run' => ['sometimes', 'nullable', new TypedNumber('What the machine has run')],
        ];
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
        $given = $note->given;
        $along = GivenReading::FIELDS[$given['meter']];
        $entry = Entry::write($note->machine(), EntryKind::MeterReplaced, $note->circumstances, ['uuid' => $note->id]);
        ($this->replaceMeter)(
            $note->machine(),
            $entry,
            isset($given['old_value']) ? GivenReading::of($given['old_value'], $along) : null,
            GivenReading::of($given['new_value'], $along),
            isset($given['run']) ? TypedNumber::read($given['run']) : null,
            $note->circumstances,
        );

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
