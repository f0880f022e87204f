<?php

declare(strict_types=1);

namespace App\Shelf\Kinds;

use App\Contract\Input\TypedVolume;
use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\Waste\WasteKind;
use Illuminate\Validation\Rule;

/** Used oil, filters or the like were taken to the collection point. */
final class CollectedNote implements NoteKind
{
    public function rules(?Machine $machine): array
    {
        return [
            'waste' => ['required', Rule::enum(WasteKind::class)],
            'left' => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume(orNothing: true)],
            'pieces_left' => ['sometimes', 'nullable', 'integer', 'between:0,10000'],
        ];
    }

    public function messages(): array
    {
        return ['waste.required' => 'Say what was taken away.'];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $waste = WasteKind::from($note->given['waste']);
        $left = $waste === WasteKind::Filters ? $this->pieces($note) : $this->litres($note);
        $entry = Entry::write(null, EntryKind::Collected, $note->circumstances, [
            'uuid' => $note->id,
            'detail' => [
                'waste' => $waste->value,
                'left' => $left,
                'words' => "Taken to the collection point: {$waste->label()}".($left === '0' ? '' : ", {$left} "
                    .($waste === WasteKind::Filters ? 'pieces' : 'L').' left'),
            ],
        ]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    private function litres(Note $note): string
    {
        if (isset($note->given['pieces_left'])) {
            throw Refusal::field('pieces_left', 'What is liquid is measured.');
        }
        $left = $note->given['left'] ?? null;

        return $left === null ? '0' : (string) Quantity::parse($left)->to(Unit::Litre)->rounded();
    }

    private function pieces(Note $note): string
    {
        if (isset($note->given['left'])) {
            throw Refusal::field('left', 'Filters are counted.');
        }

        return (string) ($note->given['pieces_left'] ?? 0);
    }
}
