<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What a machine's meter counts. */
enum MeterUnit: string
{
    case Hours = 'h';
    case Kilometres = 'km';
    case Miles = 'mi';

    /**
     * The most a machine can gain in a day: 24 engine hours, or a distance beyond any working day (common practice, no
     * source).
     */
    public function mostPerDay(): int
    {
        return match ($this) {
            self::Hours => 24,
            self::Kilometres => 1500,
            self::Miles => 900,
        };
    }

    public function isDistance(): bool
    {
        return $this !== self::Hours;
    }

    public function limit(): Limit
    {
        return $this === self::Hours ? Limit::Hours : Limit::Distance;
    }

    /** A value of this unit in the unit the rules reckon in: hours stay hours, distances become kilometres, exactly. */
    public function toReckoned(BigDecimal $value): BigDecimal
    {
        return $this === self::Miles
            ? Quantity::of($value, Unit::Mile)->to(Unit::Kilometre)->value->toBigDecimal()
            : $value;
    }

    /** A reckoned value back in this unit, rounded to thousandths of it. */
    public function fromReckoned(BigDecimal $value): BigDecimal
    {
        return $this === self::Miles ? $value->dividedBy('1.609344', 3, RoundingMode::HALF_UP) : $value;
    }
}
