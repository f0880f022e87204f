<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Record;
use App\Logbook\Acts\Act;
use App\Logbook\Readings\Reading;
use App\Machines\Machine;
use App\Notes\Circumstances;
use App\People\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;

/**
 * A line of the logbook: what one person did or said on one occasion, from one device. Never changed and never deleted:
 * a correction strikes it and stands beside it.
 *
 * @property int $id
 * @property string $uuid as the device that wrote it named it
 * @property int|null $machine_id null for an entry of the yard itself
 * @property EntryKind $kind
 * @property CarbonImmutable $happened_at
 * @property bool $day_only
 * @property CarbonImmutable $written_at
 * @property int|null $person_id
 * @property string|null $device
 * @property string|null $note
 * @property int|null $round_id
 * @property string|null $job_id the service that it belongs to, as a device named it
 * @property string|null $confirmed_because why an implausible value is right all the same
 * @property int|null $corrects_id the struck entry that this one stands for
 * @property array<string, mixed>|null $detail what else this kind of entry says
 * @property CarbonImmutable|null $struck_at
 * @property int|null $struck_by_id
 * @property string|null $struck_because
 * @property-read Machine|null $machine
 * @property-read Round|null $round
 * @property-read Person|null $person
 * @property-read Person|null $struckBy
 * @property-read Collection<int, Reading> $readings
 * @property-read Collection<int, Act> $acts
 * @property-read Collection<int, Decision> $decisions
 * @property-read Collection<int, Doubt> $doubts
 */
final class Entry extends Record
{
    private const LONGEST_QUESTION = 500;

    /** @var list<string> what was asked of it just now */
    public array $askedNow = [];

    protected function casts(): array
    {
        return [
            'kind' => EntryKind::class,
            'happened_at' => 'immutable_datetime',
            'written_at' => 'immutable_datetime',
            'struck_at' => 'immutable_datetime',
            'day_only' => 'boolean',
            'detail' => 'array',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
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

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('id');
    }

    /** @return HasMany<Act, $this> */
    public function acts(): HasMany
    {
        return $this->hasMany(Act::class)->orderBy('happened_at')->orderBy('id');
    }

    /** @return HasMany<Decision, $this> */
    public function decisions(): HasMany
    {
        return $this->hasMany(Decision::class)->orderBy('id');
    }

    /** @return HasMany<Doubt, $this> */
    public function doubts(): HasMany
    {
        return $this->hasMany(Doubt::class)->orderBy('id');
    }

    /** There is something to ask of it, until somebody answers. */
    public function doubt(string $asks, ?Act $of = null): void
    {
        $asks = mb_substr($asks, 0, self::LONGEST_QUESTION);
        $this->doubts()->firstOrCreate(['asks' => $asks], ['act_id' => $of?->id]);
        $this->askedNow = array_values(array_unique([...$this->askedNow, $asks]));
        $this->unsetRelation('doubts');
    }

    /**
     * Writes a new line.
     *
     * @param  array<string, mixed>  $columns
     */
    public static function write(
        ?Machine $machine,
        EntryKind $kind,
        Circumstances $circumstances,
        array $columns = [],
    ): self {
        return self::query()->create(
            [
                'note' => $circumstances->note,
                ...$circumstances->columns(),
                'uuid' => (string) Str::uuid(),
                ...$columns,
                'machine_id' => $machine?->id,
                'kind' => $kind,
            ],
        )->setRelation('machine', $machine)->setRelation('person', $circumstances->by);
    }

    /** What this kind of entry says of its own. */
    public function says(string $what): string
    {
        return (string) ($this->detail[$what] ?? '');
    }

    public function isStruck(): bool
    {
        return $this->struck_at !== null;
    }
}
