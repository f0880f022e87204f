<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Forecast\WeeklyUse;
use Core\Meter\Countdown;
use Core\Meter\MeterUnit;
use Core\Meter\Reading;
use Core\Schedule\Day;
use Core\Schedule\Outlook;
use Core\Schedule\Point;
use Core\Schedule\Rail;
use Core\Schedule\RailUnit;
use Core\Schedule\Standing;
use Core\Schedule\TaskStanding;

/** One machine's facts as core values, and what follows from them now. */
final readonly class Reckoning
{
    public Outlook $outlook;

    /** @var array<int, TaskStanding> by rule id */
    public array $standings;

    public WeeklyUse $hoursPerWeek;

    public WeeklyUse $kmPerWeek;

    /**
     * @param  array<int, Entry>  $latest  the newest reading by meter id
     * @param  array<int, Entry>  $earlier  the reading from which present use is reckoned, by meter id
     * @param  array<int, list<Point>>  $done  by rule id
     * @param  Entry|null  $standDown  the entry that stood the machine down, if it still is
     */
    private function __construct(
        public Machine $machine,
        public Yard $yard,
        public array $latest,
        private array $earlier,
        array $done,
        public ?Entry $standDown,
    ) {
        $this->hoursPerWeek = $this->use(distance: false);
        $this->kmPerWeek = $this->use(distance: true);
        $now = $this->now();
        $standings = [];
        foreach ($machine->rules as $rule) {
            $start = $rule->counts_from_beginning ? $machine->beginning() : null;
            $standings[$rule->id] = new TaskStanding($rule->toTask(), Standing::of($rule->toCore(), $start, $done[$rule->id] ?? [], $now), $this->hoursPerWeek, $this->kmPerWeek);
        }
        $this->standings = $standings;
        $this->outlook = Outlook::of(array_values($standings), $this->hoursPerWeek, $yard->today(), $machine->distanceUnit());
    }

    public static function of(Machine $machine, Yard $yard): self
    {
        return self::ofAll([$machine], $yard)[$machine->id];
    }

    /**
     * @param  list<Machine>  $machines  with meters and rules
     * @return array<int, self> by machine id
     */
    public static function ofAll(array $machines, Yard $yard): array
    {
        $facts = new Facts($machines, $yard);
        $reckonings = [];
        foreach ($machines as $machine) {
            $reckonings[$machine->id] = new self($machine, $yard, $facts->latest($machine), $facts->earlier($machine), $facts->done($machine), $facts->standDown($machine));
        }

        return $reckonings;
    }

    /** The machine's state as the yard shows it: stood down, or what its rulebook says, most urgent first. */
    public function state(): string
    {
        return $this->standDown === null ? $this->outlook->state()->value : 'stood_down';
    }

    public function now(): Point
    {
        return new Point($this->run(distance: false), $this->run(distance: true), $this->yard->today());
    }

    public function rail(): Rail
    {
        $primary = $this->machine->currentMeters()[0] ?? null;
        [$unit, $use] = match (true) {
            $primary === null => [RailUnit::Days, WeeklyUse::daily()],
            $primary->unit->isDistance() => [RailUnit::Kilometres, $this->kmPerWeek],
            default => [RailUnit::Hours, $this->hoursPerWeek],
        };
        $now = $this->now()->along($unit->limit()) ?? BigDecimal::of(Day::number($this->yard->today()));

        return Rail::of($unit, $now, array_values($this->standings), $use, $this->yard->today(), $this->machine->distanceUnit());
    }

    /** What to set on the machine's own countdown until the next point in hours, or null where none is ahead. */
    public function countdown(): ?Countdown
    {
        $meter = $this->machine->meterAt(CarbonImmutable::now(), distance: false);
        $now = $this->run(distance: false);
        $points = [];
        foreach ($this->standings as $standing) {
            $points[] = ($standing->standing->points['hours'] ?? null)?->at;
        }
        $points = array_filter($points);
        if ($meter === null || $meter->unit !== MeterUnit::Hours || $now === null || $points === []) {
            return null;
        }

        return Countdown::until($meter->span()->shown(BigDecimal::min(...$points)), $meter->span()->shown($now), BigDecimal::of($this->machine->countdown_step));
    }

    private function run(bool $distance): ?BigDecimal
    {
        $meter = $this->machine->meterAt(CarbonImmutable::now(), $distance);

        return ($this->latestOf($meter) ?? $this->asFitted($meter))?->value;
    }

    private function use(bool $distance): WeeklyUse
    {
        $meter = $this->machine->meterAt(CarbonImmutable::now(), $distance);
        $earlier = $meter === null ? null : $this->earlier[$meter->id] ?? null;

        return WeeklyUse::between($earlier === null || $meter === null ? null : $earlier->toReading($meter), $this->latestOf($meter), $this->yard->now());
    }

    private function latestOf(?Meter $meter): ?Reading
    {
        $entry = $meter === null ? null : $this->latest[$meter->id] ?? null;

        return $entry === null || $meter === null ? null : $entry->toReading($meter);
    }

    /** A meter fitted but never read: the machine has run what it had run by then. */
    private function asFitted(?Meter $meter): ?Reading
    {
        return $meter === null ? null : new Reading($meter->reckoned($meter->shown_when_fitted), $meter->fitted_at);
    }
}
