<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

/** How warm a fluid is while its level is read, the coldest first. */
enum Warmth: string
{
    case Cold = 'cold';
    case Warm = 'warm';
    case Hot = 'hot';

    public function isMoreThan(self $other): bool
    {
        return array_search($this, self::cases(), true) > array_search($other, self::cases(), true);
    }
}
