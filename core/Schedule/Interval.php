<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;

/**
 * So many hours, kilometres or months, whichever comes first; or, as a first point, at so many from the machine's
 * beginning.
 */
final readonly class Interval
{
    /** @throws \InvalidArgumentException if a given dimension is not above zero */
    public function __construct(
        public ?BigDecimal $hours = null,
        public ?BigDecimal $km = null,
        public ?int $months = null,
    ) {
        foreach ([$hours, $km] as $length) {
            if ($length !== null && ! $length->isPositive()) {
                throw new \InvalidArgumentException('An interval is longer than nothing.');
            }
        }
        if ($months !== null && $months < 1) {
            throw new \InvalidArgumentException('An interval is at least one month.');
        }
    }

    public static function ofHours(BigDecimal|int|string $hours): self
    {
        return new self(BigDecimal::of($hours));
    }

    public function isEmpty(): bool
    {
        return $this->hours === null && $this->km === null && $this->months === null;
    }

    public function gives(Limit $limit): bool
    {
        return match ($limit) {
            Limit::Hours => $this->hours !== null,
            Limit::Distance => $this->km !== null,
            Limit::Date => $this->months !== null,
        };
    }

    /** Hours or kilometres; null for dates, whose length depends on where they begin. */
    public function length(Limit $limit): ?BigDecimal
    {
        return match ($limit) {
            Limit::Hours => $this->hours,
            Limit::Distance => $this->km,
            Limit::Date => null,
        };
    }

    /** This interval along one dimension alone. */
    public function only(Limit $limit): self
    {
        return match ($limit) {
            Limit::Hours => new self(hours: $this->hours),
            Limit::Distance => new self(km: $this->km),
            Limit::Date => new self(months: $this->months),
        };
    }

    public function equals(self $other): bool
    {
        $same = fn (?BigDecimal $one, ?BigDecimal $two): bool => $one === null
            || $two === null
            ? $one === $two
            : $one->isEqualTo($two);

        return $same($this->hours, $other->hours) && $same($this->km, $other->km) && $this->months === $other->months;
    }

    /** The shorter of both along each dimension; one that only one of them gives stands. */
    public function shorter(self $other): self
    {
        $least = fn (?BigDecimal $one, ?BigDecimal $two): ?BigDecimal => $one === null
            || ($two !== null && $two->isLessThan($one))
            ? $two
            : $one;

        return new self(
            $least($this->hours, $other->hours),
            $least($this->km, $other->km),
            $this->months === null
                || $other->months === null
                ? $this->months
                ?? $other->months
                : min($this->months, $other->months),
        );
    }

    /** Whether this interval lets more time or distance pass than another in any dimension that the other gives. */
    public function isLooserThan(self $other): bool
    {
        return self::exceeds($this->hours, $other->hours) || self::exceeds($this->km, $other->km)
            || ($other->months !== null && ($this->months === null || $this->months > $other->months));
    }

    /**
     * `100 h or 400 km or 12 months`
     *
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public function inWords(MeterUnit $distance = MeterUnit::Kilometres): string
    {
        return implode(' or ', array_filter([
            $this->hours === null ? null : Plain::number($this->hours).' h',
            $this->km === null ? null : Plain::number($distance->fromReckoned($this->km)).' '.$distance->value,
            $this->months === null ? null : Plain::count($this->months, 'month'),
        ]));
    }

    private static function exceeds(?BigDecimal $own, ?BigDecimal $others): bool
    {
        return $others !== null && ($own === null || $own->isGreaterThan($others));
    }
}
