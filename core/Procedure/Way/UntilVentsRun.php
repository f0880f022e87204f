<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Draft;
use Core\Procedure\OpeningSteps;
use Core\Procedure\ServicedMachine;

/** Until it shows at its open vents; read as its own way says. */
final readonly class UntilVentsRun extends Filling
{
    public function __construct(Draft $draft, ServicedMachine $machine, OpeningSteps $openings, private Reads $reads)
    {
        parent::__construct($draft, $machine, $openings);
    }

    public function says(Circuit $circuit): string
    {
        return $this->reads->says($circuit);
    }

    public function tops(Circuit $circuit): string
    {
        return $this->reads->tops($circuit);
    }

    protected function until(Circuit $circuit): string
    {
        return "Fill {$circuit->name} until it shows at its open vents";
    }

    protected function runsAtItsVents(): bool
    {
        return true;
    }
}
