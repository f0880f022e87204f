<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What somebody tells of a step. */
enum Did: string
{
    /** Something that takes its time began. */
    case Started = 'started';
    case Done = 'done';
    /** Fluid went in; what several pour adds up. */
    case Poured = 'poured';
    /** It cannot be done. */
    case Cannot = 'cannot';
    /** It was not done after all, or can be done now. */
    case TakenBack = 'taken_back';
    /** A task is left for another day. */
    case PutOff = 'put_off';
}
