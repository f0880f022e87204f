<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

/** What became of something on the shelf. */
enum StockKind: string
{
    case In = 'in';
    case Out = 'out';
    /** What was there then, whatever the book said. */
    case Counted = 'counted';
}
