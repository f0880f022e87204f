<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\Reading;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Meter\MeterSign;
use Core\Meter\MeterTruth;
use Illuminate\Validation\Rule;

/** What speaks for or against the meter of a used machine. */
final class MeterTruthNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        $signs = ['present', 'array', 'list', 'max:'.count(MeterSign::cases())];

        return [
            'for' => $signs,
            'for.*' => [Rule::enum(MeterSign::class)],
            'against' => $signs,
            'against.*' => [Rule::enum(MeterSign::class)],
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
        $machine = $note->machine();
        $meter = $machine->currentMeters()[0]
            ?? throw Refusal::conflict("{$machine->name} has no meter to be doubted.");
        ['for' => $for, 'against' => $against] = $note->given;
        if (array_intersect($for, $against) !== []) {
            throw Refusal::field('against', 'The same cannot speak for it and against it.');
        }
        if ($for === [] && $against === []) {
            throw Refusal::field('for', 'Say what was seen of at least one.');
        }
        $signs = fn (array $names): array => array_values(array_map(MeterSign::from(...), $names));
        $truth = MeterTruth::of($signs($for), $signs($against), Reading::lastShown($meter), $meter->unit);
        $entry = Entry::write($machine, EntryKind::MeterDoubted, $note->circumstances, [
            'uuid' => $note->id, 'detail' => [
                'for' => array_values($for),
                'against' => array_values($against),
                'why' => $truth->why,
            ],
        ]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
