<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Machines\Meter;
use Brick\Math\BigDecimal;

/** A meter with what it showed last, as the contract's `Meter`. */
final class MeterShape
{
    /** @return array<string, mixed> */
    public static function of(Meter $meter, Reckoning $reckoning): array
    {
        $latest = $reckoning->latest[$meter->id] ?? null;
        $shown = BigDecimal::of($latest->value ?? $meter->shown_when_fitted);

        return [
            'id' => $meter->id,
            'unit' => $meter->unit->value,
            'value' => (string) $shown->stripTrailingZeros(),
            'read_on' => $latest === null ? null : $reckoning->yard->dayOf($latest->happened_at)->format('Y-m-d'),
            'run' => (string) $meter->span()->run($shown)->stripTrailingZeros(),
            'fitted_on' => $reckoning->yard->dayOf($meter->fitted_at)->format('Y-m-d'),
            'replaced' => ! in_array($meter, $reckoning->machine->currentMeters(), true),
        ];
    }
}
