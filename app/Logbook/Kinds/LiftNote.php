<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\EntryShape;
use App\Logbook\StandDowns;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;

/** What stood a machine down does so no more: the words that are named, and no others. */
final class LiftNote implements NoteKind
{
    private const MOST = 100;

    public function rules(?Machine $machine): array
    {
        return [
            'note' => ['required', 'string', 'max:1000'],
            'lifts' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST],
            'lifts.*' => ['required', 'uuid', 'distinct'],
        ];
    }

    public function messages(): array
    {
        return [
            'note.required' => 'Say why it may be used again.',
            'lifts.required' => 'Say which of the words that stand it down are lifted.',
        ];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $said = StandDowns::of($machine);
        $named = array_values(array_map(strtolower(...), $note->given['lifts']));
        foreach ($named as $index => $uuid) {
            if ($said->find($uuid) === null) {
                throw Refusal::field("lifts.{$index}", "That does not stand {$machine->name} down.");
            }
        }
        if ($said->standing()->whereIn('uuid', $named)->isEmpty()) {
            throw Refusal::conflict(
                $said->standing()->isEmpty() ? "{$machine->name} is not stood down." : 'That was lifted already. Something else stands it down still.',
            );
        }
        $entry = StandDowns::lift($machine, $named, $note->circumstances, ['uuid' => $note->id]);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }
}
