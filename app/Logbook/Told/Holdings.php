<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Logbook\Acts\Act;
use App\Logbook\Fluids\FluidFit;
use App\Logbook\Fluids\Source;
use App\Logbook\Fluids\Sources;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\Shelf;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use Core\Fluid\Suitability;
use Core\Machine\ActKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What machines and the shelf hold, and what belongs where: whatever is told is held against it. */
final readonly class Holdings
{
    /** Top-ups that show what is usual. */
    private const USUALLY = 12;

    public function __construct(private FluidFit $fit, private Sources $sources, private Shelf $shelf) {}

    /** Whoever else pours of the same fluid waits from here on. */
    public function source(Machine $machine, Spot $compartment, Source $told): Source
    {
        $source = $this->sources->of($machine, $compartment, $told);
        if ($source->fluid !== null) {
            $this->shelf->claim($source->fluid);
        }

        return $source;
    }

    /** Why a fluid will not do for a compartment; null where it will, or nobody can tell. */
    public function wrong(Supply $fluid, Machine $machine, Spot $compartment): ?string
    {
        $judged = $this->fit->judge($fluid->bottle(), $machine, $compartment);

        return $judged->answer === Suitability::No ? $judged->reasons[0]->why : null;
    }

    /** The most that a compartment holds; null where nobody has written it down. */
    public function holds(Spot $compartment): ?Quantity
    {
        return Sheets::holds($compartment, Spot::query()->where('parent_id', $compartment->id)->get());
    }

    /** @return list<Quantity> */
    public function toppedUpBefore(Spot $compartment): array
    {
        return array_values(Act::query()->standing()
            ->where(['spot_id' => $compartment->id, 'kind' => ActKind::ToppedUp])
            ->with('moved')->latest('happened_at')->latest('id')->limit(self::USUALLY)->get()
            ->map(fn (Act $act): ?Quantity => $act->poured())
            ->filter()->all());
    }

    /** What is in a container by the book. */
    public function left(Container $container): Quantity
    {
        return Quantity::of((string) StockLevels::of([$container->supply_id])->container($container)->left, Unit::Litre);
    }

    public function takeWhatWasFitted(Act $act, Spot $spot): void
    {
        foreach ($this->shelf->takeWhatWasFitted($act, $spot) as $asks) {
            $act->entry->doubt($asks, $act);
        }
    }
}
