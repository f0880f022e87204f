<?php

declare(strict_types=1);

namespace Core\Measure;

/** What kind of thing a quantity is an amount of. Only quantities of one dimension compare or convert. */
enum Dimension: string
{
    case Volume = 'volume';
    case Length = 'length';
    case Pressure = 'pressure';
    case Torque = 'torque';
    case Force = 'force';
    case Temperature = 'temperature';
    case Voltage = 'voltage';
    case Current = 'current';
    case Mass = 'mass';
    case Time = 'time';
}
