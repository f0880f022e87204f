<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Supply\Stock\StockLevel;
use Illuminate\Support\Facades\DB;

/** What there is of some supplies, from all that was told of them, in whichever order it came in. */
final readonly class StockLevels
{
    /** @param  array<int, array<int, object>>  $sums  by supply, by container; 0 for what came from none that is known */
    private function __construct(private array $sums)
    {
    }

    /** @param  list<int>|null  $supplies  null for all */
    public static function of(?array $supplies = null): self
    {
        $moves = DB::table('stock_moves as moves')
            ->join('entries', 'entries.id', '=', 'moves.entry_id')
            ->leftJoin('acts', 'acts.id', '=', 'moves.act_id')
            ->leftJoin('containers', 'containers.id', '=', 'moves.container_id')
            ->whereNull('entries.struck_at')
            ->whereNull('acts.struck_at')
            ->when($supplies, fn ($moves, array $ids) => $moves->whereIn('moves.supply_id', $ids))
            ->selectRaw(
                'moves.*, containers.litres as holds, sum(moves.kind = ?) over (partition by moves.supply_id, moves.container_id'
                    .' order by moves.happened_at desc, moves.id desc rows unbounded preceding) as counts',
                [StockKind::Counted->value],
            );
        $sums = [];
        foreach (DB::query()->fromSub($moves, 'moves')->groupBy('supply_id', 'container_id')->selectRaw(
            'supply_id, container_id, max(if(counts = 1 and kind = ?, amount, null)) as counted,'
                .' sum(if(counts = 0 and kind = ?, amount, 0)) as came, sum(if(counts = 0 and kind = ?, amount, 0)) as went,'
                .' min(if(kind = ? or (kind = ? and amount < holds), happened_at, null)) as opened',
            [
                StockKind::Counted->value,
                StockKind::In->value,
                StockKind::Out->value,
                StockKind::Out->value,
                StockKind::Counted->value,
            ],
        )->get() as $row) {
            $sums[(int) $row->supply_id][(int) $row->container_id] = $row;
        }

        return new self($sums);
    }

    /** Of everything known of a supply: litres, or pieces. */
    public function supply(int $supply): StockLevel
    {
        $levels = array_map(self::level(...), $this->sums[$supply] ?? []);

        return array_reduce(
            $levels,
            fn (StockLevel $sum, StockLevel $one): StockLevel => $sum->plus($one),
            StockLevel::none(),
        );
    }

    public function container(Container $container): StockLevel
    {
        return self::level($this->sums[$container->supply_id][$container->id] ?? null);
    }

    /** What was used and came from no container that is known. */
    public function fromNowhere(int $supply): StockLevel
    {
        return self::level($this->sums[$supply][0] ?? null);
    }

    /** Whether anybody ever told of what there is of it. */
    public function isKept(int $supply): bool
    {
        return isset($this->sums[$supply]);
    }

    /** When something was first taken out of it, or it was first found less than full. */
    public function opened(Container $container): ?CarbonImmutable
    {
        $opened = ($this->sums[$container->supply_id][$container->id] ?? null)?->opened;

        return $opened === null ? null : CarbonImmutable::parse($opened);
    }

    private static function level(?object $sums): StockLevel
    {
        return $sums === null ? StockLevel::none() : StockLevel::of(
            $sums->counted === null ? null : BigDecimal::of($sums->counted),
            BigDecimal::of($sums->came),
            BigDecimal::of($sums->went),
        );
    }
}
