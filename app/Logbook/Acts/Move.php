<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Logbook\Stock\Container;
use App\Logbook\Stock\StockMove;
use App\Logbook\Stock\Supply;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Fluid that went into a compartment or out of it.
 *
 * @property int $id
 * @property int $entry_id
 * @property int|null $act_id
 * @property int|null $from_id the compartment that it ran out of
 * @property int|null $to_id the compartment that it was poured into
 * @property string|null $litres null where nobody measured it
 * @property string|null $typed
 * @property int|null $supply_id
 * @property string|null $fluid what it was called then
 * @property-read Supply|null $supply
 * @property-read Collection<int, StockMove> $draws
 */
final class Move extends Model
{
    protected $table = 'moves';

    public $timestamps = false;

    protected $guarded = [];

    /** @return HasMany<StockMove, $this> out of which containers it was poured */
    public function draws(): HasMany
    {
        return $this->hasMany(StockMove::class, 'act_id', 'act_id')->whereNotNull('container_id')->with('container');
    }

    /** Where all of it was poured out of one. */
    public function onlyContainer(): ?Container
    {
        return $this->draws->count() === 1 ? $this->draws[0]->container : null;
    }

    /** @return BelongsTo<Supply, $this> */
    public function supply(): BelongsTo
    {
        return $this->belongsTo(Supply::class);
    }
}
