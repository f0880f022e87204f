<?php

declare(strict_types=1);

namespace App\Walkaround\Kinds;

use App\Contract\Refusal;
use App\Logbook\EntryKind;
use App\Logbook\OccasionOf;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;

/** A round has ended. */
final readonly class EndNote implements NoteKind
{
    public function __construct(private OccasionOf $occasion) {}

    public function rules(?Machine $machine): array
    {
        return ['round' => ['required', 'array']];
    }

    public function messages(): array
    {
        return ['round.required' => 'Say which round ended.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        $entry = $this->occasion->entry($note, EntryKind::Round);
        $round = $entry->round ?? throw Refusal::field('round', 'Say which round ended.');
        $round->update(['ended_at' => max($round->ended_at, $note->circumstances->when->at)]);

        return new NoteOutcome($entry->id);
    }
}
