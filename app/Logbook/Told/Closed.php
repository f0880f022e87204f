<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use Core\Machine\ActKind;

/** An opening was closed. */
final readonly class Closed extends Fastened
{
    public function kind(): ActKind
    {
        return ActKind::Closed;
    }
}
