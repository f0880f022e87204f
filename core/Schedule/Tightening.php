<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;

/** One dimension of an interval shortened because of a severity. */
final readonly class Tightening
{
    public Interval $result;

    /** @param  Interval  $from  the interval along this dimension as the rulebook has it */
    public function __construct(
        public Limit $limit,
        public BigDecimal $factor,
        public Severity $severity,
        public Interval $from,
    ) {
        $this->result = new Interval(
            $from->hours?->multipliedBy($factor),
            $from->km?->multipliedBy($factor),
            $from->months === null
                ? null
                : max(1, $factor->multipliedBy($from->months)->toScale(0, RoundingMode::DOWN)->toInt()),
        );
    }

    /** `100 h × 0.5 for dust makes 50 h.` */
    public function inWords(MeterUnit $distance = MeterUnit::Kilometres): string
    {
        return sprintf(
            '%s × %s for %s makes %s.',
            $this->from->inWords($distance),
            Plain::number($this->factor),
            $this->severity->label(),
            $this->result->inWords($distance),
        );
    }
}
