<?php

declare(strict_types=1);

namespace App\Bench;

use App\Contract\Record;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Procedure\Did;
use Core\Procedure\Telling;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What one person told of one step, from one device.
 *
 * @property int $id
 * @property string $uuid
 * @property string $job_id
 * @property string $step its key
 * @property Did $did
 * @property array<string, mixed>|null $said what was entered
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $written_at
 * @property int|null $person_id
 * @property string|null $device
 * @property-read Person|null $person
 */
final class StepTold extends Record
{
    protected $table = 'job_steps';

    protected function casts(): array
    {
        return [
            'did' => Did::class,
            'said' => 'array',
            'happened_at' => 'immutable_datetime',
            'written_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** What was entered in one of its fields; empty where nothing was. */
    public function said(string $field): string
    {
        return (string) ($this->said[$field] ?? '');
    }

    public function toTelling(): Telling
    {
        return new Telling($this->uuid, $this->step, $this->did, $this->happened_at);
    }

    /** @return array<string, mixed> as the contract's `StepTold` */
    public function toRecord(): array
    {
        return [
            'id' => $this->uuid,
            'step' => $this->step,
            'did' => $this->did->value,
            'said' => (object) ($this->said ?? []),
            'at' => $this->happened_at->toAtomString(),
            'by' => $this->person?->name,
        ];
    }
}
