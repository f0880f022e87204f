<?php

declare(strict_types=1);

namespace Core\Fluid;

/** Whether more or less is topped up than before. */
enum ConsumptionTrend: string
{
    case Steady = 'steady';
    case Rising = 'rising';
    case Falling = 'falling';
    /** Too few top-ups to tell. */
    case Thin = 'thin';

    public function label(): string
    {
        return match ($this) {
            self::Steady => 'steady',
            self::Rising => 'and rising',
            self::Falling => 'and falling',
            self::Thin => 'too few top-ups to see a trend',
        };
    }
}
