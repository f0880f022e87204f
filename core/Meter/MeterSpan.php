<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;

/** One meter's time on a machine: what it showed when it was fitted, and what the machine had run by then. */
final readonly class MeterSpan
{
    public function __construct(public BigDecimal $shownWhenFitted, public BigDecimal $runWhenFitted) {}

    /** What the machine has run when this meter shows a value. */
    public function run(BigDecimal $shown): BigDecimal
    {
        return $this->runWhenFitted->plus($shown)->minus($this->shownWhenFitted);
    }

    /** What this meter shows when the machine has run so much. */
    public function shown(BigDecimal $run): BigDecimal
    {
        return $run->minus($this->runWhenFitted)->plus($this->shownWhenFitted);
    }
}
