<?php

declare(strict_types=1);

namespace Core\Meter;

/** How a reading sits against the one before it. */
enum ReadingKind: string
{
    case Ok = 'ok';
    case Repeat = 'repeat';
    case Lower = 'lower';
    case TooFast = 'too_fast';
    /** It has counted to its end and begun again. */
    case RolledOver = 'rolled_over';
    case Future = 'future';

    public function isPlausible(): bool
    {
        return $this === self::Ok || $this === self::Repeat;
    }
}
