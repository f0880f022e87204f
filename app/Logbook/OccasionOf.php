<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Machines\Yard;
use App\Notes\Note;
use Core\Inspect\RoundKind;

/**
 * The entry that a note's acts belong to: its writer's part of a round, from their device, begun where they have not;
 * or an entry of its own.
 */
final readonly class OccasionOf
{
    public function __construct(private Yard $yard) {}

    /**
     * @param  EntryKind  $alone  what the entry is where the note belongs to no round
     * @param  RoundKind|null  $usual  the round that such a note belongs to where it names none
     */
    public function entry(Note $note, EntryKind $alone, ?RoundKind $usual = null): Entry
    {
        $kind = $note->round ?? $usual;
        if ($kind === null) {
            return Entry::write($note->machine(), $alone, $note->circumstances, ['job_id' => $note->job]);
        }
        $circumstances = $note->circumstances;
        $began = $note->roundBegan ?? $circumstances->when->at;
        $round = Round::begin($note->machine(), $kind, $began, $this->yard);
        $entry = Entry::query()->where(
            ['round_id' => $round->id, 'person_id' => $circumstances->by?->id, 'device' => $circumstances->device],
        )
            ->whereNull('struck_at')
            ->first()
            ?? Entry::write(
                $note->machine(),
                EntryKind::Round,
                $circumstances,
                ['round_id' => $round->id, 'happened_at' => $began, 'note' => null],
            );
        if ($began < $entry->happened_at) {
            $entry->update(['happened_at' => $began]);
        }

        return $entry->setRelation('round', $round);
    }
}
