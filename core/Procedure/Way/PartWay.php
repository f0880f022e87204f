<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Part;
use Core\Procedure\PartTask;

/** How a part comes off and goes on again, or a new one in its place. */
interface PartWay
{
    public function steps(Part $part, PartTask $task): Ports;
}
