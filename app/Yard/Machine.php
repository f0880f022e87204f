<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Refusal;
use App\Contract\Versioned;
use App\Logbook\Entry;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Meter\MeterUnit;
use Core\Schedule\MachineClass;
use Core\Schedule\Point;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One piece of equipment.
 *
 * @property int $id
 * @property string $name
 * @property MachineClass $class
 * @property string $place
 * @property string|null $maker
 * @property string|null $model
 * @property string|null $serial
 * @property string|null $note
 * @property string $countdown_step smallest step of the machine's own countdown display, in hours
 * @property History $history
 * @property CarbonImmutable|null $began_on
 * @property bool $retired
 * @property int $version of the record
 * @property int $facts_version of everything its standing follows from
 * @property-read Collection<int, Meter> $meters
 * @property-read Collection<int, Rule> $rules
 */
final class Machine extends Model
{
    use Versioned;

    protected $guarded = [];

    protected $attributes = ['version' => 1, 'facts_version' => 1, 'retired' => false, 'countdown_step' => '1'];

    protected function casts(): array
    {
        return ['class' => MachineClass::class, 'history' => History::class, 'began_on' => 'immutable_date', 'retired' => 'boolean'];
    }

    /** @return HasMany<Meter, $this> in the order in which they were fitted */
    public function meters(): HasMany
    {
        return $this->hasMany(Meter::class)->where('struck', false)->orderBy('fitted_at')->orderBy('id');
    }

    /** @return HasMany<Rule, $this> */
    public function rules(): HasMany
    {
        return $this->hasMany(Rule::class)->where('retired', false)->orderBy('id');
    }

    /** @return HasMany<Entry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class);
    }

    /** @return HasOne<YardLine, $this> */
    public function yardLine(): HasOne
    {
        return $this->hasOne(YardLine::class);
    }

    /**
     * The machine, locked: whoever writes to it waits for whoever is writing to it.
     *
     * @throws Refusal if it is out of the yard
     */
    public static function lockForWriting(int $id): self
    {
        $machine = self::query()->lockForUpdate()->findOrFail($id);
        if ($machine->retired) {
            throw Refusal::conflict("{$machine->name} is out of the yard. Put it back first.");
        }

        return $machine;
    }

    /** The point from which a machine that came new is counted, or null where its beginning is not known. */
    public function beginning(): ?Point
    {
        if ($this->history !== History::New) {
            return null;
        }
        $zero = BigDecimal::zero();

        return new Point($zero, $zero, $this->began_on?->toDateTimeImmutable());
    }

    /** The meter in use at an instant, of the kind asked for, or of the kind the machine is kept by. */
    public function meterAt(CarbonImmutable $at, ?bool $distance = null): ?Meter
    {
        $distance ??= $this->meters->first()?->unit->isDistance() ?? false;
        $ofKind = $this->meters->filter(fn (Meter $meter): bool => $meter->unit->isDistance() === $distance);

        return $ofKind->last(fn (Meter $meter): bool => $meter->fitted_at <= $at) ?? $ofKind->first();
    }

    /** @return list<Meter> the meter of each kind that is fitted now, the one the machine is kept by first */
    public function currentMeters(): array
    {
        return $this->meters->groupBy(fn (Meter $meter): string => $meter->unit->isDistance() ? 'distance' : 'hours')->map->last()->values()->all();
    }

    public function distanceUnit(): MeterUnit
    {
        return $this->meters->last(fn (Meter $meter): bool => $meter->unit->isDistance())->unit ?? MeterUnit::Kilometres;
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'class' => $this->class->value,
            'class_label' => $this->class->label(),
            'place' => $this->place,
            'maker' => $this->maker,
            'model' => $this->model,
            'serial' => $this->serial,
            'note' => $this->note,
            'countdown_step' => $this->countdown_step,
            'history' => $this->history->value,
            'began_on' => $this->began_on?->toDateString(),
            'retired' => $this->retired,
            'version' => $this->version,
        ];
    }
}
