<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Contract\Input\TypedVolume;
use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Told\Accepted;
use App\Logbook\Told\Telling;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Walkaround\Findings;
use App\Walkaround\FindingThread;
use Core\Machine\SpotKind;
use Core\Machine\Verdict;

/** Something found is known and lived with, like an old seep: it speaks again only when it is worse. */
final readonly class AcceptNote implements NoteKind
{
    public function __construct(private WriteTold $writeTold) {}

    public function rules(?Machine $machine): array
    {
        return [
            'check' => ['required', 'string', 'max:40'],
            'note' => ['required', 'string', 'max:1000'],
            'loses' => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume],
            'of' => ['sometimes', 'nullable', 'string', 'max:40'],
        ];
    }

    public function messages(): array
    {
        return ['note.required' => 'Say why it may stay as it is.'];
    }

    public function ability(): string
    {
        return 'keep';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $check = $note->given['check'];
        $open = array_values(array_filter(
            Findings::open([$machine->id])[$machine->id] ?? [],
            fn (FindingThread $finding): bool => $finding->latest()->check_key === $check,
        ))[0] ?? throw Refusal::field('check', "Nothing of that name is open on {$machine->name}.");
        if ($open->seen() === Verdict::StandDown) {
            throw Refusal::field('check', 'What stands a machine down is mended, never accepted.');
        }
        $latest = $open->latest();
        $loses = $note->given['loses'] ?? null;
        $of = $loses === null ? null : $this->fluid($machine, $latest->spot, $note->given['of'] ?? null);
        $entry = Entry::write($machine, EntryKind::Accepted, $note->circumstances, ['job_id' => $note->job]);
        ($this->writeTold)($machine, $entry, [new Accepted(
            $latest->spot,
            $check,
            $open->seen(),
            $latest->words,
            $loses,
            $of,
            new Telling($latest->title, note: $note->circumstances->note, uuid: $note->id),
        )], $note->circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** The fluid whose top-ups tell whether it grows: the one that is named, else the one that it is found at. */
    private function fluid(Machine $machine, Spot $at, ?string $key): ?Spot
    {
        $named = $key === null
            ? $at
            : Spot::query()->where(['machine_id' => $machine->id, 'key' => $key])->first()
            ?? throw Refusal::field('of', "{$machine->name} has no such fluid.");
        $compartment = $named->kind === SpotKind::Compartment ? $named : $named->parent;

        return $compartment->holder ?? $compartment;
    }
}
