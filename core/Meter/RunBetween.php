<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * What a machine had run at any moment between two of its readings: along the straight line, flat after the last,
 * unknown before the first.
 */
final readonly class RunBetween
{
    /** A meter is read to the tenth, and what lies between two readings is known no better. */
    private const PLACES = 1;

    public function __construct(private ?Reading $before, private ?Reading $after) {}

    public function at(\DateTimeInterface $moment): ?BigDecimal
    {
        if ($this->before === null || $this->after === null) {
            return $this->before?->value;
        }
        $span = $this->after->at->getTimestamp() - $this->before->at->getTimestamp();
        $gone = $moment->getTimestamp() - $this->before->at->getTimestamp();
        if ($span <= 0) {
            return $this->before->value;
        }
        $share = $this->after->value->minus($this->before->value)
            ->multipliedBy($gone)
            ->dividedBy($span, self::PLACES, RoundingMode::HALF_UP);

        return $this->before->value->plus($share)->stripTrailingZeros();
    }
}
