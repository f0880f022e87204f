<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Logbook\Acts\Act;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use Core\Machine\Verdict;
use Illuminate\Support\Collection;

/** Which machines stand down now, on whose word. */
final class StandDowns
{
    /**
     * @param  list<int>|null  $machineIds  none for the whole yard
     * @return Collection<int, Entry> by machine id, those alone that stand down
     */
    public static function of(?array $machineIds = null): Collection
    {
        return Entry::query()->with('person:id,name')
            ->whereIn('kind', [EntryKind::StoodDown, EntryKind::Lifted])
            ->whereNull('struck_at')
            ->when($machineIds !== null, fn ($entries) => $entries->whereIn('machine_id', $machineIds))
            ->orderBy('happened_at')->orderBy('id')->get()->toBase()->keyBy('machine_id')
            ->filter(fn (Entry $newest): bool => $newest->kind === EntryKind::StoodDown);
    }

    /** A machine stands down where an act says so. */
    public static function byAct(Machine $machine, Act $act, Circumstances $circumstances): void
    {
        if ($act->verdict === Verdict::StandDown && $act->struck_at === null) {
            $because = implode(' ', array_filter([rtrim("{$act->title}: {$act->words}", ': .').'.', $act->note]));
            Entry::write(
                $machine,
                EntryKind::StoodDown,
                $circumstances,
                ['note' => mb_substr($because, 0, 1000), 'detail' => ['act' => $act->uuid]],
            );
        }
    }

    /** @return array<string, mixed>|null as the contract's `StoodDown` */
    public static function shape(?Entry $entry, Yard $yard): ?array
    {
        return $entry === null ? null : [
            'entry_id' => $entry->id,
            'by' => $entry->person?->name,
            'on' => $yard->dayOf($entry->happened_at)->format('Y-m-d'),
            'because' => $entry->note,
        ];
    }
}
