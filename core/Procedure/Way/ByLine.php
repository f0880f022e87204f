<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By the line on its tank: it grows when it is warm, so room is left. */
final readonly class ByLine extends Filling
{
    public function says(Circuit $circuit): string
    {
        $how = $circuit->holder->protocol?->inWords() ?? 'on level ground';

        return "Read {$circuit->name} at the line on its tank: {$how}.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} slowly to its line, no higher";
    }
}
