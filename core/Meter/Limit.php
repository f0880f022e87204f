<?php

declare(strict_types=1);

namespace Core\Meter;

/** Along what a rule falls due: what the hour meter shows, what the odometer shows, or the calendar. */
enum Limit: string
{
    case Hours = 'hours';
    case Distance = 'km';
    case Date = 'date';
}
