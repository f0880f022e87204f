<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By its window: the middle of the glass, cold. */
final readonly class ByGlass extends Filling
{
    public function says(Circuit $circuit): string
    {
        $how = $circuit->holder->protocol?->inWords() ?? 'on level ground';

        return "Read {$circuit->name} at its window, at the middle of the glass: {$how}.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} slowly until it stands at the middle of the glass";
    }
}
