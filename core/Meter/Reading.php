<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;

/** A value read off a meter at a time. Where only the day is known, `dayOnly` is true and the time means nothing. */
final readonly class Reading
{
    /** @param  string|null  $typed  the value as it was written, where that is known */
    public function __construct(
        public BigDecimal $value,
        public \DateTimeImmutable $at,
        public bool $dayOnly = false,
        public ?string $typed = null,
    ) {
        if ($value->isNegative()) {
            throw new \InvalidArgumentException('A meter never shows less than nothing.');
        }
    }

    public static function onDay(BigDecimal $value, \DateTimeImmutable $day, ?string $typed = null): self
    {
        return new self($value, $day->setTime(0, 0), true, $typed);
    }

    /** The most days that may lie between this reading and a later one: a day without a time is the whole day. */
    public function daysUntil(self $later): float
    {
        $end = $later->dayOnly ? $later->at->setTime(0, 0)->modify('+1 day') : $later->at;
        $begin = $this->dayOnly ? $this->at->setTime(0, 0) : $this->at;

        return ($end->getTimestamp() - $begin->getTimestamp()) / 86400;
    }

    /** The same span in words: `within 7 days`, `within 2 h`. */
    public function spanUntil(self $later): string
    {
        $days = $this->daysUntil($later);

        return $days < 2
            && ! $this->dayOnly
            && ! $later->dayOnly
            ? 'within '.Plain::number(BigDecimal::of(sprintf('%.1F', $days * 24))).' h'
            : 'within '.Plain::count((int) ceil($days), 'day');
    }
}
