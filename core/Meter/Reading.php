<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;

/** A value read off a meter at a time. Where only the day is known, the time is that day's beginning and `dayOnly` is true. */
final readonly class Reading
{
    public function __construct(
        public BigDecimal $value,
        public \DateTimeImmutable $at,
        public bool $dayOnly = false,
    ) {
        if ($value->isNegative()) {
            throw new \InvalidArgumentException('A meter never shows less than nothing.');
        }
    }

    public static function onDay(BigDecimal $value, \DateTimeImmutable $day): self
    {
        return new self($value, $day->setTime(0, 0), true);
    }

    /**
     * Days from this reading to a later one. With a day known only by its date, two readings on one date count as a day apart:
     * nobody can tell the hours between them.
     */
    public function daysUntil(self $later): float
    {
        if ($this->dayOnly || $later->dayOnly) {
            return max(1.0, (float) $this->at->setTime(0, 0)->diff($later->at->setTime(0, 0))->days);
        }

        return ($later->at->getTimestamp() - $this->at->getTimestamp()) / 86400;
    }
}
