<?php

declare(strict_types=1);

namespace Core\Fill;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** How much of a weak or strong mix is drained, and what is poured instead. */
final readonly class CoolantCorrection
{
    private function __construct(
        public Quantity $drain,
        public bool $withConcentrate,
    ) {
    }

    /**
     * Weak: drained × (1 − present) must bring what is lacking. Strong: drained × present must take what is too much.
     *
     * @param  BigRational  $present  per cent, under 100 where it is to be made stronger
     * @param  BigRational  $target  per cent
     */
    public static function of(Quantity $volume, BigRational $present, BigRational $target): self
    {
        $lacking = $target->minus($present);
        $share = match (true) {
            $lacking->isZero() => BigRational::zero(),
            $lacking->isPositive() => $lacking->dividedBy($present->negated()->plus(100)),
            default => $lacking->negated()->dividedBy($present),
        };

        return new self(Quantity::of($volume->value->multipliedBy($share), $volume->unit), ! $lacking->isNegative());
    }
}
