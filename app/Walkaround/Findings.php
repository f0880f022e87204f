<?php

declare(strict_types=1);

namespace App\Walkaround;

use Core\Inspect\Finding;
use Core\Inspect\Verdict;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

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
        $looks = new Collection;
        foreach (self::everNotFit($machineIds) as ['machine_id' => $machine, 'subject' => $subject, 'latest' => $latest]) {
            $closed = self::lastClosed($machine, $subject);
            if ($closed === null || $closed <= $latest) {
                $looks = $looks->concat(Observation::query()->telling()->where(['machine_id' => $machine, 'subject' => $subject])
                    ->when($closed, fn ($query, string $closed) => $query->where('happened_at', '>=', $closed))->with('person:id,name', 'photos')->orderBy('happened_at')->orderBy('id')->get());
            }
        }
        $open = [];
        foreach ($looks->groupBy(['machine_id', 'subject']) as $machine => $subjects) {
            $threads = $subjects->flatMap(fn (Collection $looks): array => array_filter(self::threads($looks), fn (FindingThread $thread): bool => $thread->finding->isOpen()))->values()->all();
            if ($threads === []) {
                continue;
            }
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
        $looks = $looks->groupBy(fn (Observation $look): string => $look->round_id === null || $look->said === Said::Mended ? "alone {$look->id}" : "round {$look->round_id}")
            ->map(fn (Collection $same): Observation => $same->sortBy([fn (Observation $one, Observation $other): int => [$other->verdict?->rank(), $other->happened_at] <=> [$one->verdict?->rank(), $one->happened_at]])->firstOrFail())
            ->keyBy(fn (Observation $look): string => $look->toSighting()->id);

        return array_map(fn (Finding $finding): FindingThread => new FindingThread(
            $finding,
            array_map(fn ($sighting): Observation => $looks[$sighting->id], $finding->sightings),
            $finding->closedBy === null ? null : $looks[$finding->closedBy->id],
        ), Finding::ofOneThing(array_values($looks->map(fn (Observation $look) => $look->toSighting())->all())));
    }

    /**
     * @param  list<int>  $machineIds
     * @return list<array{machine_id: int, subject: string, latest: string}> what was ever not fit, and when last
     */
    private static function everNotFit(array $machineIds): array
    {
        return array_values(DB::table('observations')->whereIn('machine_id', $machineIds)->whereIn('verdict', self::NOT_FIT)->whereNull('struck_at')
            ->groupBy('machine_id', 'subject')->get(['machine_id', 'subject', DB::raw('max(happened_at) as latest')])
            ->map(fn (object $row): array => ['machine_id' => (int) $row->machine_id, 'subject' => (string) $row->subject, 'latest' => (string) $row->latest])->all());
    }

    /** When it was last put right or seen fit by everybody who looked at it in that round; from the newest look back, so that it is soon found. */
    private static function lastClosed(int $machineId, string $subject): ?string
    {
        return DB::table('observations as closing')->where(['machine_id' => $machineId, 'subject' => $subject, 'verdict' => Verdict::Fit])->whereNull('struck_at')
            ->where(fn ($sound) => $sound->where('said', Said::Mended)->orWhereNotExists(fn ($worse) => $worse->from('observations as worse')->whereColumn('worse.round_id', 'closing.round_id')
                ->whereColumn('worse.subject', 'closing.subject')->whereNull('worse.struck_at')->whereIn('worse.verdict', self::NOT_FIT)))
            ->orderByDesc('happened_at')->value('happened_at');
    }
}
