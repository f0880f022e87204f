<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Record;
use App\Logbook\Acts\Act;
use App\Logbook\Round;
use App\Logbook\StandDowns;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Yard;
use Carbon\CarbonImmutable;
use Core\Inspect\RoundKind;
use Core\Inspect\RoundOutcome;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What the last round round a machine came to and what is open on it, kept ready. It follows from the looks and can be
 * made again at any time.
 *
 * @property int $machine_id
 * @property CarbonImmutable|null $looked_at
 * @property int $open_findings
 * @property array{last: array<string, mixed>|null, findings: list<array<string, mixed>>} $line
 */
final class WalkLine extends Record
{
    private const MACHINES_AT_ONCE = 200;

    protected $primaryKey = 'machine_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['line' => 'array', 'looked_at' => 'immutable_datetime'];
    }

    /**
     * After facts of some machines have changed: each is told anew when somebody looks.
     *
     * @param  list<int>  $machineIds
     */
    public static function outdate(array $machineIds): void
    {
        self::query()->upsert(
            array_map(fn (int $id): array => ['machine_id' => $id, 'holds' => false, 'line' => '{}'], $machineIds),
            ['machine_id'],
            ['holds'],
        );
    }

    /** Tells anew what no longer holds, machine by machine under its lock, so that nothing written meanwhile is lost. */
    public static function bringUpToDate(Yard $yard, CheckLists $checkLists): void
    {
        foreach (self::query()->where('holds', false)->pluck('machine_id')->chunk(self::MACHINES_AT_ONCE) as $ids) {
            DB::transaction(fn () => self::write(
                array_values(Machine::query()->whereKey($ids)->orderBy('id')->lockForUpdate()->pluck('id')->map(intval(...))->all()),
                $yard,
                $checkLists,
            ));
        }
    }

    public static function rebuild(Yard $yard, CheckLists $checkLists): void
    {
        foreach (Machine::query()->pluck('id')->chunk(self::MACHINES_AT_ONCE) as $ids) {
            self::write(array_values(array_map(intval(...), $ids->all())), $yard, $checkLists);
        }
    }

    /** @param  list<int>  $machineIds */
    private static function write(array $machineIds, Yard $yard, CheckLists $checkLists): void
    {
        $findings = Findings::open($machineIds);
        $rounds = self::lastRounds($machineIds);
        $down = StandDowns::standingOf($machineIds);
        $rows = array_map(fn (int $id): array => [
            'machine_id' => $id,
            'holds' => true,
            'looked_at' => ($rounds[$id] ?? null)?->started_at,
            'open_findings' => count($findings[$id] ?? []),
            'line' => json_encode([
                'last' => isset($rounds[$id]) ? self::ofRound($rounds[$id], $yard, $checkLists, $findings[$id] ?? [], $down[$id] ?? null) : null,
                'findings' => array_map(
                    fn (FindingThread $thread): array => $thread->toRecord($yard),
                    $findings[$id] ?? [],
                ),
            ], JSON_THROW_ON_ERROR),
        ], $machineIds);
        self::query()->upsert($rows, ['machine_id'], ['looked_at', 'open_findings', 'line', 'holds']);
    }

    /**
     * @param  list<int>  $machineIds
     * @return Collection<int, Round> the last round of looks by machine id
     */
    private static function lastRounds(array $machineIds): Collection
    {
        $newest = Round::query()->standing()
            ->select('rounds.id')
            ->whereColumn('rounds.machine_id', 'machines.id')
            ->where('kind', '!=', RoundKind::Grease)
            ->orderByDesc('started_at')
            ->limit(1);

        return Round::query()
            ->whereKey(Machine::query()->whereKey($machineIds)->selectSub($newest, 'newest')->pluck('newest')->filter())
            ->with('machine')
            ->get()
            ->toBase()
            ->keyBy('machine_id');
    }

    /**
     * @param  list<FindingThread>  $open  what is open on the machine
     * @param  StandDowns|null  $down  what keeps people off it
     * @return array<string, mixed> as the contract's `WalkedRound`
     */
    public static function ofRound(Round $round, Yard $yard, CheckLists $checkLists, array $open, ?StandDowns $down): array
    {
        $looks = Act::query()->standing()
            ->whereIn('acts.kind', [ActKind::Looked, ActKind::Measured])
            ->join('entries', 'entries.id', '=', 'acts.entry_id')
            ->where('round_id', $round->id)
            ->leftJoin('people', 'people.id', '=', 'acts.person_id')
            ->orderBy('acts.happened_at')
            ->toBase()
            ->get(['check_key', 'verdict', 'outcome', 'people.name as by']);
        $told = $looks->whereNotNull('verdict');
        $outcome = self::outcomeOf($round, $looks, $checkLists, $open, $down);

        return [
            'kind' => $round->kind->value,
            'label' => $round->kind->label(),
            'day' => $yard->dayOf($round->started_at)->format('Y-m-d'),
            'started_at' => $round->started_at->toAtomString(),
            'ended' => $round->ended_at !== null,
            'by' => $looks->pluck('by')->unique()->values()->all(),
            'looked_at' => $told->unique('check_key')->count(),
            'left_out' => $looks->where('outcome', Outcome::NotDone->value)
                ->pluck('check_key')
                ->diff($told->pluck('check_key'))
                ->unique()
                ->count(),
            'verdict' => $outcome->verdict?->value,
            'not_judged' => $outcome->notJudged,
        ];
    }

    /**
     * @param  Collection<int, \stdClass>  $looks
     * @param  list<FindingThread>  $open
     */
    private static function outcomeOf(Round $round, Collection $looks, CheckLists $checkLists, array $open, ?StandDowns $down): RoundOutcome
    {
        $told = $looks->where('outcome', '!=', Outcome::NotDone->value)->groupBy('check_key')->map(
            function (Collection $ofCheck): ?Verdict {
                $verdicts = $ofCheck->pluck('verdict')->filter()->map(Verdict::from(...));

                return $verdicts->isEmpty() ? null : Verdict::hardest(...$verdicts->all());
            },
        )->all();
        if ($round->kind === RoundKind::Grease) {
            return RoundOutcome::of([], $told);
        }
        $before = array_filter($open, fn (FindingThread $thread): bool => $thread->looks[0]->happened_at < $round->started_at);

        return RoundOutcome::of(
            $checkLists->of($round->machine)->ofRound($round->kind, $round->day),
            $told,
            array_column(array_map(fn (FindingThread $thread): Act => $thread->latest(), $before), 'title', 'check_key'),
            ($down?->standing()->first()->happened_at ?? $round->started_at) < $round->started_at,
        );
    }
}
