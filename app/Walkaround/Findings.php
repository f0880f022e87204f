<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Acts\Act;
use App\Logbook\Entry;
use App\Logbook\StandDowns;
use Carbon\CarbonImmutable;
use Core\Fluid\AcceptedLoss;
use Core\Inspect\Finding;
use Core\Inspect\Sighting;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection as Acts;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What was found at spots of machines and how it goes on, computed from the acts: each check's looks by themselves, and
 * the parts that were replaced.
 */
final class Findings
{
    private const NOT_FIT = [Verdict::Watch, Verdict::Act, Verdict::StandDown];

    /** Looks that are read at once, the newest first, until it is known when it was last over. */
    private const READ_AT_ONCE = 50;

    /** Looks by one check that are gone through for its history. */
    private const MOST_LOOKS = 2000;

    /**
     * @param  list<int>  $machineIds
     * @return array<int, list<FindingThread>> the open ones by machine id, the hardest first
     */
    public static function open(array $machineIds): array
    {
        $open = [];
        $accepted = self::accepted($machineIds);
        $said = StandDowns::ofAll($machineIds);
        $mended = self::mended($machineIds);
        foreach (self::everNotFit($machineIds) as $wrong) {
            ['machine_id' => $machine, 'spot_id' => $spot, 'check' => $check, 'latest' => $latest] = $wrong;
            $closed = self::lastOver($spot, $check, max($mended["{$spot} {$check}"] ?? null, $mended[$spot] ?? null), $wrong['stood_down']);
            if ($closed !== null && $closed > $latest) {
                continue;
            }
            $acts = self::telling($spot, $check)->when(
                $accepted["{$spot} {$check}"] ?? $closed,
                fn ($query, string $since) => $query->where('happened_at', '>=', $since),
            )
                ->orderBy('happened_at')->orderBy('id')->get()->toBase();
            $open[$machine] = [
                ...$open[$machine] ?? [],
                ...array_filter(self::threads($acts, $said[$machine] ?? null), fn (FindingThread $thread): bool => $thread->finding->isOpen()),
            ];
        }

        return array_map(function (array $threads): array {
            usort(
                $threads,
                fn (
                    FindingThread $one,
                    FindingThread $other,
                ): int => $other->verdict()->rank() <=> $one->verdict()->rank(),
            );

            return $threads;
        }, array_filter($open));
    }

    /** @return list<FindingThread> everything ever found by one check, oldest first */
    public static function history(int $machineId, string $check): array
    {
        $looks = self::looks($machineId, $check);
        $replaced = Act::query()->standing()
            ->whereIn('spot_id', $looks->pluck('spot_id')->unique())
            ->where(['kind' => ActKind::Replaced, 'outcome' => Outcome::Done])
            ->get();

        return self::threads($looks->concat($replaced)->unique('id'), StandDowns::ofAll([$machineId])[$machineId] ?? null);
    }

    /** @return Collection<int, Act> everything told by one check, the newest first */
    public static function looks(int $machineId, string $check): Collection
    {
        return Act::query()->standing()
            ->whereNotNull('verdict')
            ->where(['machine_id' => $machineId, 'check_key' => $check])
            ->with('person:id,name', 'photos', 'spot', 'doubts')
            ->latest('happened_at')->latest('id')->limit(self::MOST_LOOKS)->get()->toBase();
    }

    /**
     * Two who looked at one thing in one round are told once, by the harder of the two. What was done stands by itself.
     *
     * @param  Collection<int, Act>  $acts  by one check, and the parts replaced at its spot
     * @return list<FindingThread>
     */
    private static function threads(Collection $acts, ?StandDowns $said): array
    {
        $rounds = Entry::query()->whereKey($acts->pluck('entry_id')->unique())->pluck('round_id', 'id');
        $told = [];
        foreach ($acts as $act) {
            $round = $rounds[$act->entry_id] ?? null;
            $occasion = $round === null || $act->putsRight() || $act->kind === ActKind::Lubricated
                ? "alone {$act->id}"
                : "round {$round}";
            $told[$occasion] = isset($told[$occasion]) ? self::harder($told[$occasion], $act) : $act;
        }
        $bySighting = $grown = [];
        foreach ((new Acts($told))->loadMissing('person:id,name', 'photos', 'spot') as $act) {
            $id = $act->toSighting()->id;
            $bySighting[$id] = $act;
            $grown[$id] = self::grown($act);
            $act->words = $grown[$id] ?? $act->words;
        }

        return array_map(fn (Finding $finding): FindingThread => new FindingThread(
            $finding,
            array_map(fn (Sighting $sighting): Act => $bySighting[$sighting->id], $finding->sightings),
            $finding->closedBy === null ? null : $bySighting[$finding->closedBy->id],
            $said,
        ), Finding::ofOneThing(array_values(array_map(
            fn (Act $act): Sighting => $act->toSighting(isset($grown[$act->toSighting()->id])),
            $bySighting,
        ))));
    }

    /** Of two who looked at one thing, the later where they say the same. */
    private static function harder(Act $one, Act $other): Act
    {
        $gravity = fn (Act $act): array => [$act->verdict?->rank(), $act->getRawOriginal('happened_at')];

        return $gravity($other) > $gravity($one) ? $other : $one;
    }

    /** @return Builder<Act> what was told by one check at a spot, and the parts replaced there */
    private static function telling(int $spotId, string $check): Builder
    {
        return Act::query()->standing()->where('spot_id', $spotId)->where(fn ($acts) => $acts
            ->where(fn ($looks) => $looks->where('check_key', $check)->whereNotNull('verdict'))
            ->orWhere(fn ($replaced) => $replaced->where(['kind' => ActKind::Replaced, 'outcome' => Outcome::Done])));
    }

