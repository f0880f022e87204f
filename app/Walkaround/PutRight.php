<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Refusal;
use App\Logbook\Circumstances;
use App\Logbook\Entry;
use App\Yard\Machine;
use Core\Inspect\Verdict;

/** Something found is put right, or a part that wears is new: the finding ends, and a new line of wear begins. */
final readonly class PutRight
{
    public function __construct(private Sheets $sheets)
    {
    }

    /**
     * @param  Entry  $entry  the service, or the line of its own, that tells of it
     *
     * @throws Refusal if nobody ever looked at it
     */
    public function __invoke(Machine $machine, string $subject, Entry $entry, Circumstances $circumstances, string $uuid, string $field = 'subject'): void
    {
        $title = $this->sheets->titleOf($machine, $subject) ?? throw Refusal::field($field, "Nobody has ever looked at that on {$machine->name}.");
        Observation::query()->create([
            'uuid' => $uuid, 'machine_id' => $machine->id, 'entry_id' => $entry->id, 'subject' => $subject, 'title' => $title, 'said' => Said::Mended, 'verdict' => Verdict::Fit,
            'note' => $circumstances->note, 'happened_at' => $circumstances->when->at, 'person_id' => $circumstances->by?->id,
        ]);
    }
}
