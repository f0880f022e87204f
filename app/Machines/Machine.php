<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;
use App\Contract\Refusal;
use App\Contract\Versioned;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Machine\MachineClass;
use Core\Machine\Point;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Core\Procedure\Schools;
use Core\Schedule\Severity;
use Core\Schedule\SeverityMark;
use Core\Schedule\Warranty;
use Core\Schedule\YearWindow;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One piece of equipment. The rooms above tie their own to it: its rules, its shared rulebook, its entries, its line on
 * the yard's sheet.
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
 * @property list<array{severity: string, from?: string|null, to?: string|null}>|null $severities
 * @property CarbonImmutable|null $warranty_until
 * @property string|null $warranty_hours
 * @property CarbonImmutable|null $extended_until
 * @property string|null $extended_hours
 * @property string|null $reset_note how the machine's own reminder is reset
 * @property array<string, string>|null $schools that its keeper follows, where it is not the usual one
 * @property int|null $shared_rulebook_id
 * @property bool $retired
 * @property int $version of the record
 * @property int $facts_version of everything its standing follows from
 * @property-read Collection<int, Meter> $meters
 * @property-read Collection<int, Spot> $spots
 *
 * What the rulebook, which lies above, ties to it:
 * @property-read Collection<int, \App\Rulebook\Rule> $rules that are not retired
 * @property-read \App\Rulebook\SharedRulebook|null $sharedRulebook
 *
 * @method HasMany<\App\Rulebook\Rule, $this> rules()
 * @method \Illuminate\Database\Eloquent\Relations\BelongsTo<\App\Rulebook\SharedRulebook, $this> sharedRulebook()
 */
final class Machine extends Record
{
    use Versioned;

    public $timestamps = true;

    protected $attributes = ['version' => 1, 'facts_version' => 1, 'retired' => false, 'countdown_step' => '1'];

    protected function casts(): array
    {
        return [
            'class' => MachineClass::class,
            'history' => History::class,
            'began_on' => 'immutable_date',
            'warranty_until' => 'immutable_date',
            'extended_until' => 'immutable_date',
            'severities' => 'array',
            'schools' => 'array',
            'retired' => 'boolean',
        ];
    }

    /** @return HasMany<Meter, $this> in the order in which they were fitted */
    public function meters(): HasMany
    {
        return $this->hasMany(Meter::class)->where('struck', false)->orderBy('fitted_at')->orderBy('id');
    }

    /** @return HasMany<Spot, $this> in walking order */
    public function spots(): HasMany
    {
        return $this->hasMany(Spot::class)->where('retired', false)->orderBy('position')->orderBy('id');
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

    /** By which of its meters it is kept. */
    public function keptBy(): Limit
    {
        return $this->meters->first()?->unit->limit() ?? Limit::Hours;
    }

    /** The meter in use at an instant, of the kind asked for, or of the kind the machine is kept by. */
    public function meterAt(CarbonImmutable $at, ?Limit $along = null): ?Meter
    {
        $ofKind = $this->metersOf($along ?? $this->keptBy());

        return $ofKind->last(fn (Meter $meter): bool => $meter->fitted_at <= $at) ?? $ofKind->first();
    }

    /** @return list<Meter> the meter of each kind that is fitted now, the one the machine is kept by first */
    public function currentMeters(): array
    {
        $fitted = [];
        foreach ($this->meters as $meter) {
            $fitted[$meter->unit->limit()->value] = $meter;
        }

        return array_values($fitted);
    }

    /** @return Collection<int, Meter> every hour meter, or every odometer, that it ever had */
    public function metersOf(Limit $along): Collection
    {
        return $this->meters->filter(fn (Meter $meter): bool => $meter->unit->limit() === $along)->values();
    }

    /** @return Collection<int, Meter> every meter of the kind that it is kept by */
    public function primaryMeters(): Collection
    {
        return $this->metersOf($this->keptBy());
    }

    public function warranty(): Warranty
    {
        return self::promise($this->warranty_until, $this->warranty_hours);
    }

    public function extendedWarranty(): Warranty
    {
        return self::promise($this->extended_until, $this->extended_hours);
    }

    /** @return list<SeverityMark> */
    public function severityMarks(): array
    {
        return array_map(fn (array $mark): SeverityMark => new SeverityMark(Severity::from($mark['severity']),
            isset($mark['from'], $mark['to'])
                ? YearWindow::between($mark['from'], $mark['to'])
                : null), $this->severities
                ?? []);
    }

    public function schools(): Schools
    {
        return new Schools($this->schools ?? []);
    }

    public function distanceUnit(): MeterUnit
    {
        return $this->meters->last(fn (Meter $meter): bool => $meter->unit->isDistance())->unit
            ?? MeterUnit::Kilometres;
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
            'severities' => array_map(
                fn (array $mark): array => ['from' => null, 'to' => null, ...$mark],
                $this->severities ?? [],
            ),
            'warranty' => [
                'until' => $this->warranty_until?->toDateString(),
                'hours' => self::plain($this->warranty_hours),
            ],
            'extended_warranty' => [
                'until' => $this->extended_until?->toDateString(),
                'hours' => self::plain($this->extended_hours),
            ],
            'reset_note' => $this->reset_note,
            'schools' => $this->schools()->written(),
            'retired' => $this->retired,
            'version' => $this->version,
        ];
    }

    private static function promise(?CarbonImmutable $until, ?string $hours): Warranty
    {
        return new Warranty(
            $until === null ? null : new \DateTimeImmutable($until->format('Y-m-d').'T00:00:00Z'),
            $hours === null ? null : BigDecimal::of($hours),
        );
    }

    private static function plain(?string $decimal): ?string
    {
        return $decimal === null ? null : (string) BigDecimal::of($decimal)->stripTrailingZeros();
    }
}
