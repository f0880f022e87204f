<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Meter\Limit;

/**
 * Where a rule falls due along one dimension, with its early and late windows. Positions are hours, kilometres, or days
 * since 1970.
 */
final readonly class DuePoint
{
    /** Until the point; below zero beyond it. */
    public BigDecimal $remaining;

    public State $state;

    /**
     * @param  BigDecimal  $since  the last time it was done, or the machine's beginning
     * @param  BigDecimal  $early  length of the window before the point
     * @param  BigDecimal  $late  length of the window after it
     * @param  YearWindow|null  $window  the part of the year that the point stands for
     */
    public function __construct(
        public Limit $limit,
        public BigDecimal $since,
        public BigDecimal $at,
        public BigDecimal $now,
        public BigDecimal $early,
        public BigDecimal $late,
        public ?YearWindow $window = null,
    ) {
        $this->remaining = $at->minus($now);
        $this->state = match (true) {
            $this->remaining->isGreaterThan($early) => State::Fresh,
            $this->remaining->isPositive() => State::Nearing,
            $this->remaining->negated()->isLessThanOrEqualTo($late) => State::Due,
            default => State::Past,
        };
    }

    /** From 0 when it was done to 1 at the point, and beyond. */
    public function shareUsed(): BigDecimal
    {
        $span = $this->at->minus($this->since);
        $run = $this->now->minus($this->since);

        return match (true) {
            ! $run->isPositive() => BigDecimal::zero(),
            ! $span->isPositive() => BigDecimal::one(),
            default => $run->dividedBy($span, 6, RoundingMode::HALF_UP),
        };
    }

    /** Whether this point is reached before another: the more urgent state, then the larger share used. */
    public function comesBefore(self $other): bool
    {
        $ranks = $this->state->rank() <=> $other->state->rank();

        return $ranks > 0 || ($ranks === 0 && $this->shareUsed()->isGreaterThan($other->shareUsed()));
    }

    /** @param  array<self>  $points */
    public static function earliest(array $points): ?self
    {
        $earliest = null;
        foreach ($points as $point) {
            if ($earliest === null || $point->comesBefore($earliest)) {
                $earliest = $point;
            }
        }

        return $earliest;
    }
}