    /**
     * @param  list<int>  $machineIds
     * @return list<array{machine_id: int, spot_id: int, check: string, latest: string, stood_down: string|null}> what was
     *     ever not fit, when last, and when it last stood the machine down
     */
    private static function everNotFit(array $machineIds): array
    {
        return array_values(DB::table('acts')
            ->whereIn('machine_id', $machineIds)
            ->whereIn('verdict', self::NOT_FIT)
            ->whereNull('struck_at')
            ->groupBy('machine_id', 'spot_id', 'check_key')->get(
                [
                    'machine_id',
                    'spot_id',
                    'check_key',
                    DB::raw('max(happened_at) as latest'),
                    DB::raw("max(case when verdict = 'stand_down' then happened_at end) as stood_down"),
                ],
            )
            ->map(
                fn (\stdClass $row): array => [
                    'machine_id' => (int) $row->machine_id,
                    'spot_id' => (int) $row->spot_id,
                    'check' => (string) $row->check_key,
                    'latest' => (string) $row->latest,
                    'stood_down' => $row->stood_down,
                ],
            )->all());
    }

    /**
     * @param  list<int>  $machineIds
     * @return array<string, string> by spot and check, when somebody last said that what is found there may stay
     */
    private static function accepted(array $machineIds): array
    {
        return DB::table('acts')
            ->whereIn('machine_id', $machineIds)
            ->whereIn('verdict', self::NOT_FIT)
            ->where('outcome', Outcome::Accepted)
            ->whereNull('struck_at')
            ->groupBy('spot_id', 'check_key')
            ->get(['spot_id', 'check_key', DB::raw('max(happened_at) as latest')])
            ->mapWithKeys(fn (\stdClass $row): array => ["{$row->spot_id} {$row->check_key}" => (string) $row->latest])
            ->all();
    }

    /**
     * @param  list<int>  $machineIds
     * @return array<int|string, string> when what a check found was last put right, by spot and check; and when a part was
     *     replaced, by spot
     */
    private static function mended(array $machineIds): array
    {
        $over = Act::query()->standing()->whereIn('machine_id', $machineIds)
            ->where(fn ($acts) => $acts->where('verdict', Verdict::Fit)->orWhereNull('verdict'))
            ->groupBy('spot_id');
        $replaced = $over->clone()->where(['kind' => ActKind::Replaced, 'outcome' => Outcome::Done])
            ->toBase()->selectRaw("concat(spot_id, '') as place, max(happened_at) as latest")->pluck('latest', 'place');
        $putRight = $over->where(fn ($acts) => $acts->where('outcome', Outcome::PutRight)->orWhere('kind', ActKind::Lubricated))
            ->groupBy('check_key')
            ->toBase()->selectRaw("concat(spot_id, ' ', check_key) as place, max(happened_at) as latest")->pluck('latest', 'place');

        return $putRight->all() + $replaced->all();
    }

    private static function lastOver(int $spotId, string $check, ?string $mended, ?string $stoodDown): ?string
    {
        $instant = fn (?string $stored): ?\DateTimeImmutable => $stored === null ? null : CarbonImmutable::parse($stored, 'UTC');
        $looks = self::telling($spotId, $check)->whereNotNull('verdict')->toBase()
            ->orderByDesc('happened_at')->orderByDesc('id')
            ->select(['id', 'happened_at', 'verdict'])
            ->selectSub(DB::table('entries')->select('round_id')->whereColumn('entries.id', 'acts.entry_id'), 'round_id')
            ->lazy(self::READ_AT_ONCE)
            ->map(fn (\stdClass $row): Sighting => new Sighting(
                (string) $row->id,
                CarbonImmutable::parse($row->happened_at, 'UTC'),
                Verdict::from($row->verdict),
                occasion: $row->round_id === null ? "act {$row->id}" : "round {$row->round_id}",
            ));

        return Finding::lastOver($instant($mended), $instant($stoodDown), $looks)?->format('Y-m-d H:i:s');
    }

    /**
     * What was accepted with a usual loss a year, held against what was topped up since: told in place of the act's own
     * words where it loses more by now; null where it is as it was accepted.
     */
    private static function grown(Act $accepted): ?string
    {
        $aYear = $accepted->typed['loses_a_year'] ?? null;
        $of = $accepted->typed['of'] ?? null;
        if ($accepted->outcome !== Outcome::Accepted || $aYear === null || $of === null) {
            return null;
        }
        $topUps = DB::table('acts')
            ->join('spots', 'spots.id', '=', 'acts.spot_id')
            ->join('moves', 'moves.act_id', '=', 'acts.id')
            ->where(['spots.machine_id' => $accepted->machine_id, 'spots.key' => $of, 'acts.kind' => ActKind::ToppedUp])
            ->whereNull('acts.struck_at')
            ->whereNotNull('moves.amount');
        $before = $topUps->clone()->where('acts.happened_at', '<=', $accepted->happened_at)->max('acts.happened_at');
        $since = $topUps->where('acts.happened_at', '>', $accepted->happened_at)->orderBy('acts.happened_at')
            ->get(['acts.happened_at', 'amount'])
            ->map(fn (\stdClass $row): array => [
                new \DateTimeImmutable($row->happened_at),
                Quantity::of($row->amount, Unit::Litre),
            ])->all();
        $loss = AcceptedLoss::of(
            Quantity::parse($aYear),
            CarbonImmutable::parse($before ?? $accepted->happened_at)->toDateTimeImmutable(),
            array_values($since),
        );

        return $loss->hasGrown ? $loss->why : null;
    }
}
