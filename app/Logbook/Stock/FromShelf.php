<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use App\Logbook\Acts\Act;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Machines\Yard;
use Brick\Math\BigDecimal;
use Core\Machine\ActKind;
use Core\Machine\SpotKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\Stock\Drawing;
use Core\Supply\Stock\OnShelf;
use Core\Supply\Stock\ShelfLife;
use Illuminate\Support\Collection;

/** Takes from the shelf what an act uses, where the yard keeps book of it, and says where something is amiss. */
final readonly class FromShelf
{
    public function __construct(private Yard $yard)
    {
    }

    /** Whoever pours of a fluid waits for whoever else does, before anything of theirs names it: else both would wait. */
    public function claim(Supply $fluid): void
    {
        Supply::query()->whereKey($fluid->id)->lockForUpdate()->first(['id']);
    }

    /** What was poured: out of the container that was named, else out of what is open, then out of new ones. */
    public function pour(Act $act, Supply $fluid, BigDecimal $litres, ?string $typed, ?Container $named): void
    {
        $levels = $this->locked($fluid);
        if ($levels === null) {
            return;
        }
        $drawing = Drawing::of($litres, $this->onShelf($fluid, $levels));
        $draws = $named === null ? $drawing->draws : [[$named->id, $litres]];
        foreach ($draws as [$container, $amount]) {
            self::write($act, $fluid, $amount, $container, count($draws) === 1 ? $typed : null);
        }
        if ($named !== null && $levels->container($named)->left->isLessThan($litres)) {
            self::doubt($act, "There was less in the {$named->size} {$fluid->name} by the book. Count what is left.");
        }
        if ($named === null && ! $drawing->unfound->isZero()) {
            self::write($act, $fluid, $drawing->unfound, null, null);
            $lacking = Quantity::of($drawing->unfound, Unit::Litre)->display();
            self::doubt($act, "{$lacking} of it came from no {$fluid->name} that is on the shelf by the book. Count it.");
        }
    }

    /** What was fitted: the number that was named, else the one that belongs there, and its seal unless it was used again. */
    public function fit(Act $act, Spot $spot): void
    {
        $fitting = $act->fitting;
        $isReused = $fitting?->reused === true;
        $part = $spot->kind === SpotKind::Part ? Sheets::part($spot) : null;
        if ($act->kind === ActKind::Replaced && ! $act->isOldAgain()) {
            $this->takeOne($act, match (true) {
                $fitting?->number !== null => [$fitting->number],
                $part !== null => [...$part->makersNumbers(), ...$part->equivalentNumbers()],
                default => [],
            });
        }
        if (! $isReused && in_array($act->kind, [ActKind::Replaced, ActKind::Closed], true)) {
            $seal = $spot->kind === SpotKind::Opening && $act->kind === ActKind::Closed ? Sheets::opening($spot)->seal : $part?->seal;
            $this->takeOne($act, array_filter([$fitting?->seal ?? $seal]));
        }
    }

    /** @param  array<string>  $numbers  any of which will do, the first that is there */
    private function takeOne(Act $act, array $numbers): void
    {
        $supplies = (new Collection($numbers))->map(Supply::ofNumber(...))->filter()->values();
        $ids = $supplies->pluck('id')->sort()->values()->all();
        if ($ids === []) {
            return;
        }
        Supply::query()->whereKey($ids)->orderBy('id')->lockForUpdate()->get(['id']);
        $levels = StockLevels::of($ids);
        $kept = $supplies->filter(fn (Supply $supply): bool => $levels->isKept($supply->id));
        $taken = $kept->first(fn (Supply $supply): bool => $levels->supply($supply->id)->left->isPositive())
            ?? $kept->first();
        if ($taken === null) {
            return;
        }
        self::write($act, $taken, BigDecimal::one(), null, null);
        if (! $levels->supply($taken->id)->left->isPositive()) {
            self::doubt($act, "By the book there was no {$taken->name} left. Count it.");
        }
    }

    /** Whoever takes of a fluid waits for whoever else does; null where nobody keeps book of it. */
    private function locked(Supply $fluid): ?StockLevels
    {
        $this->claim($fluid);
        $levels = StockLevels::of([$fluid->id]);

        return $levels->isKept($fluid->id) ? $levels : null;
    }

    /** @return list<OnShelf> */
    public function onShelf(Supply $fluid, StockLevels $levels): array
    {
        return array_values($fluid->containers->map(fn (Container $container): OnShelf => new OnShelf(
            $container->id,
            $levels->container($container)->left,
            $levels->opened($container),
            $this->life($container, $fluid, $levels)->isOver,
        ))->all());
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

    private static function write(Act $act, Supply $supply, BigDecimal $amount, ?int $container, ?string $typed): void
    {
        StockMove::query()->create([
            'entry_id' => $act->entry_id,
            'act_id' => $act->id,
            'supply_id' => $supply->id,
            'container_id' => $container,
            'kind' => StockKind::Out,
            'amount' => (string) $amount,
            'typed' => $typed,
            'happened_at' => $act->happened_at,
        ]);
    }

    private static function doubt(Act $act, string $what): void
    {
        $act->entry->doubt = trim("{$act->entry->doubt} {$what}");
    }
}
