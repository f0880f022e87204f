<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryShape;
use App\Logbook\StrikeEntry;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Illuminate\Support\Facades\Gate;

/** An entry was wrong: it stays readable, and nothing follows from it any more. */
final readonly class StrikeNote implements NoteKind
{
    public function __construct(private StrikeEntry $strikeEntry) {}

    public function rules(?Machine $machine): array
    {
        return ['entry' => ['required', 'integer'], 'because' => ['required', 'string', 'max:500']];
    }

    public function messages(): array
    {
        return ['because.required' => 'Say why it was wrong.'];
    }

    public function ability(): string
    {
        return 'logSome';
    }

    public function write(Note $note): NoteOutcome
    {
        $entry = self::entry($note);
        ($this->strikeEntry)($entry, $note->by(), $note->given['because']);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry->refresh(), $note->by())]);
    }

    /** The entry meant, which whoever sends the note may strike. */
    public static function entry(Note $note): Entry
    {
        $entry = Entry::query()->where('machine_id', $note->machine?->id)
            ->lockForUpdate()
            ->find((int) $note->given['entry']) ?? throw Refusal::field('entry', 'There is no such entry.');
        Gate::forUser($note->by())->authorize('strike', [$entry, $note->circumstances->toldAt()]);

        return $entry;
    }
}
