<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Acts\Act;
use App\Logbook\Acts\ActWords;
use App\Logbook\Photo;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Rulebook\Standings\Reckoning;
use App\Shelf\CompartmentShape;
use App\Shelf\Fitted;
use App\Shelf\LifeShape;
use App\Shelf\PartShape;
use App\Shelf\TakenByTasks;
use App\Walkaround\CheckShape;
use App\Walkaround\FindingThread;
use App\Walkaround\GreaseShape;
use App\Walkaround\TrendShape;
use Brick\Math\BigDecimal;
use Core\Inspect\Check;
use Core\Inspect\CheckList;
use Core\Machine\ActKind;
use Core\Machine\SpotKind;
use Core\Machine\Verdict;
use Illuminate\Support\Collection;

/** All that is known of one spot, as the contract's `SpotStory`. */
final class SpotStory
{
    /** Of each that is told; the rest is in the book. */
    private const LATELY = 8;

    /** Looks that found nothing, of which there are many. */
    private const FINE_LOOKS = 3;

    /** @return array<string, mixed> */
    public static function of(Spot $spot, Reckoning $reckoning, CheckList $list, CompartmentShape $shape): array
    {
        $machine = $reckoning->machine;
        $grease = $spot->kind === SpotKind::GreasePoint ? GreaseShape::of($machine, $reckoning)['points'] : [];
        $told = new ToldRules($reckoning, $grease);
        $named = fn (Spot $other): array => [
            ...$other->only('key', 'name', 'place'),
            'kind' => $other->kind->value,
            'kind_label' => $other->kind->label(),
            'told' => $told->ofSpot($other)['told'],
        ];
        $family = $machine->spots;
        $parent = $family->find($spot->parent_id);
        $children = $family->where('parent_id', $spot->id)->values();
        $acts = self::acts($spot, $children);
        $trends = TrendShape::of($machine, $list, $spot);

        return [
            ...$spot->loadMissing('parent', 'grease')->toRecord(),
            'machine' => $machine->name,
            'today' => $reckoning->today->format('Y-m-d'),
            ...$told->ofSpot($spot),
            'belongs_to' => $parent === null ? null : $named($parent),
            'has' => $children->map($named)->all(),
            'rules' => $told->at($spot),
            'point' => array_column($grease, null, 'id')[$spot->id] ?? null,
            'checks' => array_values(array_map(
                CheckShape::of(...),
                array_filter($list->checks, fn (Check $check): bool => $check->manner->spot === $spot->key),
            )),
            'findings' => array_map(
                fn (FindingThread $finding): array => $finding->toRecord($reckoning->yard),
                $told->foundAt($spot),
            ),
            'wear' => $trends['wear'],
            'consumption' => $trends['consumption'],
            'acts' => $acts->map(
                fn (Act $act): array => [...$act->toRecord(), 'in_words' => ActWords::of($act)],
            )->all(),
            'photos' => self::photos($spot),
            ...self::holds($spot, $machine, $reckoning->now()->hours, $shape),
        ];
    }

    /**
     * What it holds, and what the tasks that are done there take.
     *
     * @param  BigDecimal|null  $now  hours run by now
     * @return array<string, mixed> `fluid`, `part_place` and `takes` of the contract's `SpotStory`
     */
    private static function holds(Spot $spot, Machine $machine, ?BigDecimal $now, CompartmentShape $shape): array
    {
        $spots = $machine->loadMissing('spots.sheet')->spots;
        $own = $spots->find($spot->id) ?? $spot;
        $fitted = Fitted::at($spots->pluck('id')->all());

        return [
            'fluid' => $own->kind !== SpotKind::Compartment ? null : [
                ...$shape->of($machine, $own, $spots),
                'life' => LifeShape::of($spots->find($own->shares_with_id) ?? $own, $spots, $now)->told(),
            ],
            'part_place' => $own->kind === SpotKind::Part ? PartShape::of($own, $spots, $fitted) : null,
            'takes' => (new TakenByTasks($machine, $spots, $fitted))->at($own),
        ];
    }

    /**
     * @param  Collection<int, Spot>  $children
     * @return Collection<int, Act> the last ones there and at its openings, newest first; of those who only saw that it
     *     is fine the last few
     */
    private static function acts(Spot $spot, Collection $children): Collection
    {
        $acts = Act::query()->standing()
            ->whereIn('spot_id', [$spot->id, ...$children->where('kind', SpotKind::Opening)->pluck('id')])
            ->with('spot', 'person:id,name', 'photos', 'moved.source', 'fitting', 'doubts')
            ->latest('happened_at')->latest('id');
        $told = fn ($acts) => $acts
            ->where('kind', '!=', ActKind::Looked)
            ->orWhereNull('verdict')
            ->orWhere('verdict', '!=', Verdict::Fit);
        $fine = ['kind' => ActKind::Looked, 'verdict' => Verdict::Fit];

        return $acts->clone()->where($told)->limit(self::LATELY)->get()
            ->concat($acts->clone()->where($fine)->limit(self::FINE_LOOKS)->get())
            ->sortByDesc(fn (Act $act): array => [$act->happened_at, $act->id])->values()->toBase();
    }

    /** @return list<array{id: string, at: string, of: string}> */
    private static function photos(Spot $spot): array
    {
        return array_values(Photo::query()
            ->join('acts', 'acts.uuid', '=', 'photos.act')
            ->where('acts.spot_id', $spot->id)->whereNull('acts.struck_at')
            ->orderByDesc('acts.happened_at')->orderByDesc('photos.id')
            ->limit(self::LATELY)
            ->get(['photos.uuid', 'acts.happened_at', 'acts.title'])
            ->toBase()
            ->map(fn (Photo $photo): array => [
                'id' => $photo->uuid,
                'at' => (new \DateTimeImmutable((string) $photo->getAttribute('happened_at')))->format(DATE_ATOM),
                'of' => (string) $photo->getAttribute('title'),
            ])->all());
    }
}
