<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Core\Measure\Quantity;

/** An amount of a fluid for one compartment. */
final readonly class FluidNeed
{
    /**
     * @param  string  $fluid  what it is called on the shelf
     * @param  int|null  $day  since 1970, on which it will be needed; null where that does not matter
     */
    public function __construct(
        public string $fluid,
        public Quantity $amount,
        public string $for,
        public ?int $day = null,
    ) {}
}
