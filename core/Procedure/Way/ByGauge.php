<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By its gauge, or by looking into its filler. */
final readonly class ByGauge extends Filling
{
    public function says(Circuit $circuit): string
    {
        $how = $circuit->holder->protocol?->inWords() ?? 'on level ground';

        return "Read {$circuit->name} by its gauge: {$how}.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} and leave room under the cap";
    }
}
