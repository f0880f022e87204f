<?php

declare(strict_types=1);

namespace Core\Machine;

use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Meter\Limit;

/** A point in a machine's life: hours and kilometres run, and the day. What is not known is null. */
final readonly class Point
{
    private ?BigDecimal $day;

    public function __construct(
        public ?BigDecimal $hours = null,
        public ?BigDecimal $km = null,
        public ?\DateTimeImmutable $date = null,
    ) {
        $this->day = $date === null ? null : BigDecimal::of(Day::number($date));
    }

    public function along(Limit $limit): ?BigDecimal
    {
        return match ($limit) {
            Limit::Hours => $this->hours,
            Limit::Distance => $this->km,
            Limit::Date => $this->day,
        };
    }
}
