<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;
use App\Contract\Versioned;
use Carbon\CarbonImmutable;
use Core\Fluid\FluidSchool;
use Core\Measure\Day;
use Core\Measure\Quantity;
use Core\Meter\MeterUnit;
use Core\Schedule\SeverityTable;

/**
 * The yard itself: one to an installation.
 *
 * @property int $id
 * @property string $uuid the same in every copy of it
 * @property string $name
 * @property string $time_zone
 * @property MeterUnit $distance_unit
 * @property array<string, array<string, string>>|null $severity shares that differ from the usual, by severity and
 *     subject
 * @property string|null $coldest_night as typed
 * @property string|null $hottest_day as typed
 * @property FluidSchool $fluid_school the keeper's way with maker's own fluids and equivalents
 * @property list<array{name: string, ten_strokes: string}>|null $grease_guns with the weight of ten strokes, as typed
 * @property list<array{name: string, least: string, most: string, adapter?: array{wrench_length: string, extension: string, angle: int}|null}>|null $wrenches the torque wrenches, as typed
 * @property list<string>|null $pans what catch pans hold, as typed
 * @property string $currency written after prices
 * @property int $version
 */
final class Yard extends Record
{
    use Versioned;

    /** @var array<string, \DateTimeZone> by name */
    private static array $zones = [];

    protected $table = 'yard';

    public $incrementing = false;

    protected $attributes = ['version' => 1, 'fluid_school' => 'makers_in_warranty', 'currency' => ''];

    protected function casts(): array
    {
        return [
            'distance_unit' => MeterUnit::class,
            'fluid_school' => FluidSchool::class,
            'severity' => 'array',
            'grease_guns' => 'array',
            'pans' => 'array',
            'wrenches' => 'array',
        ];
    }

    /** The present moment on the yard's own clock. */
    public function now(): CarbonImmutable
    {
        return CarbonImmutable::now($this->time_zone);
    }

    /** The yard's local day, as the rules reckon days: a date without a place. */
    public function today(): \DateTimeImmutable
    {
        return $this->dayOf($this->now());
    }

    public function dayOf(\DateTimeInterface $instant): \DateTimeImmutable
    {
        $zone = self::$zones[$this->time_zone] ??= new \DateTimeZone($this->time_zone);

        return Day::of(Day::number(\DateTimeImmutable::createFromInterface($instant)->setTimezone($zone)));
    }

    public function severityTable(): SeverityTable
    {
        return SeverityTable::with($this->severity ?? []);
    }

    public function coldestNight(): ?Quantity
    {
        return $this->coldest_night === null ? null : Quantity::parse($this->coldest_night);
    }

    public function hottestDay(): ?Quantity
    {
        return $this->hottest_day === null ? null : Quantity::parse($this->hottest_day);
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            'name' => $this->name,
            'time_zone' => $this->time_zone,
            'distance_unit' => $this->distance_unit->value,
            'coldest_night' => $this->coldest_night,
            'hottest_day' => $this->hottest_day,
            'fluid_school' => $this->fluid_school->value,
            'grease_guns' => $this->grease_guns ?? [],
            'pans' => $this->pans ?? [],
            'wrenches' => array_map(fn (array $wrench): array => $wrench + ['adapter' => null], $this->wrenches ?? []),
            'currency' => $this->currency,
            'version' => $this->version,
        ];
    }
}
