<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Core\Measure\Quantity;
use Core\Supply\ContainerPlan;

/** A fluid that is needed, for all jobs together. */
final readonly class NeededFluid
{
    /**
     * @param  Quantity  $have  on the shelf, opened or not
     * @param  Quantity  $short  nothing where the shelf covers it
     * @param  list<string>  $for
     * @param  int|null  $lackingOn  since 1970, the first day for which what is there does not do
     */
    public function __construct(
        public string $fluid,
        public Quantity $amount,
        public Quantity $have,
        public Quantity $short,
        public array $for,
        public ContainerPlan $plan,
        public ?int $lackingOn,
    ) {}
}
