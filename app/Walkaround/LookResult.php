<?php

declare(strict_types=1);

namespace App\Walkaround;

/** What somebody says of a spot they look at. */
enum LookResult: string
{
    case Fine = 'fine';
    case NotFine = 'not_fine';
    case NotLooked = 'not_looked';
    case Measured = 'measured';
}
