<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** Through the filler itself, up to the bottom of its threads. */
final readonly class ToTheThreads extends Filling
{
    public function says(Circuit $circuit): string
    {
        return "Read {$circuit->name} at its filler, machine level: it stands at the bottom of the threads.";
    }

    public function tops(Circuit $circuit): string
    {
        return "Add to {$circuit->name} until it stands at the bottom of its filler's threads.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} slowly until it stands at the bottom of its filler's threads";
    }
}
