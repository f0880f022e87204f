<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Machine\Limit;

/** What a rail is ruled in: a machine's first meter, or days where it has none. */
enum RailUnit: string
{
    case Hours = 'h';
    case Kilometres = 'km';
    case Days = 'day';

    /** How much of the past a rail shows. */
    public function back(): int
    {
        return match ($this) {
            self::Hours => 50,
            self::Kilometres => 1500,
            self::Days => 60,
        };
    }

    /** How much of what is to come a rail shows. */
    public function ahead(): int
    {
        return 3 * $this->back();
    }

    public function limit(): Limit
    {
        return match ($this) {
            self::Hours => Limit::Hours,
            self::Kilometres => Limit::Distance,
            self::Days => Limit::Date,
        };
    }
}
