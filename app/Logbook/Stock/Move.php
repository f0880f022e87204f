<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Contract\Record;
use App\Logbook\Acts\Act;
use App\Logbook\Entry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One line of the ledger of what moves: from a spot, a container or outside to a spot, a container or outside.
 *
 * @property int $id
 * @property int $entry_id
 * @property int|null $act_id what it was used for, or ran out by
 * @property MoveKind $kind
 * @property int|null $from_spot_id the compartment that it ran out of
 * @property int|null $from_container_id null where it came from none that is known
 * @property int|null $to_spot_id the compartment that it was poured into, or where the part sits
 * @property int|null $to_container_id the container that came, or was counted
 * @property int|null $supply_id null where nobody said what it was
 * @property string|null $fluid what it was called then
 * @property string|null $amount litres of a fluid, pieces of a part; null where nobody measured it
 * @property string|null $typed
 * @property CarbonImmutable $happened_at
 * @property-read Entry $entry
 * @property-read Act|null $act
 * @property-read Supply|null $supply
 * @property-read Container|null $source
 */
final class Move extends Record
{
    protected function casts(): array
    {
        return ['kind' => MoveKind::class, 'happened_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Entry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(Entry::class);
    }

    /** @return BelongsTo<Act, $this> */
    public function act(): BelongsTo
    {
        return $this->belongsTo(Act::class);
    }

    /** @return BelongsTo<Supply, $this> */
    public function supply(): BelongsTo
    {
        return $this->belongsTo(Supply::class);
    }

    /** @return BelongsTo<Container, $this> out of which it was poured */
    public function source(): BelongsTo
    {
        return $this->belongsTo(Container::class, 'from_container_id');
    }

    /**
     * Those of which nothing was struck.
     *
     * @param  Builder<self>  $moves
     */
    public function scopeStanding(Builder $moves): void
    {
        $moves->whereHas('entry', fn ($entries) => $entries->whereNull('struck_at'))
            ->whereDoesntHave('act', fn ($acts) => $acts->whereNotNull('struck_at'));
    }
}
