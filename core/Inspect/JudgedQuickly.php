<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Form\Fields;

/** An instrument whose limits are simple enough to be held against what is entered where nobody can ask. */
interface JudgedQuickly
{
    /** Null where the limits leave something to ask. */
    public function quickLimit(Fields $limits): ?QuickLimit;
}
