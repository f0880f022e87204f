<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Contract\TypedVolume;
use App\Logbook\Acts\GivenAct;
use App\Logbook\Acts\WriteActs;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\OccasionOf;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\Written;
use Core\Machine\ActKind;
use Core\Machine\SpotKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** Fluid was added to a compartment, by the way or in a round. */
final readonly class TopUpNote implements NoteKind
{
    public function __construct(private OccasionOf $occasion, private WriteActs $writeActs)
    {
    }

    public function rules(?Machine $machine): array
    {
        return [
            'spot' => ['required', 'string', 'max:40'],
            'amount' => ['required', 'string', 'max:40', new TypedVolume],
        ];
    }

    public function messages(): array
    {
        return ['spot.required' => 'Say what was topped up.', 'amount.required' => 'Say how much went in.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): Written
    {
        $machine = $note->machine();
        ['spot' => $key, 'amount' => $amount] = $note->given;
        $spot = Spot::query()->where(
            ['machine_id' => $machine->id, 'key' => $key, 'kind' => SpotKind::Compartment],
        )->first() ?? throw Refusal::field('spot', "{$machine->name} has no such fluid.");
        $entry = $this->occasion->entry($note, EntryKind::ToppedUp);
        ($this->writeActs)($machine, $entry, [new GivenAct(
            $spot,
            ActKind::ToppedUp,
            $spot->name,
            poured: Quantity::parse($amount, Unit::Litre),
            pouredTyped: $amount,
            note: $note->circumstances->note,
            uuid: $note->id,
            replaces: $note->replaces,
        )], $note->circumstances);

        return new Written($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
