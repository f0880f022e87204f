<?php

declare(strict_types=1);

namespace Core\Machine;

/** The dimensions along which a rule falls due. */
enum Limit: string
{
    case Hours = 'hours';
    case Distance = 'km';
    case Date = 'date';
}
