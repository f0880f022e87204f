<?php

declare(strict_types=1);

namespace App\Machines;

/** Something of some machines was written, changed or struck, so that what follows from it must be reckoned anew. */
final readonly class FactsChanged
{
    /** @param  list<int>  $machineIds */
    public function __construct(public array $machineIds)
    {
    }
}
