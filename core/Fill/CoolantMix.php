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
    private function __construct(
        public Quantity $concentrate,
        public Quantity $water,
        public Quantity $protectsTo,
    ) {
    }

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
}
