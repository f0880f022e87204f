<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Contract\Input\TypedNumber;
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

    public static function of(string|int|float $typed, MeterKind $kind): self
    {
        return new self(TypedNumber::read($typed), (string) $typed, $kind->isDistance());
    }

    /**
     * What was read for a service.
     *
     * @param  array<string, mixed>  $given  by the name of their meter
     * @return list<self>
     */
    public static function each(array $given): array
    {
        $kinds = array_filter(MeterKind::cases(), fn (MeterKind $kind): bool => isset($given[$kind->value]));

        return array_values(array_map(fn (MeterKind $kind): self => self::of($given[$kind->value], $kind), $kinds));
    }
}
