<?php

declare(strict_types=1);

namespace App\Logbook\Stock;

/** What became of a fluid, or of something on the shelf. */
enum MoveKind: string
{
    /** It came to the shelf. */
    case Came = 'came';
    /** It was poured into a spot: out of a container, or from where nobody knows. */
    case Poured = 'poured';
    /** It ran out of a spot, to be disposed of. */
    case Drained = 'drained';
    /** A part off the shelf was fitted at a spot. */
    case Fitted = 'fitted';
    /** What was there then, whatever the book said. */
    case Counted = 'counted';

    /** Those that take from the shelf. */
    public const USES = [self::Poured, self::Fitted];

    /** Those by which somebody keeps book of what is on the shelf. */
    public const KEEPS = [self::Came, self::Counted];
}
