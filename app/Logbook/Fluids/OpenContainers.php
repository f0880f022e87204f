<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Logbook\Stock\Container;
use App\Logbook\Stock\FromShelf;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\StockMove;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Fluid\Answer;
use Core\Supply\SupplyKind;

/** The containers that are open and hold what will do for a compartment. */
final readonly class OpenContainers
{
    public function __construct(private FluidFit $fit, private FromShelf $fromShelf)
    {
    }

    /** @return list<Container> with their supplies */
    public function thatWillDo(Machine $machine, Spot $compartment): array
    {
        $fluids = Supply::query()->where(['kind' => SupplyKind::Fluid, 'retired' => false])
            ->orderBy('name')->with('containers')->get();
        $levels = StockLevels::of($fluids->modelKeys());
        $open = [];
        foreach ($fluids as $fluid) {
            $containers = $fluid->containers->filter(
                fn (Container $one): bool => $levels->opened($one) !== null
                    && $levels->container($one)->left->isPositive()
                    && ! $this->fromShelf->life($one, $fluid, $levels)->isOver,
            );
            if (
                $containers->isNotEmpty()
                && $this->fit->judge($fluid->bottle(), $machine, $compartment)->answer === Answer::Yes
            ) {
                foreach ($containers as $container) {
                    $open[] = $container->setRelation('supply', $fluid);
                }
            }
        }

        return $open;
    }

    /** Whether anybody keeps book of what is on the shelf. */
    public function isShelfKept(): bool
    {
        return StockMove::query()->exists();
    }
}
