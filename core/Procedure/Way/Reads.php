<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Procedure\Circuit;

/** How it is told where a circuit's level stands. */
interface Reads
{
    /** One sentence of how it is read, the moment apart. */
    public function says(Circuit $circuit): string;

    /** One sentence of what is done where it stands low. */
    public function tops(Circuit $circuit): string;
}
