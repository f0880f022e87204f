<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** By its level plug: full when it stands at the threads, or just runs. */
final readonly class ByLevelPlug extends Filling
{
    public function says(Circuit $circuit): string
    {
        return "Read {$circuit->name} at its level plug, machine level: it stands at the threads or just runs.";
    }

    public function tops(Circuit $circuit): string
    {
        return "Add to {$circuit->name} until it just runs at its level plug.";
    }

    protected function until(Circuit $circuit): string
    {
        $plugs = implode(' and ', array_column($circuit->levelPlugs(), 'name'));

        return "Fill {$circuit->name} slowly until it just runs at {$plugs}";
    }
}
