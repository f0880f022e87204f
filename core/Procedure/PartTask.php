<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What becomes of a part that comes off. */
enum PartTask
{
    /** A new one goes on. */
    case Renew;
    /** The same goes on again, cleaned. */
    case Clean;
    /** It was only in the way. */
    case PutBack;
}
