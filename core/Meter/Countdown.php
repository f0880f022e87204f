<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Plain;

/**
 * The number to set on a machine's own countdown so that it rings no later than the next due point: the remaining
 * hours, rounded down to what the display can take (common practice, no source).
 */
final readonly class Countdown
{
    private function __construct(
        public BigDecimal $remaining,
        public BigDecimal $set,
        public BigDecimal $ringsAt,
        public string $why,
    ) {}

    /** @param  BigDecimal  $step  the smallest change that the display takes, above zero */
    public static function until(BigDecimal $nextDue, BigDecimal $meter, BigDecimal $step): self
    {
        $remaining = $nextDue->minus($meter);
        [$due, $now, $left] = [Plain::number($nextDue), Plain::number($meter), Plain::number($remaining->abs())];
        if (! $remaining->isPositive()) {
            $passed = $remaining->isZero() ? 'is reached' : "was passed {$left} h ago";

            return new self(
                $remaining,
                BigDecimal::zero(),
                $meter,
                "The point at {$due} {$passed} at {$now}: do the work, then set the next.",
            );
        }
        $set = self::multiple($remaining, $step, RoundingMode::DOWN);
        $ringsAt = $meter->plus($set);
        $why = "{$due} − {$now} leaves {$left} h";
        if ($set->isZero()) {
            return new self(
                $remaining,
                $set,
                $ringsAt,
                "{$why}, less than the display's step of ".Plain::number($step).': do the work now.',
            );
        }
        $why .= '; set '.Plain::number($set).', which rings at '.Plain::number($ringsAt);
        $roundGuess = self::multiple($remaining, $step->multipliedBy(5), RoundingMode::UP);
        $late = $roundGuess->minus($remaining);
        $why .= $late->isZero()
            ? '.'
            : sprintf(
                '. Setting %s would ring at %s, %s h late.',
                Plain::number($roundGuess),
                Plain::number($meter->plus($roundGuess)),
                Plain::number($late),
            );

        return new self($remaining, $set, $ringsAt, $why);
    }

    public function isPast(): bool
    {
        return ! $this->remaining->isPositive();
    }

    private static function multiple(BigDecimal $amount, BigDecimal $step, RoundingMode $rounding): BigDecimal
    {
        return $amount->dividedBy($step, 0, $rounding)->multipliedBy($step)->stripTrailingZeros();
    }
}
