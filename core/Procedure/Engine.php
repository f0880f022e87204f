<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What drives a machine, as far as it changes the order of a service. */
enum Engine: string
{
    case Petrol = 'petrol';
    case Diesel = 'diesel';
    case Electric = 'electric';
}
