<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\TypedNumber;
use Brick\Math\BigDecimal;

/** A meter value as somebody gave it. */
final readonly class GivenReading
{
    public function __construct(
        public BigDecimal $value,
        public string $typed,
        public bool $distance,
    ) {
    }

    public static function hours(string|int|float $typed): self
    {
        return new self(TypedNumber::read($typed), (string) $typed, false);
    }

    public static function distance(string|int|float $typed): self
    {
        return new self(TypedNumber::read($typed), (string) $typed, true);
    }
}
