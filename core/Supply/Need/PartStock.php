<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Brick\Math\BigRational;

/** How many of a part there are, and what one costs. */
final readonly class PartStock
{
    /** @param  BigRational|null  $price  null where nobody knows */
    public function __construct(public string $number, public int $count = 0, public ?BigRational $price = null) {}
}
