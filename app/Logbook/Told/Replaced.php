<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use Core\Machine\ActKind;

/** A part was replaced, or gone over and used again. */
final readonly class Replaced extends Fastened
{
    public function kind(): ActKind
    {
        return ActKind::Replaced;
    }
}
