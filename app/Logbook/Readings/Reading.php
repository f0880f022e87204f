<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Contract\Record;
use App\Machines\Meter;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Meter\Reading as CoreReading;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a meter showed.
 *
 * @property int $id
 * @property int $entry_id
 * @property int $meter_id
 * @property string $value
 * @property string $typed the value as the person wrote it
 * @property CarbonImmutable $happened_at
 * @property bool $day_only
 * @property bool $struck
 * @property-read Meter $meter
 */
final class Reading extends Record
{
    protected function casts(): array
    {
        return ['happened_at' => 'immutable_datetime', 'day_only' => 'boolean', 'struck' => 'boolean'];
    }

    /** @return BelongsTo<Meter, $this> */
    public function meter(): BelongsTo
    {
        return $this->belongsTo(Meter::class);
    }

    /** @param  Builder<self>  $query */
    public function scopeStanding(Builder $query): void
    {
        $query->where('struck', false);
    }

    /**
     * What a meter showed when it was last read, or, if never, when it was fitted.
     *
     * @param  CarbonImmutable|null  $by  as was known by then
     */
    public static function lastShown(Meter $meter, ?CarbonImmutable $by = null): BigDecimal
    {
        $latest = self::query()->standing()
            ->where('meter_id', $meter->id)
            ->when($by, fn (Builder $query) => $query->where('happened_at', '<=', $by))
            ->orderByDesc('happened_at')
            ->orderByDesc('value')
            ->value('value');

        return BigDecimal::of($latest ?? $meter->shown_when_fitted)->stripTrailingZeros();
    }

    public function shown(): BigDecimal
    {
        return BigDecimal::of($this->value)->stripTrailingZeros();
    }

    /** The reading in what the machine has run, as the rules reckon it. */
    public function reckoned(Meter $meter): CoreReading
    {
        return new CoreReading($meter->reckoned($this->value), $this->happened_at, $this->day_only);
    }
}
