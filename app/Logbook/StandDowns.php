<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Machines\Yard;
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
