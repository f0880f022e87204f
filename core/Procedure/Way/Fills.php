<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;
use Core\Procedure\LevelReading;

/** How the new comes into a circuit. */
interface Fills
{
    /** @param  LevelReading  $reading  when its level will be read */
    public function steps(Circuit $circuit, LevelReading $reading): Ports;
}
