<?php

declare(strict_types=1);

namespace Core\Supply;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** A container in which a fluid is sold, or stands on the shelf unopened. */
final readonly class ContainerSize
{
    /**
     * @param  BigRational|null  $price  of one, null where nobody knows
     * @param  int|null  $count  how many stand there unopened; null of what can be bought
     */
    public function __construct(public Quantity $size, public ?BigRational $price = null, public ?int $count = null) {}
}
