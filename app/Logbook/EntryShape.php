<?php

declare(strict_types=1);

namespace App\Logbook;

use App\People\Person;
use App\Walkaround\WalkWords;
use Core\Measure\Plain;
use Illuminate\Support\Facades\Gate;

/** An entry as the contract's `Entry`. */
final class EntryShape
{
    /** What an entry is shown with. */
    public const WITH = ['machine:id,name', 'meter', 'person:id,name', 'struckBy:id,name', 'parts.meter', 'tasks'];

    /** What is shown besides of one that belongs to a walk. */
    public const OF_WALK = ['observations', 'greaseTicks'];

    /** @return array<string, mixed> */
    public static function of(Entry $entry, Person $reader): array
    {
        $entry->loadMissing($entry->kind->isOfWalk() ? [...self::WITH, ...self::OF_WALK] : self::WITH);

        return [
            'id' => $entry->id,
            'machine_id' => $entry->machine_id,
            'machine' => $entry->machine->name,
            'kind' => $entry->kind->value,
            'in_words' => self::inWords($entry),
            'happened_at' => $entry->happened_at->toAtomString(),
            'day_only' => $entry->day_only,
            'written_at' => $entry->written_at->toAtomString(),
            'by' => $entry->person?->name,
            'device' => $entry->device,
            'note' => $entry->note,
            'doubt' => $entry->doubt,
            'readings' => ($entry->kind === EntryKind::Reading ? collect([$entry, ...$entry->parts]) : $entry->parts)->map(self::reading(...))->values()->all(),
            'tasks' => $entry->tasks->map(fn (EntryTask $task): array => ['rule_id' => $task->rule_id, 'task' => $task->task, 'kind' => $task->kind->value])->all(),
            'confirmed_because' => $entry->confirmed_because ?? $entry->parts->value('confirmed_because'),
            'corrects_id' => $entry->corrects_id,
            'struck' => $entry->struck_at === null ? null : [
                'at' => $entry->struck_at->toAtomString(),
                'by' => $entry->struckBy?->name,
                'because' => $entry->struck_because,
            ],
            'may_strike' => ! $entry->isStruck() && $entry->kind->canBeStruck() && Gate::forUser($reader)->allows('strike', $entry),
        ];
    }

    /** @return array{meter_id: int|null, unit: string|null, value: string, typed: string|null} */
    private static function reading(Entry $reading): array
    {
        return ['meter_id' => $reading->meter_id, 'unit' => $reading->meter?->unit->value, 'value' => (string) $reading->shownValue(), 'typed' => $reading->typed];
    }

    private static function inWords(Entry $entry): string
    {
        $at = $entry->parts->map(self::shown(...))->implode(', ');

        return match ($entry->kind) {
            EntryKind::MachineAdded => 'Entered in the book',
            EntryKind::Reading => self::shown($entry).($at === '' ? '' : ", {$at}"),
            EntryKind::Service => ($at === '' ? '' : "At {$at}: ").$entry->tasks->map(fn (EntryTask $task): string => self::done($task))->implode(', ').($entry->observations->isEmpty() ? '' : '. Put right: '.WalkWords::mended($entry)),
            EntryKind::MeterReplaced => 'Meter replaced: '.$entry->parts->map(self::shown(...))->implode(', then '),
            EntryKind::StoodDown => 'Stood down',
            EntryKind::Lifted => 'Lifted, fit for use',
            EntryKind::RuleChanged => 'Rulebook changed',
            EntryKind::Skipped => 'Skipped this time: '.self::tasks($entry),
            EntryKind::Called => 'Called for: '.self::tasks($entry),
            EntryKind::Round => WalkWords::round($entry),
            EntryKind::Found => 'Found: '.WalkWords::found($entry),
            EntryKind::Mended => 'Put right: '.WalkWords::mended($entry),
            EntryKind::ReminderSet => "The machine's own reminder set to {$entry->detail['set']} at {$entry->detail['shown']} {$entry->detail['unit']}",
        };
    }

    private static function shown(Entry $reading): string
    {
        $value = $reading->shownValue();

        return $value === null ? '' : Plain::number($value).' '.$reading->meter?->unit->value;
    }

    private static function tasks(Entry $entry): string
    {
        return $entry->tasks->map(fn (EntryTask $task): string => Plain::within($task->task))->implode(', ');
    }

    private static function done(EntryTask $task): string
    {
        return Plain::within($task->task).' '.$task->kind->done();
    }
}
