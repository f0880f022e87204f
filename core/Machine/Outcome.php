<?php

declare(strict_types=1);

namespace Core\Machine;

/** What an act came to. */
enum Outcome: string
{
    case Done = 'done';
    /** Not looked at, or the grease did not go in. */
    case NotDone = 'not_done';
    /** Read at the wrong moment or in the wrong way. */
    case Unusable = 'unusable';
    /** What was wrong there was put right by a job. */
    case PutRight = 'put_right';
    /** What was found there is known, and lived with. */
    case Accepted = 'accepted';
}
