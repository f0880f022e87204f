<?php

declare(strict_types=1);

namespace App\Bench;

use App\Contract\Record;
use App\Contract\Versioned;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\Machine;
use App\People\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One service of one machine on one occasion: what is to be done, the steps of it, and what was told of them.
 *
 * @property string $id as the device that made it named it
 * @property int $machine_id
 * @property string $name
 * @property array{rules: list<int>, findings: list<string>, spots: list<int>} $wanted
 * @property bool $raised whether the machine stands off the ground for it
 * @property array<string, mixed> $plan as {@see Plan\PlanJob} made it
 * @property int|null $person_id who made it
 * @property string|null $device
 * @property CarbonImmutable $made_at
 * @property int $version
 * @property-read Machine $machine
 * @property-read Person|null $person
 * @property-read Collection<int, StepTold> $told
 * @property-read Entry|null $signedOff
 */
final class Job extends Record
{
    use Versioned;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $attributes = ['version' => 1];

    protected function casts(): array
    {
        return ['wanted' => 'array', 'plan' => 'array', 'raised' => 'boolean', 'made_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<StepTold, $this> in the order in which it happened */
    public function told(): HasMany
    {
        return $this->hasMany(StepTold::class)->orderBy('happened_at')->orderBy('id');
    }

    /** @return HasOne<Entry, $this> the line of the logbook that it became */
    public function signedOff(): HasOne
    {
        return $this->hasOne(Entry::class, 'job_id')
            ->where('kind', EntryKind::Service)->whereNull('struck_at')->with('person:id,name');
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereDoesntHave('signedOff');
    }
}
