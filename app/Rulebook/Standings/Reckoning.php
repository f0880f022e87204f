<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Logbook\Readings\Reading;
use App\Logbook\StandDowns;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Yard;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Forecast\MeterHistory;
use Core\Forecast\Outlook;
use Core\Forecast\Rail;
use Core\Forecast\TaskStanding;
use Core\Forecast\Usage;
use Core\Machine\Point;
use Core\Measure\Day;
use Core\Meter\Countdown;
use Core\Meter\Limit;
use Core\Meter\Reading as CoreReading;
use Core\Schedule\Rulebook;
use Core\Schedule\RulebookLine;
use Core\Schedule\RuleFacts;

/** One machine's facts as core values, and what follows from them now. */
final readonly class Reckoning
{
    public Outlook $outlook;

    /** @var array<int, TaskStanding> by rule id */
    public array $standings;

    public ?Usage $hours;

    public ?Usage $km;

    /** @var array<int, Reading> the newest reading by meter id */
    public array $latest;

    /** @var array<int, RuleFacts> by rule id */
    public array $facts;

    /** @var array<int, KnownRule> by id */
    public array $rules;

    private Point $now;

    /** What keeps people off the machine, if anything does. */
    public ?StandDowns $standDowns;

    private function __construct(
        public Machine $machine,
        public Yard $yard,
        public ClassSeason $season,
        public \DateTimeImmutable $today,
        Facts $facts,
    ) {
        $this->latest = $facts->latest($machine);
        $this->facts = $facts->ofRules($machine);
        $this->rules = $facts->rules($machine);
        $this->standDowns = $facts->standDowns($machine);
        $this->hours = $this->learn($facts->history($machine, Limit::Hours));
        $this->km = $this->learn($facts->history($machine, Limit::Distance));
        $this->now = new Point($this->run(Limit::Hours), $this->run(Limit::Distance), $today);
        $lines = self::lines($machine, $this->rules, $yard, $today);
        $judged = (new Rulebook($lines))->standings($this->facts, $this->now());
        $standings = [];
        foreach ($lines as $line) {
            $standings[(int) $line->task->id] = new TaskStanding(
                $line->task,
                $judged[$line->task->id],
                $this->hours,
                $this->km,
                $today,
            );
        }
        $this->standings = $standings;
        $this->outlook = Outlook::of(
            array_values($standings),
            $this->hours,
            $this->km,
            $today,
            $machine->distanceUnit(),
        );
    }

    public static function of(Machine $machine, Yard $yard): self
    {
        return self::ofAll([$machine], $yard)[$machine->id];
    }

    /**
     * @param  list<Machine>  $machines  with meters
     * @return array<int, self> by machine id
     */
    public static function ofAll(array $machines, Yard $yard): array
    {
        $facts = new Facts($machines, $yard, app(CheckLists::class));
        $today = $yard->today();
        $seasons = [];
        $reckonings = [];
        foreach ($machines as $machine) {
            $season = $seasons[$machine->class->value] ??= ClassSeason::for($machine->class, $yard);
            $reckonings[$machine->id] = new self($machine, $yard, $season, $today, $facts);
        }

        return $reckonings;
    }

    /** The machine's state as the yard shows it: stood down, or what its rulebook says, most urgent first. */
    public function state(): string
    {
        return $this->standDowns === null ? $this->outlook->state()->value : 'stood_down';
    }

    public function now(): Point
    {
        return $this->now;
    }

    /** How the machine is used by the meter it is kept by; null where it has none or nobody can tell. */
    public function usage(): ?Usage
    {
        return match ($this->alongRail()) {
            Limit::Hours => $this->hours,
            Limit::Distance => $this->km,
            Limit::Date => null,
        };
    }

    public function rail(): Rail
    {
        $along = $this->alongRail();
        $now = $this->now()->along($along) ?? BigDecimal::of(Day::number($this->today));

        return Rail::of(
            $along,
            $now,
            array_values($this->standings),
            $this->usage(),
            $this->today,
            $this->machine->distanceUnit(),
        );
    }

    /**
     * What to set on the machine's own countdown until the next point on the meter it is kept by, or null where none is
     * ahead.
     */
    public function countdown(): ?Countdown
    {
        $meter = $this->machine->currentMeters()[0] ?? null;
        $next = $this->nextShown($meter);
        $now = $meter === null ? null : $this->run($meter->unit->limit());

        return $meter === null || $next === null || $now === null ? null
            : Countdown::until($next, $meter->shown($now), BigDecimal::of($this->machine->countdown_step));
    }

    /** Where the meter will stand at the next point that it counts. */
    public function nextShown(?Meter $meter): ?BigDecimal
    {
        if ($meter === null) {
            return null;
        }
        $points = [];
        foreach ($this->standings as $standing) {
            $points[] = ($standing->standing->points[$meter->unit->limit()->value] ?? null)?->at;
        }
        $points = array_filter($points);

        return $points === [] ? null : $meter->shown(BigDecimal::min(...$points));
    }

    /** Along what its rail is ruled: its first meter, or days where it has none. */
    private function alongRail(): Limit
    {
        return ($this->machine->currentMeters()[0] ?? null)?->unit->limit() ?? Limit::Date;
    }

    private function learn(MeterHistory $history): ?Usage
    {
        return $history->isEmpty() ? null : Usage::learn($history, $this->season->toCore());
    }

    private function run(Limit $along): ?BigDecimal
    {
        $meter = $this->machine->meterAt(CarbonImmutable::now(), $along);

        return ($this->latestOf($meter) ?? $this->asFitted($meter))?->value;
    }

    private function latestOf(?Meter $meter): ?CoreReading
    {
        return $meter === null ? null : ($this->latest[$meter->id] ?? null)?->reckoned($meter);
    }

    /** A meter fitted but never read: the machine has run what it had run by then. */
    private function asFitted(?Meter $meter): ?CoreReading
    {
        return $meter === null ? null : new CoreReading($meter->reckoned($meter->shown_when_fitted), $meter->fitted_at);
    }

    /**
     * @param  array<int, KnownRule>  $rules
     * @return list<RulebookLine> its rules as they hold today
     */
    private static function lines(Machine $machine, array $rules, Yard $yard, \DateTimeImmutable $today): array
    {
        $marks = $machine->severityMarks();
        $table = $marks === [] ? null : $yard->severityTable();

        return array_values(array_map(fn (KnownRule $rule): RulebookLine => $table === null || $rule->line->rule === null
            ? $rule->line
            : new RulebookLine(
                $rule->line->task,
                $table->tighten($rule->line->rule, $rule->subjects(), $marks, $today),
                $rule->line->goesWith,
            ), $rules));
    }
}
