<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Logbook\Stock\Shelf;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\ContainerSize;
use Core\Supply\Need\FluidStock;
use Core\Supply\Need\PartStock;
use Core\Supply\PartNumber;
use Illuminate\Database\Eloquent\Collection;

/** All that is kept, as needs are reckoned against it. */
final readonly class ShelfStock
{
    /** @var Collection<int, Supply> by id */
    public Collection $supplies;

    /** @var list<FluidStock> each known by its supply's id */
    public array $fluids;

    /** @var list<PartStock> */
    public array $parts;

    /** @var array<int, true> the fluids of which there is any */
    private array $there;

    /** @var list<string> what stands there and is not counted on */
    public array $says;

    public function __construct(private Shelf $shelf)
    {
        $this->supplies = Supply::query()->where('retired', false)->orderBy('name')->with('containers')->get()->keyBy('id');
        $levels = StockLevels::of();
        $fluids = $parts = $says = $there = [];
        foreach ($this->supplies as $supply) {
            if ($supply->isFluid()) {
                $fluid = $this->fluid($supply, $levels, $says);
                $fluids[] = $fluid;
                if ($fluid->unopened !== [] || $fluid->open?->value->isZero() === false) {
                    $there[$supply->id] = true;
                }
            } else {
                $parts[] = new PartStock(
                    (string) $supply->number,
                    $levels->supply($supply->id)->usable()->toInt(),
                    $supply->soldIn()->piece(),
                );
            }
        }
        $this->fluids = $fluids;
        $this->parts = $parts;
        $this->says = $says;
        $this->there = $there;
    }

    public function ofNumber(string $number): ?Supply
    {
        $bare = PartNumber::bare($number);

        return $this->supplies->first(fn (Supply $supply): bool => $supply->bare_number === $bare);
    }

    /** Whether there is any of a fluid. */
    public function isThere(int $supply): bool
    {
        return isset($this->there[$supply]);
    }

    /** @param  list<string>  $says */
    private function fluid(Supply $supply, StockLevels $levels, array &$says): FluidStock
    {
        $open = Quantity::of(0, Unit::Litre);
        $unopened = [];
        foreach ($supply->containers as $container) {
            $left = $levels->container($container)->usable();
            if ($left->isZero()) {
                continue;
            }
            $life = $this->shelf->life($container, $supply, $levels);
            if ($life->isOver) {
                $says[] = "The {$container->size} {$supply->name} is not counted on. {$life->why}";
            } elseif ($left->isLessThan($container->full())) {
                $open = $open->plus(Quantity::of($left, Unit::Litre));
            } else {
                $unopened[$container->litres][] = $container;
            }
        }

        return new FluidStock((string) $supply->id, $open, array_values(array_map(
            fn (array $alike): ContainerSize => new ContainerSize(
                Quantity::parse($alike[0]->size),
                count: count($alike),
            ),
            $unopened,
        )), $supply->soldIn()->sizes());
    }
}
