<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Entry;
use App\Yard\Machine;
use Carbon\CarbonImmutable;
use Core\Inspect\RoundKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One walk of a kind round a machine on one day, by whoever took part in it: two phones that walk round the same machine on the same day write one round.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property RoundKind $kind
 * @property CarbonImmutable $day
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $ended_at
 * @property-read Machine $machine
 * @property-read Entry $entry
 */
final class Round extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => RoundKind::class, 'day' => 'immutable_date', 'started_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Entry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(Entry::class);
    }
}
