<?php

declare(strict_types=1);

namespace App\Rulebook;

/** From where a rule is counted until its task is done the next time. */
enum CountsFrom: string
{
    case Beginning = 'beginning';
    case LastDone = 'last_done';
    case Unknown = 'unknown';
}
