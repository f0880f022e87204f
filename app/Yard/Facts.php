<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use Brick\Math\BigDecimal;
use Core\Forecast\MeterHistory;
use Core\Machine\Point;
use Core\Schedule\Call;
use Core\Schedule\RuleFacts;
use Illuminate\Database\Eloquent\Collection as Models;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What happened to some machines, read from the logbook in a handful of queries however many they are. */
final readonly class Facts
{
    /** @var Collection<int, Entry> the newest reading by meter id */
    private Collection $newest;

    /** @var Models<int, WeeklyReadings> */
    private Models $weekly;

    /** @var Collection<int, Collection<int, object>> rows of what was done, by rule id */
    private Collection $done;

    /** @var Collection<int, Collection<int, object>> rows of points passed over and of what checks called for, by rule id */
    private Collection $noted;

    /** @var Collection<int, Entry> the newest stand-down or lift by machine id */
    private Collection $stands;

    /** @param  list<Machine>  $machines with meters and rules */
    public function __construct(array $machines, private Yard $yard)
    {
        $ids = array_map(fn (Machine $machine): int => $machine->id, $machines);
        $this->newest = $this->newestReadings($ids);
        $this->weekly = WeeklyReadings::query()->findMany(array_merge(...array_map(fn (Machine $machine): array => $machine->meters->modelKeys(), $machines)));
        $this->done = $this->rowsDone($ids);
        $this->noted = $this->rowsNoted($ids);
        $this->stands = Entry::query()->with('person:id,name')->whereIn('machine_id', $ids)->whereIn('kind', [EntryKind::StoodDown, EntryKind::Lifted])->whereNull('struck_at')
            ->orderBy('happened_at')->orderBy('id')->get()->keyBy('machine_id');
    }

    /** @return array<int, Entry> the newest reading by meter id */
    public function latest(Machine $machine): array
    {
        return $this->newest->only($machine->meters->modelKeys())->all();
    }

    public function history(Machine $machine, bool $distance): MeterHistory
    {
        return WeeklyReadings::history($machine->metersOf($distance), $this->weekly);
    }

    /** @return array<string, RuleFacts> by rule id */
    public function ofRules(Machine $machine): array
    {
        $facts = [];
        foreach ($machine->rules as $rule) {
            $facts[(string) $rule->id] = new RuleFacts(
                $rule->counts_from_beginning ? $machine->beginning() : null,
                $this->done($machine, $rule),
                $this->skipped($rule),
                $this->call($rule, $machine),
            );
        }

        return $facts;
    }

    public function standDown(Machine $machine): ?Entry
    {
        $newest = $this->stands[$machine->id] ?? null;

        return $newest?->kind === EntryKind::StoodDown ? $newest : null;
    }

    /** @return list<Point> the furthest on each meter, and the last day */
    private function done(Machine $machine, Rule $rule): array
    {
        $done = [];
        foreach ($this->done[$rule->id] ?? [] as $row) {
            $meter = $row->meter_id === null ? null : $machine->meters->find($row->meter_id);
            $run = $meter?->reckoned($row->furthest);
            $done[] = new Point(
                hours: $meter?->unit->isDistance() === false ? $run : null,
                km: $meter?->unit->isDistance() === true ? $run : null,
                date: $this->yard->dayOf(self::instant($row->last)),
            );
        }

        return $done;
    }

    /** @return list<Point> */
    private function skipped(Rule $rule): array
    {
        $points = [];
        foreach ($this->noted[$rule->id] ?? [] as $row) {
            if ($row->kind === EntryKind::Skipped->value) {
                $point = json_decode($row->detail, true, flags: JSON_THROW_ON_ERROR)[$rule->id] ?? [];
                $number = fn (string $along): ?BigDecimal => isset($point[$along]) ? BigDecimal::of($point[$along]) : null;
                $points[] = new Point($number('hours'), $number('km'), isset($point['date']) ? new \DateTimeImmutable("{$point['date']}T00:00:00Z") : null);
            }
        }

        return $points;
    }

    /** The last thing a check called for, if it was not done since, alone or as part of something bigger. */
    private function call(Rule $rule, Machine $machine): ?Call
    {
        $called = ($this->noted[$rule->id] ?? new Collection)->where('kind', EntryKind::Called->value)->last();
        if ($called === null) {
            return null;
        }
        for ($done = $rule; $done !== null; $done = $machine->rules->find($done->contained_in_id)) {
            if (($this->done[$done->id] ?? new Collection)->max('last') >= $called->happened_at) {
                return null;
            }
        }

        return new Call($this->yard->dayOf(self::instant($called->happened_at)), (string) $called->note);
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Entry> by meter id
     */
    private function newestReadings(array $machineIds): Collection
    {
        $newest = DB::table('meters')->whereIn('machine_id', $machineIds)->where('struck', false)->selectSub(fn ($query) => $query->from('entries')->select('entries.id')
            ->whereColumn('entries.meter_id', 'meters.id')->whereNull('struck_at')->orderByDesc('happened_at')->orderByDesc('value')->orderByDesc('id')->limit(1), 'newest_id')
            ->pluck('newest_id')->filter();

        return Entry::query()->whereKey($newest)->get()->toBase()->keyBy('meter_id');
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Collection<int, object>>
     */
    private function rowsDone(array $machineIds): Collection
    {
        return DB::table('rules')->whereIn('rules.machine_id', $machineIds)->where('rules.retired', false)
            ->join('entry_tasks', 'entry_tasks.rule_id', '=', 'rules.id')
            ->join('entries as service', 'service.id', '=', 'entry_tasks.entry_id')->where('service.kind', EntryKind::Service)->whereNull('service.struck_at')
            ->leftJoin('entries as reading', fn ($join) => $join->on('reading.part_of_id', '=', 'service.id')->whereNull('reading.struck_at'))
            ->groupBy('rules.id', 'reading.meter_id')
            ->get(['rules.id as rule_id', 'reading.meter_id', DB::raw('max(reading.value) as furthest'), DB::raw('max(service.happened_at) as last')])
            ->groupBy('rule_id');
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Collection<int, object>> in the order in which it happened
     */
    private function rowsNoted(array $machineIds): Collection
    {
        return DB::table('entries')->whereIn('entries.machine_id', $machineIds)->whereIn('entries.kind', [EntryKind::Skipped, EntryKind::Called])->whereNull('struck_at')
            ->join('entry_tasks', 'entry_tasks.entry_id', '=', 'entries.id')->orderBy('happened_at')->orderBy('entries.id')
            ->get(['entry_tasks.rule_id', 'entries.kind', 'happened_at', 'note', 'detail'])->groupBy('rule_id');
    }

    private static function instant(string $stored): \DateTimeImmutable
    {
        return new \DateTimeImmutable($stored, new \DateTimeZone('UTC'));
    }
}
