<?php

declare(strict_types=1);

namespace App\Walkaround;

/** What somebody said of a thing they looked at. */
enum Said: string
{
    case Fine = 'fine';
    case NotFine = 'not_fine';
    case NotLooked = 'not_looked';
    case Measured = 'measured';
    /** Put right by a job: what was worn or wrong is new or sound again. */
    case Mended = 'mended';
}
