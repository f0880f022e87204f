<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use Core\Forecast\WeeklyUse;
use Core\Schedule\Point;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What happened to some machines, read from the logbook in a handful of queries however many they are. */
final readonly class Facts
{
    /** @var Collection<int, object{meter_id: int, latest_id: int|null, before_id: int|null, first_id: int|null}> by meter id */
    private Collection $marks;

    /** @var Collection<int, Entry> by id */
    private Collection $readings;

    /** @var Collection<int, Collection<int, object>> rows of what was done, by rule id */
    private Collection $done;

    /** @var Collection<int, Entry> the newest stand-down or lift by machine id */
    private Collection $stands;

    /** @param  list<Machine>  $machines with meters and rules */
    public function __construct(array $machines, private Yard $yard)
    {
        $ids = array_map(fn (Machine $machine): int => $machine->id, $machines);
        $this->marks = $this->marks($ids);
        $this->readings = Entry::query()->whereKey($this->marks->flatMap(fn (object $mark): array => [$mark->latest_id, $mark->before_id, $mark->first_id])->filter()->unique())->get()->keyBy('id');
        $this->done = $this->rowsDone($ids);
        $this->stands = Entry::query()->with('person:id,name')->whereIn('machine_id', $ids)->whereIn('kind', [EntryKind::StoodDown, EntryKind::Lifted])->whereNull('struck_at')
            ->orderBy('happened_at')->orderBy('id')->get()->keyBy('machine_id');
    }

    /** @return array<int, Entry> the newest reading by meter id */
    public function latest(Machine $machine): array
    {
        return $this->pick($machine, fn (object $mark): ?int => $mark->latest_id);
    }

    /** @return array<int, Entry> the last reading before the weeks that present use is reckoned over, else the first, by meter id */
    public function earlier(Machine $machine): array
    {
        return $this->pick($machine, fn (object $mark): ?int => $mark->before_id ?? $mark->first_id);
    }

    /** @return array<int, list<Point>> by rule id: the furthest on each meter, and the last day */
    public function done(Machine $machine): array
    {
        $meters = $machine->meters->keyBy('id');
        $done = [];
        foreach ($machine->rules as $rule) {
            foreach ($this->done[$rule->id] ?? [] as $row) {
                $meter = $row->meter_id === null ? null : $meters[$row->meter_id] ?? null;
                $run = $meter?->reckoned($row->furthest);
                $done[$rule->id][] = new Point(
                    hours: $meter?->unit->isDistance() === false ? $run : null,
                    km: $meter?->unit->isDistance() === true ? $run : null,
                    date: $this->yard->dayOf(new \DateTimeImmutable($row->last, new \DateTimeZone('UTC'))),
                );
            }
        }

        return $done;
    }

    public function standDown(Machine $machine): ?Entry
    {
        $newest = $this->stands[$machine->id] ?? null;

        return $newest?->kind === EntryKind::StoodDown ? $newest : null;
    }

    /**
     * @param  \Closure(object): ?int  $choose
     * @return array<int, Entry>
     */
    private function pick(Machine $machine, \Closure $choose): array
    {
        $picked = [];
        foreach ($machine->meters as $meter) {
            $mark = $this->marks[$meter->id] ?? null;
            $entry = $mark === null ? null : $this->readings[$choose($mark)] ?? null;
            if ($entry !== null) {
                $picked[$meter->id] = $entry;
            }
        }

        return $picked;
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, object>
     */
    private function marks(array $machineIds): Collection
    {
        $reading = fn (string $direction): \Closure => fn ($query) => $query->from('entries')->select('entries.id')
            ->whereColumn('entries.meter_id', 'meters.id')->whereNull('struck_at')
            ->orderBy('happened_at', $direction)->orderBy('value', $direction)->orderBy('id', $direction)->limit(1);
        $weeksAgo = $this->yard->now()->subWeeks(WeeklyUse::WEEKS)->utc()->format('Y-m-d H:i:s');

        return DB::table('meters')->whereIn('machine_id', $machineIds)->where('struck', false)->select('meters.id as meter_id')
            ->selectSub($reading('desc'), 'latest_id')
            ->selectSub(fn ($query) => $reading('desc')($query)->where('happened_at', '<=', $weeksAgo), 'before_id')
            ->selectSub($reading('asc'), 'first_id')
            ->get()->keyBy('meter_id');
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Collection<int, object>>
     */
    private function rowsDone(array $machineIds): Collection
    {
        return DB::table('rules')->whereIn('rules.machine_id', $machineIds)->where('rules.retired', false)
            ->join('entry_tasks', 'entry_tasks.rule_id', '=', 'rules.id')
            ->join('entries as service', 'service.id', '=', 'entry_tasks.entry_id')->whereNull('service.struck_at')
            ->leftJoin('entries as reading', fn ($join) => $join->on('reading.part_of_id', '=', 'service.id')->whereNull('reading.struck_at'))
            ->groupBy('rules.id', 'reading.meter_id')
            ->get(['rules.id as rule_id', 'reading.meter_id', DB::raw('max(reading.value) as furthest'), DB::raw('max(service.happened_at) as last')])
            ->groupBy('rule_id');
    }
}
