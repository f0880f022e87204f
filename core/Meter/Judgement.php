<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;

/**
 * Whether a reading can be right, given the one before it. A machine cannot gain more hours than there were, and a meter does not run
 * backwards: a lower value is a slip or a new meter.
 */
final readonly class Judgement
{
    private function __construct(
        public ReadingKind $kind,
        public BigDecimal $gained,
        public ?BigDecimal $suggestion,
        public string $why,
    ) {
    }

    /**
     * @param  Reading|null  $previous  the last reading before it, null for a meter's first
     * @param  int  $mostPerDay  the most this meter can gain in a day
     * @param  \DateTimeImmutable|null  $now  later readings are of the future; null leaves that unjudged
     *
     * @throws \InvalidArgumentException if the reading is older than the one it is held against
     */
    public static function of(?Reading $previous, Reading $reading, int $mostPerDay = 24, ?\DateTimeImmutable $now = null, MeterUnit $unit = MeterUnit::Hours): self
    {
        $gained = $previous === null ? BigDecimal::zero() : $reading->value->minus($previous->value);
        $value = Plain::number($reading->value);
        if ($now !== null && $reading->at > $now) {
            return new self(ReadingKind::Future, $gained, null, "{$value} would have been read on ".Plain::day($reading->at).', which has not come yet.');
        }
        if ($previous === null) {
            return new self(ReadingKind::Ok, $gained, null, "{$value} is the first reading.");
        }
        if ($reading->at < $previous->at) {
            throw new \InvalidArgumentException('The reading is older than the one it is held against.');
        }
        $before = Plain::number($previous->value);
        $day = Plain::day($previous->at);
        if ($gained->isZero()) {
            return new self(ReadingKind::Repeat, $gained, null, "{$value} is what it showed on {$day}; nothing was run.");
        }
        $days = $previous->daysUntil($reading);
        if ($gained->isNegative()) {
            return new self(ReadingKind::Lower, $gained, Slip::likelyMeant($previous->value, $reading->value, $days, $mostPerDay),
                sprintf('%s is %s %s less than %s on %s: a slip, or a new meter.', $value, Plain::number($gained->abs()), $unit->value, $before, $day));
        }
        $difference = sprintf('%s is %s %s more than %s on %s', $value, Plain::number($gained), $unit->value, $before, $day);
        if (self::exceeds($gained, $previous, $reading, $days, $mostPerDay)) {
            return new self(ReadingKind::TooFast, $gained, Slip::likelyMeant($previous->value, $reading->value, $days, $mostPerDay),
                sprintf('%s; at most %s %s can be gained in a day.', $difference, number_format($mostPerDay), $unit->value));
        }

        return new self(ReadingKind::Ok, $gained, null, $difference.'.');
    }

    public function isPlausible(): bool
    {
        return $this->kind->isPlausible();
    }

    /** A meter shows whole steps of its last digit, so what it gained may look one step more than what was run. */
    private static function exceeds(BigDecimal $gained, Reading $previous, Reading $reading, float $days, int $mostPerDay): bool
    {
        $lastDigit = BigDecimal::one()->withPointMovedLeft(max(1, $previous->value->getScale(), $reading->value->getScale()));
        $most = BigDecimal::of(sprintf('%.6F', $days * $mostPerDay));

        return $gained->isGreaterThanOrEqualTo($most->plus($lastDigit));
    }
}
