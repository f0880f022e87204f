<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Logbook\Acts\Act;
use App\Logbook\Readings\Reading;
use App\People\Person;
use Illuminate\Support\Facades\Gate;

/** An entry as the contract's `Entry`. */
final class EntryShape
{
    /** What an entry is shown with. */
    public const WITH = [
        'machine:id,name',
        'round',
        'person:id,name',
        'struckBy:id,name',
        'readings.meter',
        'acts.spot',
        'acts.moved.source',
        'acts.fitting',
        'decisions',
        'doubts.answer.person:id,name',
    ];

    /** @return array<string, mixed> */
    public static function of(Entry $entry, Person $reader): array
    {
        $entry->loadMissing(self::WITH);

        return [
            'id' => $entry->id,
            'machine_id' => $entry->machine_id,
            'machine' => $entry->machine?->name,
            'kind' => $entry->kind->value,
            'in_words' => EntryWords::of($entry),
            'happened_at' => $entry->happened_at->toAtomString(),
            'day_only' => $entry->day_only,
            'written_at' => $entry->written_at->toAtomString(),
            'by' => $entry->person?->name,
            'device' => $entry->device,
            'note' => $entry->note,
            'doubts' => $entry->doubts->map(fn (Doubt $doubt): array => $doubt->toRecord())->all(),
            'readings' => $entry->readings->map(self::reading(...))->all(),
            'tasks' => self::tasks($entry),
            'confirmed_because' => $entry->confirmed_because,
            'corrects_id' => $entry->corrects_id,
            'struck' => $entry->struck_at === null ? null : [
                'at' => $entry->struck_at->toAtomString(),
                'by' => $entry->struckBy?->name,
                'because' => $entry->struck_because,
            ],
            'may_strike' => ! $entry->isStruck() && $entry->kind
                ->canBeStruck() && Gate::forUser($reader)
                ->allows('strike', $entry),
        ];
    }

    /** @return array{meter_id: int, unit: string, value: string, typed: string} */
    private static function reading(Reading $reading): array
    {
        return [
            'meter_id' => $reading->meter_id,
            'unit' => $reading->meter->unit->value,
            'value' => (string) $reading->shown(),
            'typed' => $reading->typed,
        ];
    }

    /** @return list<array{task_id: int, task: string}> the tasks that were ticked, or decided about */
    private static function tasks(Entry $entry): array
    {
        $ticked = $entry->acts->whereNotNull('task_id')
            ->unique('task_id')
            ->map(fn (Act $act): array => ['task_id' => (int) $act->task_id, 'task' => $act->title]);
        $decided = $entry->decisions->map(
            fn (Decision $decision): array => ['task_id' => $decision->task_id, 'task' => $decision->task],
        );

        return [...$ticked->values()->all(), ...$decided->all()];
    }
}
