<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Logbook\Stock\Container;
use App\Logbook\Stock\Move;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\Shelf;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Fluid\Suitability;
use Core\Supply\SupplyKind;
use Illuminate\Database\Eloquent\Builder;

/** Where what is poured into a compartment comes from. */
final readonly class Sources
{
    public function __construct(private FluidFit $fit, private Shelf $shelf) {}

    public function of(Machine $machine, Spot $compartment, Source $told): Source
    {
        return $told->container === null
            ? Source::among($told->fluid, $this->open($machine, $compartment, $told->fluid), self::isKept($told->fluid))
            : $told;
    }

    /**
     * The containers that are open and hold what will do; where somebody said what it was, those of that fluid.
     *
     * @return list<Container> with their supplies
     */
    public function open(Machine $machine, Spot $compartment, ?Supply $fluid = null): array
    {
        $fluids = Supply::query()->where(['kind' => SupplyKind::Fluid, 'retired' => false])
            ->when($fluid, fn (Builder $fluids, Supply $one) => $fluids->whereKey($one->id))
            ->orderBy('name')->with('containers')->get();
        $levels = StockLevels::of($fluids->modelKeys());
        $open = [];
        foreach ($fluids as $one) {
            $containers = $one->containers->filter(
                fn (Container $container): bool => $levels->opened($container) !== null
                    && $levels->container($container)->left->isPositive()
                    && ! $this->shelf->life($container, $one, $levels)->isOver,
            );
            if (
                $containers->isNotEmpty()
                && ($fluid !== null || $this->fit->judge($one->bottle(), $machine, $compartment)->answer === Suitability::Yes)
            ) {
                foreach ($containers as $container) {
                    $open[] = $container->setRelation('supply', $one);
                }
            }
        }

        return $open;
    }

    /** Whether anybody keeps book of what there is of a fluid, or of anything. */
    private static function isKept(?Supply $fluid): bool
    {
        return Move::query()->whereIn('kind', MoveKind::KEEPS)
            ->when($fluid, fn (Builder $moves, Supply $one) => $moves->where('supply_id', $one->id))
            ->exists();
    }
}
