<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Core\Measure\Quantity;
use Core\Supply\ContainerSize;

/** What there is of a fluid, and what it can be bought in. */
final readonly class FluidStock
{
    /**
     * @param  Quantity|null  $open  in containers that are open
     * @param  list<ContainerSize>  $unopened  with their counts
     * @param  list<ContainerSize>  $sizes  that can be bought; prices of all or of none
     */
    public function __construct(
        public string $fluid,
        public ?Quantity $open = null,
        public array $unopened = [],
        public array $sizes = [],
    ) {}

    /** All that is there, in a unit. */
    public function amountLike(Quantity $need): Quantity
    {
        $amount = Quantity::of(0, $need->unit);
        foreach ($this->unopened as $size) {
            $amount = $amount->plus(
                Quantity::of($size->size->value->multipliedBy($size->count ?? 0), $size->size->unit),
            );
        }

        return $this->open === null ? $amount : $amount->plus($this->open);
    }
}
