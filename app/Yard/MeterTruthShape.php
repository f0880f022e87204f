<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\History;
use App\Machines\Machine;
use App\Machines\Yard;
use Core\Meter\MeterSign;

/** What a used machine is asked about its meter, and what was last said, as the contract's `MeterTruth`. */
final class MeterTruthShape
{
    /** @return array<string, mixed>|null null where its past is known */
    public static function of(Machine $machine, Yard $yard): ?array
    {
        if ($machine->history !== History::Unknown || $machine->currentMeters() === []) {
            return null;
        }
        $told = Entry::query()->where('machine_id', $machine->id)
            ->where('kind', EntryKind::MeterDoubted)
            ->whereNull('struck_at')
            ->with('person:id,name')
            ->orderByDesc('happened_at')->orderByDesc('id')->first();

        return [
            'signs' => array_map(fn (MeterSign $sign): array => [
                'sign' => $sign->value,
                'label' => $sign->label(),
                'speaks_for' => $sign->speaksFor(),
                'speaks_against' => $sign->speaksAgainst(),
            ], MeterSign::cases()),
            'told' => $told === null ? null : [
                'for' => $told->detail['for'] ?? [], 'against' => $told->detail['against'] ?? [], 'why' => $told->says('why'),
                'on' => $yard->dayOf($told->happened_at)->format('Y-m-d'), 'by' => $told->person?->name,
            ],
        ];
    }
}
