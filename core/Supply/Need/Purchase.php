<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** Something to buy. */
final readonly class Purchase
{
    /**
     * @param  Quantity|null  $size  of a fluid: of one container; null of a part, and where nobody knows what it is sold in
     * @param  int|null  $count  null where nobody knows the size
     * @param  Quantity|null  $amount  what is lacking, where nobody knows the size
     * @param  int|null  $lackingOn  since 1970, the day on which the first of it is needed
     * @param  BigRational|null  $cost  of all of them, null where nobody knows
     */
    public function __construct(
        public string $supply,
        public ?Quantity $size,
        public ?int $count,
        public ?Quantity $amount = null,
        public ?BigRational $cost = null,
        public ?int $lackingOn = null,
    ) {}
}
