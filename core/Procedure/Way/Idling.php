<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By its stick while the engine idles: stopped, it reads over full. */
final readonly class Idling extends Filling
{
    public function says(Circuit $circuit): string
    {
        return "Read {$circuit->name} while it idles, the machine level: stopped it reads over full. Wipe the stick, put it in, read.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} in stages, by its stick: it is read idling, so less than the book's figure goes in first";
    }
}
