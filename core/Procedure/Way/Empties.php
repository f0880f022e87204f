<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\Compartment;

/** How the old comes out of one housing of a circuit. */
interface Empties
{
    public function steps(Circuit $circuit, Compartment $housing): Ports;
}
