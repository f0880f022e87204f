<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By measure: what its book says goes in whole, and nothing is read. */
final readonly class ByMeasure extends Filling
{
    public function says(Circuit $circuit): string
    {
        throw new \LogicException("Nothing tells where {$circuit->name} stands.");
    }

    protected function until(Circuit $circuit): string
    {
        return "Measure it out and pour the whole into {$circuit->name}: there is nothing to read it by";
    }
}
