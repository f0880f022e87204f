<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Input\TypedNumber;
use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Validation\Rule;

/** A machine got another meter. */
final readonly class MeterNote implements NoteKind
{
    public function __construct(private LogReading $logReading) {}

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
        $machine = $note->machine();
        $circumstances = $note->circumstances;
        $entry = Entry::write($machine, EntryKind::MeterReplaced, $circumstances, ['uuid' => $note->id]);
        $meter = $machine->meterAt(CarbonImmutable::now(), $along)
            ?? throw Refusal::field('new_value', "{$machine->name} has no such meter to replace.");
        if ($meter->fitted_at >= $circumstances->when->at) {
            throw Refusal::field('at', 'The meter on the machine was fitted later than that.');
        }
        if (isset($given['old_value'])) {
            ($this->logReading)($machine, GivenReading::of($given['old_value'], $along), $entry, $circumstances, 'old_value');
        }
        $last = $this->logReading->lastBefore($meter, $circumstances->when)->value
            ?? BigDecimal::of($meter->shown_when_fitted);
        $new = GivenReading::of($given['new_value'], $along);
        $machine->meters()->create([
            'unit' => $meter->unit,
            'fitted_at' => $circumstances->when->at,
            'shown_when_fitted' => (string) $new->value,
            // Where the old meter had stopped, what the machine has really run.
            'run_when_fitted' => (string) (isset($given['run']) ? TypedNumber::read($given['run']) : $meter->span()->run($last)),
            'fitted_by_id' => $entry->id,
        ]);
        $machine->unsetRelation('meters');
        ($this->logReading)($machine, $new, $entry, $circumstances, 'new_value');

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
