<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;

/** The machine's own reminder as it was last set: so much to go at what the meter showed then. */
final readonly class Reminder
{
    public function __construct(public BigDecimal $set, public BigDecimal $shown) {}

    /** What the meter will show when it rings. */
    public function ringsAt(): BigDecimal
    {
        return $this->shown->plus($this->set);
    }

    /**
     * What is wrong with it, held against the rulebook's next point: it rings too late, or by more than the display's
     * step too early.
     *
     * @param  BigDecimal|null  $nextDue  what the meter will show at the next point, null where none is ahead
     * @param  BigDecimal  $meter  what it shows now
     * @return string|null null where the two agree
     */
    public function against(?BigDecimal $nextDue, BigDecimal $meter, BigDecimal $step, MeterUnit $unit): ?string
    {
        if ($nextDue === null) {
            return null;
        }
        $amount = fn (BigDecimal $length): string => Plain::number($length).' '.$unit->value;
        $rings = $this->ringsAt();
        $late = $rings->minus($nextDue);

        return match (true) {
            $late->isPositive() => "The machine's own reminder rings at {$amount($rings)}, {$amount($late)} after the rulebook's {$amount($nextDue)}.",
            $rings->isLessThanOrEqualTo($meter)
                && $nextDue->isGreaterThan($meter) => "The machine's own reminder rang at {$amount($rings)}; the rulebook's next point is {$amount($nextDue)}. Set it again.",
            $late->abs()->isGreaterThanOrEqualTo($step) => "The machine's own reminder rings at {$amount($rings)}, {$amount($late->abs())} before the rulebook's {$amount($nextDue)}.",
            default => null,
        };
    }
}
