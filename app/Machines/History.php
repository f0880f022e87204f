<?php

declare(strict_types=1);

namespace App\Machines;

/** What is known of a machine's life before it was entered. */
enum History: string
{
    /** It came new: everything is counted from its beginning. */
    case New = 'new';
    /** Somebody knows when things were last done. */
    case Known = 'known';
    /** Nothing is known, so nothing is taken for fine. */
    case Unknown = 'unknown';
}
