<?php

declare(strict_types=1);

namespace Core\Inspect;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Core\Measure\Plain;
use Core\Measure\Quantity;

/** What a housing uses, by what was topped up over some hours. */
final readonly class Consumption
{
    /** Fewer top-ups than this tell no trend. */
    private const TO_TELL = 3;

    /** The later half against the earlier: beyond these it rises or falls. */
    private const RISES = '5/4';

    private const FALLS = '4/5';

    /** Of the limit, from where it is watched. */
    private const NEAR = '4/5';

    private function __construct(
        public Quantity $per100Hours,
        public ConsumptionTrend $trend,
        public Verdict $verdict,
        public string $why,
    ) {
    }

    /**
     * @param  list<array{BigDecimal, Quantity}>  $topUps  at which hours, how much
     * @param  BigDecimal  $from  hours from which it was followed
     * @param  BigDecimal  $to  above it
     */
    public static function of(array $topUps, BigDecimal $from, BigDecimal $to, ?Quantity $limit, Quantity $nothing): self
    {
        $span = $to->minus($from);
        $middle = $from->plus($to)->dividedBy(2, $from->getScale() + $to->getScale() + 1);
        $total = $late = $nothing;
        foreach ($topUps as [$hours, $amount]) {
            $total = $total->plus($amount);
            $late = $hours->isGreaterThan($middle) ? $late->plus($amount) : $late;
        }
        $rate = Quantity::of($total->value->multipliedBy(100)->dividedBy($span), $total->unit);
        $trend = self::trend(count($topUps), $total->value->minus($late->value), $late->value);
        $verdict = match (true) {
            $limit !== null && $rate->compareTo($limit) > 0 => Verdict::Act,
            $trend === ConsumptionTrend::Rising, $limit !== null && $rate->si()->isGreaterThan($limit->si()->multipliedBy(BigRational::of(self::NEAR))) => Verdict::Watch,
            default => Verdict::Fit,
        };

        return new self($rate, $trend, $verdict, "{$total->display()} in ".Plain::number($span)." h is {$rate->display()} per 100 h".", {$trend->label()}".($limit === null ? '.' : "; at most {$limit->inWords()} is right."));
    }

    private static function trend(int $count, BigRational $early, BigRational $late): ConsumptionTrend
    {
        return match (true) {
            $count < self::TO_TELL => ConsumptionTrend::Thin,
            $late->isGreaterThan($early->multipliedBy(BigRational::of(self::RISES))) => ConsumptionTrend::Rising,
            $late->isLessThan($early->multipliedBy(BigRational::of(self::FALLS))) => ConsumptionTrend::Falling,
            default => ConsumptionTrend::Steady,
        };
    }
}
