<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Contract\Record;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One container of a fluid.
 *
 * @property int $id
 * @property int $supply_id
 * @property int $entry_id the entry that it came with; gone with it when struck
 * @property string $size as typed
 * @property string $litres
 * @property CarbonImmutable|null $use_by as printed on it
 * @property-read Supply $supply
 */
final class Container extends Record
{
    protected function casts(): array
    {
        return ['use_by' => 'immutable_date'];
    }

    /** @return BelongsTo<Supply, $this> */
    public function supply(): BelongsTo
    {
        return $this->belongsTo(Supply::class);
    }

    /** @param  Builder<self>  $containers */
    public function scopeStanding(Builder $containers): void
    {
        $containers->whereExists(fn ($entries) => $entries->from('entries')
            ->whereColumn('entries.id', 'containers.entry_id')
            ->whereNull('entries.struck_at'));
    }

    /** What it held when it was new. */
    public function full(): BigDecimal
    {
        return BigDecimal::of($this->litres);
    }
}
