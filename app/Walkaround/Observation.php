<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Inspect\LimitSource;
use Core\Inspect\Sighting;
use Core\Inspect\Verdict;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One look at one thing on a machine, and what it came to.
 *
 * @property int $id
 * @property string $uuid as the device that wrote it named it
 * @property int $machine_id
 * @property int $entry_id the line of the logbook it belongs to
 * @property int|null $round_id
 * @property string $subject the key of the check, or of a finding of its own
 * @property string $title
 * @property Said $said
 * @property Verdict|null $verdict null where it was not looked at, or read at the wrong moment
 * @property string|null $words what was seen, or the measurement with its limit
 * @property string|null $advice
 * @property LimitSource|null $limit_source
 * @property array<string, mixed>|null $values as typed
 * @property array{value: string, unit: string, limit: string, resolution: string, falls: bool}|null $worn
 * @property string|null $note
 * @property CarbonImmutable $happened_at
 * @property int $person_id
 * @property string|null $replaces the observation of the same person that it stands for
 * @property CarbonImmutable|null $struck_at
 * @property-read Person $person
 * @property-read Collection<int, Photo> $photos
 */
final class Observation extends Model
{
    /** By these a look is known to stand for another: who, of what, in which round. */
    public const SAID_OF = ['person_id', 'machine_id', 'subject', 'round_id'];

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['said' => Said::class, 'verdict' => Verdict::class, 'limit_source' => LimitSource::class, 'values' => 'array', 'worn' => 'array', 'happened_at' => 'immutable_datetime', 'struck_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class, 'observation', 'uuid');
    }

    /**
     * Those that stand and tell something.
     *
     * @param  Builder<self>  $query
     */
    public function scopeTelling(Builder $query): void
    {
        $query->whereNull('struck_at')->whereNotNull('verdict');
    }

    public function toSighting(): Sighting
    {
        return new Sighting(sprintf('%012d', $this->id), $this->happened_at, $this->verdict ?? Verdict::Fit, $this->said === Said::Mended);
    }

    /** @return array<string, mixed> as the contract's `Observation` */
    public function toRecord(): array
    {
        return [
            'id' => $this->uuid,
            'subject' => $this->subject,
            'title' => $this->title,
            'said' => $this->said->value,
            'verdict' => $this->verdict?->value,
            'why' => trim("{$this->words} ".($this->limit_source?->inWords() ?? '')),
            'do' => $this->advice ?? '',
            'values' => (object) ($this->values ?? []),
            'note' => $this->note,
            'at' => $this->happened_at->toAtomString(),
            'by' => $this->person->name,
            'photos' => $this->photos->pluck('uuid')->all(),
        ];
    }
}
