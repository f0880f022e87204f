<?php

declare(strict_types=1);

namespace App\Machines;

/** A spot takes something else than before. */
final readonly class SpotChanged
{
    public function __construct(public Spot $spot) {}
}
