<?php

declare(strict_types=1);

namespace Core\Inspect;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** A measure of wear with the limit that it nears. */
final readonly class WearMeasure
{
    /**
     * @param  BigRational  $resolution  one step of the last digit that was written, in the value's unit
     * @param  bool  $falls  whether the part wears down to the limit; otherwise it grows up to it
     */
    public function __construct(
        public Quantity $value,
        public Quantity $limit,
        public BigRational $resolution,
        public bool $falls = true,
    ) {}
}
