<?php

declare(strict_types=1);

namespace Core\Fill;

use Core\Measure\Quantity;

/** What runs out of one drain. */
final readonly class Drain
{
    /** @param  string  $fluid  unlike ones share no pan */
    public function __construct(public string|int $name, public Quantity $amount, public string $fluid = '') {}
}
