<?php

declare(strict_types=1);

namespace Core\Inspect;

/** How something is entered. */
enum AskKind: string
{
    case Quantity = 'quantity';
    case Number = 'number';
    case Choice = 'choice';
    case Several = 'several';
    case Flag = 'flag';
    case Day = 'day';
}
