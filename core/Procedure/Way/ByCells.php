<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** Of a battery: distilled water, plates covered, up to the ring, after charging. */
final readonly class ByCells extends Filling
{
    public function says(Circuit $circuit): string
    {
        return "Look into every cell of {$circuit->name}, charged and standing: the plates are covered, up to the ring.";
    }

    public function tops(Circuit $circuit): string
    {
        return "Add distilled water to the low cells of {$circuit->name}, up to the ring and no higher; caps back on, wiped dry.";
    }

    protected function until(Circuit $circuit): string
    {
        throw new \LogicException("{$circuit->name} is topped up and never changed.");
    }
}
