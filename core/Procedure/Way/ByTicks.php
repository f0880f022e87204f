<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By the marks on its side. */
final readonly class ByTicks extends Filling
{
    public function says(Circuit $circuit): string
    {
        $how = $circuit->holder->protocol?->inWords() ?? 'on level ground';

        return "Read {$circuit->name} by its tick marks: {$how}.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} slowly until it stands between its marks";
    }
}
