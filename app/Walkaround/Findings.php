<?php

declare(strict_types=1);

namespace App\Walkaround;

use Core\Inspect\Finding;
use Core\Inspect\Verdict;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** What was found on machines and how it goes on, computed from the looks. */
final class Findings
{
    private const NOT_FIT = [Verdict::Watch, Verdict::Act, Verdict::StandDown];

    /** Looks at one thing that are gone through for its history. */
    private const MOST_LOOKS = 2000;

    /**
     * @param  list<int>  $machineIds
     * @return array<int, list<FindingThread>> the open ones by machine id, the hardest first
     */
    public static function open(array $machineIds): array
    {
        $looks = Observation::query()->telling()->whereIn('machine_id', $machineIds)->whereIn('verdict', self::NOT_FIT)
            ->whereNotExists(fn ($later) => $later->from('observations as closing')->whereColumn('closing.machine_id', 'observations.machine_id')->whereColumn('closing.subject', 'observations.subject')
                ->whereNull('closing.struck_at')->where('closing.verdict', Verdict::Fit)->whereColumn('closing.happened_at', '>', 'observations.happened_at')
                ->where(fn ($sound) => $sound->where('closing.mended', true)->orWhereNotExists(self::saidWorseInTheSameRound(...))))
            ->with('person:id,name', 'photos')->orderBy('happened_at')->orderBy('id')->get();
        $open = [];
        foreach ($looks->groupBy(['machine_id', 'subject']) as $machine => $subjects) {
            $threads = $subjects->map(fn (Collection $looks): FindingThread => self::threads($looks)[0])->values()->all();
            usort($threads, fn (FindingThread $one, FindingThread $other): int => $other->latest()->verdict?->rank() <=> $one->latest()->verdict?->rank());
            $open[$machine] = $threads;
        }

        return $open;
    }

    /** @return list<FindingThread> everything ever found of one thing, oldest first */
    public static function history(int $machineId, string $subject): array
    {
        return self::threads(self::looks($machineId, $subject));
    }

    /** @return Collection<int, Observation> every look at one thing, the newest first */
    public static function looks(int $machineId, string $subject): Collection
    {
        return Observation::query()->telling()->where(['machine_id' => $machineId, 'subject' => $subject])->with('person:id,name', 'photos')
            ->latest('happened_at')->latest('id')->limit(self::MOST_LOOKS)->get()->toBase();
    }

    /**
     * Two who looked at one thing in one round are told once, by the harder of the two.
     *
     * @param  Collection<int, Observation>  $looks  at one thing
     * @return list<FindingThread>
     */
    private static function threads(Collection $looks): array
    {
        $looks = $looks->groupBy(fn (Observation $look): string => $look->round_id === null || $look->mended ? "alone {$look->id}" : "round {$look->round_id}")
            ->map(fn (Collection $same): Observation => $same->sortBy([fn (Observation $one, Observation $other): int => [$other->verdict?->rank(), $other->happened_at] <=> [$one->verdict?->rank(), $one->happened_at]])->firstOrFail())
            ->keyBy(fn (Observation $look): string => $look->toSighting()->id);

        return array_map(fn (Finding $finding): FindingThread => new FindingThread(
            $finding,
            array_map(fn ($sighting): Observation => $looks[$sighting->id], $finding->sightings),
            $finding->closedBy === null ? null : $looks[$finding->closedBy->id],
        ), Finding::ofOneThing(array_values($looks->map(fn (Observation $look) => $look->toSighting())->all())));
    }

    /** @param  Builder<Observation>|\Illuminate\Database\Query\Builder  $worse */
    private static function saidWorseInTheSameRound(Builder|\Illuminate\Database\Query\Builder $worse): void
    {
        $worse->from('observations as worse')->whereColumn('worse.round_id', 'closing.round_id')->whereColumn('worse.subject', 'closing.subject')
            ->whereNull('worse.struck_at')->whereIn('worse.verdict', self::NOT_FIT);
    }
}
