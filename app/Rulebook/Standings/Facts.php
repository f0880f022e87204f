<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Logbook\DecisionKind;
use App\Logbook\Readings\Reading;
use App\Logbook\Readings\WeeklyReadings;
use App\Logbook\StandDowns;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Yard;
use Brick\Math\BigDecimal;
use Core\Forecast\MeterHistory;
use Core\Machine\LastDone;
use Core\Machine\Point;
use Core\Machine\TaskKind;
use Core\Meter\Limit;
use Core\Schedule\Call;
use Core\Schedule\RuleFacts;
use Illuminate\Database\Eloquent\Collection as Models;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What happened to some machines, read from the logbook in a handful of queries however many they are. */
final readonly class Facts
{
    /** @var Collection<int, Reading> the newest reading by meter id */
    private Collection $newest;

    /** @var Models<int, WeeklyReadings> by meter id */
    private Models $weekly;

    /** @var array<int, array<int, KnownRule>> by machine id, by rule id */
    private array $rules;

    private NewestActs $acts;

    /**
     * @var Collection<int, Collection<int, \stdClass>> rows of points passed over and of what checks called for, by task
     *     id
     */
    private Collection $decided;

    /** @var Collection<int, StandDowns> by machine id, of those that stand down */
    private Collection $stands;

    /** @param  list<Machine>  $machines with meters */
    public function __construct(array $machines, private Yard $yard, private CheckLists $checkLists)
    {
        $ids = array_map(fn (Machine $machine): int => $machine->id, $machines);
        $this->newest = $this->newestReadings($ids);
        $this->weekly = WeeklyReadings::query()->findMany(
            array_merge(...array_map(fn (Machine $machine): array => $machine->meters->modelKeys(), $machines)),
        )->keyBy('meter_id');
        $this->checkLists->read($machines);
        $this->rules = KnownRules::of($ids);
        $isFitFound = fn (KnownRule $rule): bool => $rule->line->task->kind === TaskKind::Adjust
            && $rule->line->task->check !== null;
        $this->acts = NewestActs::at($this->spotIds(fn (): bool => true), $this->spotIds($isFitFound), $yard);
        $this->decided = $this->rowsDecided($ids);
        $this->stands = StandDowns::standingOf($ids);
    }

    /** @return array<int, Reading> the newest reading by meter id */
    public function latest(Machine $machine): array
    {
        return $this->newest->only($machine->meters->modelKeys())->all();
    }

    public function history(Machine $machine, Limit $along): MeterHistory
    {
        return WeeklyReadings::history($machine->metersOf($along), $this->weekly);
    }

    /** @return array<int, KnownRule> by id */
    public function rules(Machine $machine): array
    {
        return $this->rules[$machine->id];
    }

    /** @return array<int, RuleFacts> by rule id */
    public function ofRules(Machine $machine): array
    {
        $levelChecks = $this->checkLists->levelChecks($machine);
        $facts = [];
        foreach ($this->rules[$machine->id] as $rule) {
            $done = $this->done($rule, $levelChecks);
            $facts[(string) $rule->id] = new RuleFacts(
                $rule->countsFromBeginning ? $machine->beginning() : null,
                $done->point === null ? [] : [$done->point],
                $this->skipped($rule),
                $this->call($rule, $done),
                $done->apart(),
            );
        }

        return $facts;
    }

    public function standDowns(Machine $machine): ?StandDowns
    {
        return $this->stands[$machine->id] ?? null;
    }

    /**
     * @param  \Closure(KnownRule): bool  $ofRules
     * @return list<int>
     */
    private function spotIds(\Closure $ofRules): array
    {
        $places = [];
        foreach ($this->rules as $ofMachine) {
            foreach ($ofMachine as $rule) {
                $places += $ofRules($rule) ? $rule->places : [];
            }
        }

        return array_keys($places);
    }

    /** @param  array<string, list<string>>  $levelChecks */
    private function done(KnownRule $rule, array $levelChecks): LastDone
    {
        $acts = [];
        foreach ($rule->places as $id => $place) {
            $acts[$place->key] = $this->acts->of($id);
        }

        return LastDone::of($rule->line->task, array_column($rule->places, 'name', 'key'), $acts, $levelChecks);
    }

    /** @return list<Point> */
    private function skipped(KnownRule $rule): array
    {
        $number = fn (?string $run): ?BigDecimal => $run === null ? null : BigDecimal::of($run);

        return array_values(($this->decided[$rule->taskId] ?? new Collection)->where(
            'kind',
            DecisionKind::Skipped->value,
        )
            ->map(
                fn (\stdClass $row): Point => new Point(
                    $number($row->hours),
                    $number($row->km),
                    $row->date === null ? null : new \DateTimeImmutable("{$row->date}T00:00:00Z"),
                ),
            )->all());
    }

    /** The last thing a check called for, if it was not done since. */
    private function call(KnownRule $rule, LastDone $done): ?Call
    {
        $called = ($this->decided[$rule->taskId] ?? new Collection)->where('kind', DecisionKind::Called->value)->last();
        $at = $called === null ? null : new \DateTimeImmutable($called->happened_at, new \DateTimeZone('UTC'));

        return $at === null
            || ($done->at !== null && $done->at >= $at)
            ? null
            : new Call($this->yard->dayOf($at), (string) $called->note);
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Reading> by meter id
     */
    private function newestReadings(array $machineIds): Collection
    {
        $newest = DB::table('meters')->whereIn('machine_id', $machineIds)
            ->where('struck', false)
            ->selectSub(fn ($query) => $query->from('readings')->select('readings.id')
                ->whereColumn(
                    'readings.meter_id',
                    'meters.id',
                )->where('readings.struck', false)->orderByDesc('happened_at')->orderByDesc('value')->orderByDesc('id')
                ->limit(1),
                'newest_id')
            ->pluck('newest_id')->filter();

        return Reading::query()->whereKey($newest)->get()->toBase()->keyBy('meter_id');
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Collection<int, \stdClass>> in the order in which it happened
     */
    private function rowsDecided(array $machineIds): Collection
    {
        return DB::table('decisions')->join(
            'tasks',
            'tasks.id',
            '=',
            'decisions.task_id',
        )->whereIn('tasks.machine_id', $machineIds)
            ->join(
                'entries',
                'entries.id',
                '=',
                'decisions.entry_id',
            )->whereNull('entries.struck_at')->orderBy('happened_at')->orderBy('entries.id')
            ->get(
                ['decisions.task_id', 'decisions.kind', 'hours', 'km', 'date', 'happened_at', 'note'],
            )->groupBy('task_id');
    }
}
