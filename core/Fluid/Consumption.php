<?php

declare(strict_types=1);

namespace Core\Fluid;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Core\Machine\Verdict;
use Core\Measure\Plain;
use Core\Measure\Quantity;

/** What a housing uses, by what was topped up over some hours. */
final readonly class Consumption
{
    /** Fewer stretches than this tell no trend. */
    private const TO_TELL = 3;

    /** The later half against the earlier: beyond these it rises or falls. */
    private const RISES = '5/4';

    private const FALLS = '4/5';

    /** Of the limit, from where it is watched. */
    private const NEAR = '4/5';

    /** Whether more or less is topped up than before, in words. */
    private const TRENDS = [
        'steady' => 'steady',
        'rising' => 'and rising',
        'falling' => 'and falling',
        'thin' => 'too few top-ups to see a trend',
    ];

    /** @param  key-of<self::TRENDS>  $trend */
    private function __construct(
        public Quantity $per100Hours,
        public string $trend,
        public Verdict $verdict,
        public string $why,
    ) {}

    /**
     * @param  list<array{BigDecimal, Quantity}>  $topUps  at which hours, how much
     * @param  BigDecimal  $from  hours from which it was followed
     * @param  BigDecimal  $to  above it
     */
    public static function of(
        array $topUps,
        BigDecimal $from,
        BigDecimal $to,
        ?Quantity $limit,
        Quantity $nothing,
    ): self {
        $span = $to->minus($from);
        $total = array_reduce($topUps, fn (Quantity $sum, array $topUp): Quantity => $sum->plus($topUp[1]), $nothing);
        $rate = Quantity::of($total->value->multipliedBy(100)->dividedBy($span), $total->unit);
        $trend = self::trend(self::stretches($topUps, $from, $nothing));
        $trendWords = self::TRENDS[$trend];
        $verdict = match (true) {
            $limit !== null && $rate->compareTo($limit) > 0 => Verdict::Act,
            $trend === 'rising', $limit !== null
                && $rate->si()->isGreaterThan(
                    $limit->si()->multipliedBy(BigRational::of(self::NEAR)),
                ) => Verdict::Watch,
            default => Verdict::Fit,
        };

        return new self(
            $rate,
            $trend,
            $verdict,
            "{$total->display()} in ".Plain::number($span)." h is {$rate->display()} per 100 h".", {$trendWords}".($limit === null ? '.' : "; at most {$limit->inWords()} is right."),
        );
    }

    /**
     * Each top-up makes up for the hours since the one before it, or since it was followed.
     *
     * @param  list<array{BigDecimal, Quantity}>  $topUps
     * @return list<array{BigDecimal, Quantity}> hours of each stretch, above nothing, and what was used in them
     */
    private static function stretches(array $topUps, BigDecimal $from, Quantity $nothing): array
    {
        usort($topUps, fn (array $one, array $other): int => $one[0]->compareTo($other[0]));
        $stretches = [];
        $used = $nothing;
        foreach ($topUps as $index => [$hours, $amount]) {
            $used = $used->plus($amount);
            if ($hours->isGreaterThan($from) && ! ($topUps[$index + 1][0] ?? null)?->isEqualTo($hours)) {
                $stretches[] = [$hours->minus($from), $used];
                [$from, $used] = [$hours, $nothing];
            }
        }

        return $stretches;
    }

    /**
     * The later half of the stretches against the earlier; of an odd number the middle one counts for neither.
     *
     * @param  list<array{BigDecimal, Quantity}>  $stretches
     * @return key-of<self::TRENDS>
     */
    private static function trend(array $stretches): string
    {
        if (count($stretches) < self::TO_TELL) {
            return 'thin';
        }
        $half = intdiv(count($stretches), 2);
        [$early, $late] = [self::rate(array_slice($stretches, 0, $half)), self::rate(array_slice($stretches, -$half))];

        return match (true) {
            $late->isGreaterThan($early->multipliedBy(self::RISES)) => 'rising',
            $late->isLessThan($early->multipliedBy(self::FALLS)) => 'falling',
            default => 'steady',
        };
    }

    /** @param  list<array{BigDecimal, Quantity}>  $stretches  at least one */
    private static function rate(array $stretches): BigRational
    {
        [$hours, $used] = [BigRational::zero(), BigRational::zero()];
        foreach ($stretches as [$each, $amount]) {
            [$hours, $used] = [$hours->plus($each), $used->plus($amount->si())];
        }

        return $used->dividedBy($hours);
    }
}
