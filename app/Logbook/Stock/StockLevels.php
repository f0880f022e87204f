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
    /** @param  array<int, array<int, \stdClass>>  $sums  by supply, by container; 0 for what came from none that is known */
    private function __construct(private array $sums) {}

    /** @param  array<int|string>|null  $supplies  null for all */
    public static function of(?array $supplies = null): self
    {
        $moves = DB::table('moves')
            ->join('entries', 'entries.id', '=', 'moves.entry_id')
            ->leftJoin('acts', 'acts.id', '=', 'moves.act_id')
            ->leftJoin('containers', 'containers.id', '=', DB::raw('coalesce(from_container_id, to_container_id)'))
            ->whereNull('entries.struck_at')
            ->whereNull('acts.struck_at')
            ->where('moves.kind', '!=', MoveKind::Drained)
            ->when($supplies === null, fn ($moves) => $moves->whereNotNull('moves.supply_id'), fn ($moves) => $moves->whereIn('moves.supply_id', $supplies ?? []))
            ->selectRaw(
                'moves.supply_id, moves.kind, moves.amount, moves.happened_at, coalesce(from_container_id, to_container_id) as container_id, containers.litres as holds,'
                    .' moves.kind in (?, ?) as uses, min(if(moves.kind in (?, ?), moves.happened_at, null)) over (partition by moves.supply_id) as kept_since,'
                    .' sum(moves.kind = ?) over (partition by moves.supply_id, coalesce(from_container_id, to_container_id)'
                    .' order by moves.happened_at desc, moves.id desc rows unbounded preceding) as counts',
                [...MoveKind::USES, ...MoveKind::KEEPS, MoveKind::Counted],
            );
        $sums = [];
        // What was used before anybody kept book of it came from what the book never knew.
        foreach (DB::query()->fromSub($moves, 'moves')->where('happened_at', '>=', DB::raw('kept_since'))->groupBy('supply_id', 'container_id')->selectRaw(
            'supply_id, container_id, max(if(counts = 1 and kind = ?, amount, null)) as counted,'
                .' sum(if(counts = 0 and kind = ?, amount, 0)) as came, sum(if(counts = 0 and uses, coalesce(amount, 0), 0)) as went,'
                .' min(if(uses or (kind = ? and amount < holds), happened_at, null)) as opened',
            [MoveKind::Counted, MoveKind::Came, MoveKind::Counted],
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

    private static function level(?\stdClass $sums): StockLevel
    {
        return $sums === null ? StockLevel::none() : StockLevel::of(
            $sums->counted === null ? null : BigDecimal::of($sums->counted),
            BigDecimal::of($sums->came),
            BigDecimal::of($sums->went),
        );
    }
}
