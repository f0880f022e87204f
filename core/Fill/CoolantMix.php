<?php

declare(strict_types=1);

namespace Core\Fill;

use Brick\Math\BigRational;
use Core\Fluid\Glycol;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** Concentrate and distilled water for a strength. */
final readonly class CoolantMix
{
    private function __construct(public Quantity $concentrate, public Quantity $water, public Quantity $protectsTo) {}

    /**
     * @param  BigRational  $percent  of glycol by volume, 0 to {@see Glycol::MOST}
     *
     * @throws \DomainException beyond the table
     */
    public static function of(Quantity $volume, BigRational $percent, Glycol $glycol): self
    {
        $concentrate = Quantity::of($volume->value->multipliedBy($percent)->dividedBy(100), $volume->unit);

        return new self(
            $concentrate,
            $volume->minus($concentrate),
            Quantity::of($glycol->freezesAt($percent), Unit::DegreeCelsius),
        );
    }

    /**
     * How much of a weak or strong mix is drained, and whether concentrate is poured instead, or water. Weak: drained ×
     * (1 − present) must bring what is lacking. Strong: drained × present must take what is too much.
     *
     * @param  BigRational  $present  per cent, under 100 where it is to be made stronger
     * @param  BigRational  $target  per cent
     * @return array{Quantity, bool}
     */
    public static function correction(Quantity $volume, BigRational $present, BigRational $target): array
    {
        $lacking = $target->minus($present);
        $share = match (true) {
            $lacking->isZero() => BigRational::zero(),
            $lacking->isPositive() => $lacking->dividedBy($present->negated()->plus(100)),
            default => $lacking->negated()->dividedBy($present),
        };

        return [Quantity::of($volume->value->multipliedBy($share), $volume->unit), ! $lacking->isNegative()];
    }
}
