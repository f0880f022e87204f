<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

enum Side: string
{
    case Left = 'left';
    case Right = 'right';
}
