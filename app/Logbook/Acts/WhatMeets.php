<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Logbook\Entry;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Machines\Yard;
use Core\Grease\Greasing;
use Core\Grease\Strokes;
use Core\Machine\ActDone;
use Core\Machine\ActKind;
use Core\Machine\OneOccasion;
use Core\Machine\OpeningRole;
use Core\Machine\Outcome;
use Core\Machine\Point;
use Core\Machine\SpotKind;
use Core\Meter\Limit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/**
 * Keeps on each act whether it stands for what tasks ask: from the others of its occasion, and for grease from the
 * strokes shortly before.
 */
final readonly class WhatMeets
{
    /** Greasings further back than so many are never shortly before. */
    private const LOOKED_BACK = 50;

    public function __construct(private GreaseIntervals $intervals, private Yard $yard) {}

    /**
     * After acts of it were written or struck: of one entry, or of all entries of its job.
     *
     * @param  iterable<Act>  $changed
     */
    public function inEntry(Machine $machine, Entry $entry, iterable $changed): void
    {
        if (! collect($changed)->contains(fn (Act $act): bool => OneOccasion::isBound($act->kind, $act->outcome))) {
            return;
        }
        $acts = Act::query()->standing()
            ->where('kind', '!=', ActKind::Lubricated)
            ->when($entry->job_id === null, fn ($acts) => $acts->where('entry_id', $entry->id),
                fn ($acts) => $acts->whereIn(
                    'entry_id',
                    Entry::query()->select('id')->where(['machine_id' => $machine->id, 'job_id' => $entry->job_id]),
                ))->get();
        $stands = OneOccasion::stands(
            array_values($acts->map(fn (Act $act): ActDone => $act->toDone())->all()),
            $acts->contains('kind', ActKind::Filled) ? $this->drains($machine) : [],
        );
        foreach ($acts as $act) {
            $meets = $stands[(string) $act->id] ?? false;
            if ($act->meets !== $meets) {
                $act->update(['meets' => $meets]);
            }
        }
    }

    /** After grease was written or struck: of it, and of what was greased shortly after. */
    public function ofGrease(Act $act): void
    {
        if ($act->kind === ActKind::Lubricated) {
            $before = $this->greasings($act->spot)
                ->where('happened_at', '<', $act->happened_at)
                ->orderByDesc('happened_at')
                ->limit(self::LOOKED_BACK)
                ->get();
            $this->judge(
                $act->spot,
                $before->concat(
                    $this->greasings($act->spot)->where('happened_at', '>=', $act->happened_at)->get(),
                )->toBase(),
            );
        }
    }

    /** After a point takes something else, or is greased by another interval. */
    public function ofPoint(Spot $spot): void
    {
        $this->judge($spot, $this->greasings($spot)->get()->toBase());
    }

    /** @param  Collection<int, Act>  $acts */
    private function judge(Spot $spot, Collection $acts): void
    {
        $greased = $acts->mapWithKeys(fn (Act $act): array => [$act->id => self::greased($act, $this->yard)])->all();
        $strokes = new Strokes($spot->greasePoint(), array_values($greased), $this->intervals->of($spot));
        foreach ($acts as $act) {
            $enough = $strokes->isEnough($greased[$act->id]);
            if ($act->meets !== $enough) {
                $act->update(['meets' => $enough]);
            }
        }
    }

    public static function greased(Act $act, Yard $yard): Greasing
    {
        return new Greasing(
            $act->strokes,
            $act->happened_at,
            new Point($act->run(Limit::Hours), $act->run(Limit::Distance), $yard->dayOf($act->happened_at)),
            $act->sign_seen,
        );
    }

    /** @return Builder<Act> */
    private function greasings(Spot $spot): Builder
    {
        return Act::query()->standing()->where(
            ['spot_id' => $spot->id, 'kind' => ActKind::Lubricated, 'outcome' => Outcome::Done],
        );
    }

    /** @return array<string, list<string>> by compartment */
    private function drains(Machine $machine): array
    {
        $drains = Spot::query()->where(
            [
                'machine_id' => $machine->id,
                'kind' => SpotKind::Opening,
                'role' => OpeningRole::Drain,
                'retired' => false,
            ],
        )->get();

        return $drains->groupBy('parent_id')->mapWithKeys(fn ($ofOne, int|string $compartment): array => [
            (string) $compartment => array_values($ofOne->map(fn (Spot $drain): string => (string) $drain->id)->all()),
        ])->all();
    }
}
