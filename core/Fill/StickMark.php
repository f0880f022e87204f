<?php

declare(strict_types=1);

namespace Core\Fill;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** A reading of a stick while it is being filled. */
final readonly class StickMark
{
    /**
     * @param  BigRational  $level  0 at the add mark, 1 at the full mark
     * @param  Quantity|null  $poured  since the reading before it
     * @param  bool  $ran  since the reading before it, so that the filter or the galleries drank
     */
    public function __construct(public BigRational $level, public ?Quantity $poured, public bool $ran = false) {}
}
