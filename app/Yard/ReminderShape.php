<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Rulebook\Standings\Reckoning;
use Brick\Math\BigDecimal;
use Core\Meter\Reminder;

/** How the machine's own reminder was last set, as the contract's `Reminder`. */
final class ReminderShape
{
    /** @return array<string, mixed>|null null where nobody has set it */
    public static function of(Reckoning $reckoning): ?array
    {
        $machine = $reckoning->machine;
        $meter = $machine->currentMeters()[0] ?? null;
        $entry = Entry::query()->where('machine_id', $machine->id)
            ->where('kind', EntryKind::ReminderSet)
            ->whereNull('struck_at')
            ->orderByDesc('happened_at')
            ->orderByDesc('id')
            ->first();
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
}
