<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Acts\Act;
use Carbon\CarbonImmutable;
use Core\Fluid\AcceptedLoss;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Illuminate\Support\Facades\DB;

/** What was accepted with a usual loss a year, held against what was topped up since. */
final class AcceptedSeeps
{
    /** Told in place of the act's own words where it loses more by now; null where it is as it was accepted. */
    public static function grown(Act $accepted): ?string
    {
        $aYear = $accepted->typed['loses_a_year'] ?? null;
        $of = $accepted->typed['of'] ?? null;
        if ($accepted->outcome !== Outcome::Accepted || $aYear === null || $of === null) {
            return null;
        }
        $topUps = DB::table('acts')
            ->join('spots', 'spots.id', '=', 'acts.spot_id')
            ->join('moves', 'moves.act_id', '=', 'acts.id')
            ->where(['spots.machine_id' => $accepted->machine_id, 'spots.key' => $of, 'acts.kind' => ActKind::ToppedUp])
            ->whereNull('acts.struck_at')
            ->whereNotNull('moves.amount');
        $before = $topUps->clone()->where('acts.happened_at', '<=', $accepted->happened_at)->max('acts.happened_at');
        $since = $topUps->where('acts.happened_at', '>', $accepted->happened_at)->orderBy('acts.happened_at')
            ->get(['acts.happened_at', 'amount'])
            ->map(fn (\stdClass $row): array => [
                new \DateTimeImmutable($row->happened_at),
                Quantity::of($row->amount, Unit::Litre),
            ])->all();
        $loss = AcceptedLoss::of(
            Quantity::parse($aYear),
            CarbonImmutable::parse($before ?? $accepted->happened_at)->toDateTimeImmutable(),
            array_values($since),
        );

        return $loss->hasGrown ? $loss->why : null;
    }
}
