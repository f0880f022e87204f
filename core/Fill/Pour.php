<?php

declare(strict_types=1);

namespace Core\Fill;

use Core\Measure\Quantity;

/** One stage of a fill: how much goes in, how much is in then, and what follows. */
final readonly class Pour
{
    public function __construct(public Quantity $amount, public Quantity $total, public AfterPour $then) {}
}
