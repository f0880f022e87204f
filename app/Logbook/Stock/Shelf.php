<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Logbook\Acts\Act;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Machines\Yard;
use Core\Machine\ActKind;
use Core\Machine\SpotKind;
use Core\Supply\Stock\ShelfLife;
use Illuminate\Support\Collection;

/** What stands on the shelf: taken from where the yard keeps book of it. */
final readonly class Shelf
{
    public function __construct(private Yard $yard) {}

    /** Whoever pours of a fluid waits for whoever else does, before anything of theirs names it: else both would wait. */
    public function claim(Supply $fluid): void
    {
        Supply::query()->whereKey($fluid->id)->lockForUpdate()->first(['id']);
    }

    /**
     * What was fitted: the number that was named, else the one that belongs there, and its seal unless it was used
     * again.
     *
     * @return list<string> what there is to ask
     */
    public function takeWhatWasFitted(Act $act, Spot $spot): array
    {
        $fitting = $act->fitting;
        $isReused = $fitting?->reused === true;
        $part = $spot->kind === SpotKind::Part ? Sheets::part($spot) : null;
        $doubts = [];
        if ($act->kind === ActKind::Replaced && ! $act->isOldAgain()) {
            $doubts[] = $this->takeOne($act, match (true) {
                $fitting?->number !== null => [$fitting->number],
                $part !== null => [...$part->numbers->makersNumbers(), ...$part->numbers->equivalentNumbers()],
                default => [],
            });
        }
        if (! $isReused) {
            $seal = $spot->kind === SpotKind::Opening && $act->kind === ActKind::Closed ? Sheets::opening($spot)->seal : $part?->fitting->seal;
            $doubts[] = $this->takeOne($act, array_filter([$fitting->seal ?? $seal]));
        }

        return array_values(array_filter($doubts));
    }

    /**
     * @param  array<string>  $numbers  any of which will do, the first that is there
     * @return string|null what there is to ask
     */
    private function takeOne(Act $act, array $numbers): ?string
    {
        $supplies = (new Collection($numbers))->map(Supply::ofNumber(...))->filter()->values();
        $ids = $supplies->pluck('id')->sort()->values()->all();
        if ($ids === []) {
            return null;
        }
        Supply::query()->whereKey($ids)->orderBy('id')->lockForUpdate()->get(['id']);
        $levels = StockLevels::of($ids);
        $kept = $supplies->filter(fn (Supply $supply): bool => $levels->isKept($supply->id));
        $isThere = fn (Supply $supply): bool => $levels->supply($supply->id)->left->isPositive();
        $taken = $kept->first($isThere) ?? $kept->first();
        if ($taken === null) {
            return null;
        }
        Move::query()->create([
            'entry_id' => $act->entry_id,
            'act_id' => $act->id,
            'kind' => MoveKind::Fitted,
            'to_spot_id' => $act->spot_id,
            'supply_id' => $taken->id,
            'amount' => '1',
            'happened_at' => $act->happened_at,
        ]);

        return $isThere($taken) ? null : "By the book there was no {$taken->name} left. Count it.";
    }

    public function life(Container $container, Supply $fluid, StockLevels $levels): ShelfLife
    {
        $opened = $levels->opened($container);

        return ShelfLife::of(
            $opened === null ? null : $this->yard->dayOf($opened),
            $fluid->keeps_months,
            $container->use_by,
            $this->yard->today(),
        );
    }
}
