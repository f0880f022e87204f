<?php

declare(strict_types=1);

namespace App\Logbook;

use App\People\Person;
use App\Walkaround\GreaseTick;
use App\Walkaround\Observation;
use App\Yard\Machine;
use App\Yard\Meter;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Meter\Reading;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A line of the logbook. Never changed and never deleted: a correction strikes it and stands beside it.
 *
 * @property int $id
 * @property int $machine_id
 * @property EntryKind $kind
 * @property CarbonImmutable $happened_at
 * @property bool $day_only
 * @property CarbonImmutable $written_at
 * @property int|null $person_id
 * @property string|null $device
 * @property string|null $note
 * @property int|null $meter_id
 * @property string|null $value what the meter showed
 * @property string|null $typed the same as the person wrote it
 * @property string|null $confirmed_because why an implausible value is right all the same
 * @property int|null $part_of_id the service that a reading was taken for
 * @property int|null $corrects_id the struck entry that this one stands for
 * @property array<string, mixed>|null $detail what else this kind of entry says
 * @property CarbonImmutable|null $struck_at
 * @property int|null $struck_by_id
 * @property string|null $struck_because
 * @property-read Machine $machine
 * @property-read Meter|null $meter
 * @property-read Person|null $person
 * @property-read Person|null $struckBy
 * @property-read Collection<int, Entry> $parts
 * @property-read Collection<int, EntryTask> $tasks
 * @property-read Collection<int, Observation> $observations
 * @property-read Collection<int, GreaseTick> $greaseTicks
 */
final class Entry extends Model
{
    public $timestamps = false;

    /** What there is to ask about it, where it was written just now. */
    public ?string $doubt = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => EntryKind::class, 'happened_at' => 'immutable_datetime', 'written_at' => 'immutable_datetime', 'struck_at' => 'immutable_datetime', 'day_only' => 'boolean', 'detail' => 'array'];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Meter, $this> */
    public function meter(): BelongsTo
    {
        return $this->belongsTo(Meter::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function struckBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'struck_by_id');
    }

    /** @return HasMany<Entry, $this> the readings taken for a service, or at a change of meters */
    public function parts(): HasMany
    {
        return $this->hasMany(self::class, 'part_of_id')->orderBy('id');
    }

    /** @return HasMany<EntryTask, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(EntryTask::class)->orderBy('id');
    }

    /** @return HasMany<Observation, $this> what was seen, or put right */
    public function observations(): HasMany
    {
        return $this->hasMany(Observation::class)->orderBy('happened_at')->orderBy('id');
    }

    /** @return HasMany<GreaseTick, $this> */
    public function greaseTicks(): HasMany
    {
        return $this->hasMany(GreaseTick::class)->orderBy('id');
    }

    public function isStruck(): bool
    {
        return $this->struck_at !== null;
    }

    /** The reading in what the machine has run, as the rules reckon it. */
    public function toReading(Meter $meter): Reading
    {
        return new Reading($meter->reckoned((string) $this->value), $this->happened_at, $this->day_only);
    }

    public function shownValue(): ?BigDecimal
    {
        return $this->value === null ? null : BigDecimal::of($this->value)->stripTrailingZeros();
    }
}
