<?php

declare(strict_types=1);

namespace App\Machines;

/** Something of some machines was written, changed or struck, so that what follows from it must be reckoned anew. */
final readonly class FactsChanged
{
    /**
     * @param  list<int>  $machineIds
     * @param  bool  $byReadingAlone  whether nothing was looked at or done on them, and only their meters were read
     */
    public function __construct(public array $machineIds, public bool $byReadingAlone = false) {}
}
