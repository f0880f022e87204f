<?php

declare(strict_types=1);

namespace App\Shelf;

use Core\Machine\ActKind;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What was fitted or closed at some spots, and how often in a row the old seal was used again. */
final readonly class Fitted
{
    /** @param  Collection<int, Collection<int, \stdClass>>  $bySpot  newest first */
    private function __construct(private Collection $bySpot) {}

    /** @param  array<int|string>  $spots */
    public static function at(array $spots): self
    {
        return new self(DB::table('acts')->join('fittings', 'fittings.act_id', '=', 'acts.id')
            ->whereIn('acts.spot_id', $spots)->whereNull('acts.struck_at')
            ->whereIn('acts.kind', [ActKind::Replaced, ActKind::Closed])
            ->orderByDesc('acts.happened_at')->orderByDesc('acts.id')
            ->get(
                [
                    'acts.spot_id',
                    'acts.happened_at',
                    'fittings.number',
                    'fittings.found',
                    'fittings.seal',
                    'fittings.reused',
                ],
            )
            ->groupBy('spot_id'));
    }

    /**
     * At those of some spots alone where a seal was ever used again.
     *
     * @param  array<int|string>  $spots
     */
    public static function reusedAt(array $spots): self
    {
        return self::at(DB::table('acts')->join('fittings', 'fittings.act_id', '=', 'acts.id')
            ->whereIntegerInRaw('acts.spot_id', $spots)->whereNull('acts.struck_at')
            ->where('fittings.reused', true)->distinct()->pluck('acts.spot_id')->all());
    }

    /** The last one of a spot: `happened_at`, `number`, `found`, `seal`, `reused`. */
    public function last(int $spot): ?\stdClass
    {
        return $this->bySpot->get($spot)?->first();
    }

    /** How often in a row, up to now, its old seal was used again. */
    public function timesReused(int $spot): int
    {
        $since = $this->bySpot->get($spot)?->takeWhile(fn (\stdClass $fitting): bool => (bool) $fitting->reused);

        return $since?->count() ?? 0;
    }
}
