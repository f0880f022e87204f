<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\History;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\Reckoning;
use Brick\Math\BigDecimal;
use Core\Meter\MeterSign;
use Core\Meter\Reminder;

/** What was last told of a machine's meter, other than readings. */
final class MeterTold
{
    /** @return array<string, mixed>|null how the machine's own reminder was last set, as the contract's `Reminder`; null where nobody has set it */
    public static function reminder(Reckoning $reckoning): ?array
    {
        $machine = $reckoning->machine;
        $meter = $machine->currentMeters()[0] ?? null;
        $entry = self::last($machine, EntryKind::ReminderSet);
        if ($entry === null || $meter === null || ($entry->detail['meter_id'] ?? null) !== $meter->id) {
            return null;
        }
        $reminder = new Reminder(BigDecimal::of($entry->detail['set']), BigDecimal::of($entry->detail['shown']));
        $shown = BigDecimal::of(($reckoning->latest[$meter->id] ?? null)->value ?? $meter->shown_when_fitted);

        return [
            'set' => $entry->detail['set'],
            'shown' => $entry->detail['shown'],
            'rings_at' => (string) $reminder->ringsAt()->stripTrailingZeros(),
            'set_on' => $reckoning->yard->dayOf($entry->happened_at)->format('Y-m-d'),
            'by' => $entry->person?->name,
            'disagrees' => $reminder->against(
                $reckoning->nextShown($meter),
                $shown,
                BigDecimal::of($machine->countdown_step),
                $meter->unit,
            ),
        ];
    }

    /** @return array<string, mixed>|null what a used machine is asked about its meter, and what was last said, as the contract's `MeterTruth`; null where its past is known */
    public static function truth(Machine $machine, Yard $yard): ?array
    {
        if ($machine->history !== History::Unknown || $machine->currentMeters() === []) {
            return null;
        }
        $told = self::last($machine, EntryKind::MeterDoubted);

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

    private static function last(Machine $machine, EntryKind $kind): ?Entry
    {
        return Entry::query()->where(['machine_id' => $machine->id, 'kind' => $kind])->whereNull('struck_at')
            ->with('person:id,name')
            ->orderByDesc('happened_at')->orderByDesc('id')->first();
    }
}
