<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Contract\Refusal;
use App\Logbook\EntryKind;
use App\Logbook\OccasionOf;
use App\Logbook\Told\Greased;
use App\Logbook\Told\Telling;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Inspect\RoundKind;
use Core\Machine\SpotKind;

/** A point was greased, or the grease did not go in. */
final readonly class GreaseNote implements NoteKind
{
    public function __construct(private OccasionOf $occasion, private WriteTold $writeTold) {}

    public function rules(?Machine $machine): array
    {
        return [
            'spot' => ['required', 'string', 'max:40'],
            ...Greased::rules(),
            'strokes' => ['required_unless:did_not_go_in,true', ...array_slice(Greased::rules()['strokes'], 1)],
        ];
    }

    public function messages(): array
    {
        return [
            ...Greased::messages(),
            'strokes.required_unless' => 'Say how many strokes, or that it did not go in.',
        ];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $given = $note->given;
        $spot = Spot::query()->where(
            ['machine_id' => $machine->id, 'key' => $given['spot'], 'kind' => SpotKind::GreasePoint],
        )
            ->with('grease')
            ->first()
            ?? throw Refusal::field('spot', "{$machine->name} has no such grease point.");
        $told = Greased::of($spot, $given, new Telling(
            note: $note->circumstances->note,
            uuid: $note->id,
            replaces: $note->replaces,
        ));
        $entry = $this->occasion->entry($note, EntryKind::Round, $note->job === null ? RoundKind::Grease : null);
        ($this->writeTold)($machine, $entry, [$told], $note->circumstances);

        return new NoteOutcome($entry->id, ['asks' => $entry->askedNow]);
    }
}
