<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Record;
use App\Machines\Machine;
use App\Machines\Yard;
use Carbon\CarbonImmutable;
use Core\Inspect\RoundKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One walk of a kind round a machine on one day, by whoever took part in it: two phones that walk round the same
 * machine on the same day write one round.
 *
 * @property int $id
 * @property int $machine_id
 * @property RoundKind $kind
 * @property CarbonImmutable $day
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $ended_at
 * @property-read Machine $machine
 * @property-read Collection<int, Entry> $entries
 */
final class Round extends Record
{
    protected function casts(): array
    {
        return [
            'kind' => RoundKind::class,
            'day' => 'immutable_date',
            'started_at' => 'immutable_datetime',
            'ended_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return HasMany<Entry, $this> one of each who took part, from each of their devices */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class);
    }

    /**
     * Those of which something still stands.
     *
     * @param  Builder<self>  $query
     */
    public function scopeStanding(Builder $query): void
    {
        $query->whereExists(
            fn ($entries) => $entries->from('entries')
                ->whereColumn('entries.round_id', 'rounds.id')
                ->whereNull('entries.struck_at'),
        );
    }

    /** The round of a kind round a machine that began at a moment, on the day of the yard in which it lies. */
    public static function begin(Machine $machine, RoundKind $kind, CarbonImmutable $began, Yard $yard): self
    {
        $round = self::query()->firstOrCreate(
            ['machine_id' => $machine->id, 'day' => $yard->dayOf($began)->format('Y-m-d'), 'kind' => $kind],
            ['started_at' => $began],
        );
        if ($began < $round->started_at) {
            $round->update(['started_at' => $began]);
        }

        return $round;
    }
}
