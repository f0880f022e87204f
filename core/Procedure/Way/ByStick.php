<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By its stick, wiped first: in stages, never the whole of the book's figure blind. */
final readonly class ByStick extends Filling
{
    public function says(Circuit $circuit): string
    {
        $how = $circuit->holder->protocol?->inWords() ?? 'on level ground';

        return "Wipe the stick of {$circuit->name}, put it in once more and read: {$how}.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} in stages, never the whole of the book's figure blind: stop when the stick shows between its marks";
    }
}
