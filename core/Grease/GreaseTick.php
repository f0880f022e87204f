<?php

declare(strict_types=1);

namespace Core\Grease;

use Brick\Math\BigDecimal;

/** One time that a point was greased. */
final readonly class GreaseTick
{
    public function __construct(
        public int $strokes,
        public \DateTimeImmutable $day,
        public ?BigDecimal $hours,
    ) {
    }
}
