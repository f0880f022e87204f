<?php

declare(strict_types=1);

namespace App\Logbook;

enum DecisionKind: string
{
    /** A due point passed over on purpose. */
    case Skipped = 'skipped';
    /** A check said that it must be done. */
    case Called = 'called';
    /** Left out of a job, for a reason; it stays due. */
    case PutOff = 'put_off';
}
