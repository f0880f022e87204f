<?php

declare(strict_types=1);

namespace Core\Fluid;

/** How an engine is cooled. */
enum Cooling: string
{
    case Air = 'air';
    case Liquid = 'liquid';
}
