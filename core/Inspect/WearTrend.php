<?php

declare(strict_types=1);

namespace Core\Inspect;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Machine\Verdict;
use Core\Measure\Plain;
use Core\Meter\MeterUnit;

/** How a part wears against hours, and when it comes to its limit: a straight line with its prediction interval. */
final readonly class WearTrend
{
    /** A part that may come to its limit within so much is watched. */
    private const NEAR_HOURS = 50;

    private const NEAR_KILOMETRES = 1000;

    private const TENTHS = 0.9;

    /**
     * @param  float|null  $p10  hours before which it reaches the limit with one chance in ten
     * @param  BigRational|null  $p50  hours at which the line itself reaches it; null where it does not wear
     */
    private function __construct(
        public ?StraightLine $line,
        public ?float $p10,
        public ?BigRational $p50,
        public ?float $p90,
        public Verdict $verdict,
        public string $why,
    ) {}

    /**
     * @param  non-empty-list<array{BigDecimal, BigDecimal}>  $points  hours and what was measured then
     * @param  BigDecimal  $limit  in the same unit
     * @param  bool  $falls  whether the part wears down to the limit, or grows up to it
     * @param  MeterUnit  $along  what the first of each point counts: hours or kilometres
     * @param  BigRational|null  $resolution  the coarsest step the measurements were written in; half of it is the
     *     least that they may be off by
     */
    public static function of(
        array $points,
        BigDecimal $limit,
        bool $falls,
        MeterUnit $along = MeterUnit::Hours,
        ?BigRational $resolution = null,
    ): self {
        usort($points, fn (array $one, array $other): int => $one[0]->compareTo($other[0]));
        [$hours, $last] = $points[array_key_last($points)];
        $beyond = $falls ? $last->isLessThan($limit) : $last->isGreaterThan($limit);
        $line = StraightLine::through($points);
        if ($line === null || $line->count < 2) {
            return new self(
                null,
                null,
                null,
                null,
                $beyond ? Verdict::Act : Verdict::Fit,
                $beyond
                    ? 'It is beyond its limit.'
                    : 'Measured at one meter reading only: two are needed to see it wear.',
            );
        }
        $wears = $falls ? $line->slope->isNegative() : $line->slope->isPositive();
        if (! $wears) {
            return new self(
                $line,
                null,
                null,
                null,
                $beyond ? Verdict::Act : Verdict::Fit,
                ($beyond ? 'It is beyond its limit. ' : '').'It does not wear as far as these measurements tell.',
            );
        }
        $middle = $line->reaches($limit->toBigRational());
        assert($middle !== null);
        $between = self::atLeast(
            $line->reachesBetween($limit->toBigRational(), self::TENTHS),
            $middle,
            $line->slope,
            $resolution ?? BigRational::zero(),
        );
        $nearest = $between[0] ?? $middle->toFloat();
        $verdict = match (true) {
            $beyond => Verdict::Act,
            $nearest - $hours->toFloat() <= ($along->isDistance() ? self::NEAR_KILOMETRES : self::NEAR_HOURS) => Verdict::Watch,
            default => Verdict::Fit,
        };

        return new self(
            $line,
            $between[0] ?? null,
            $middle,
            $between[1] ?? null,
            $verdict,
            self::why($line, $beyond, $between, $middle, $along->value),
        );
    }

    /**
     * No narrower than half a step of what was written, at the line's own slope.
     *
     * @param  array{float, float}|null  $between
     * @return array{float, float}|null
     */
    private static function atLeast(?array $between, BigRational $middle, BigRational $slope, BigRational $resolution): ?array
    {
        $half = $resolution->dividedBy(2)->dividedBy($slope->abs());

        return $between === null
            ? null
            : [min($between[0], $middle->minus($half)->toFloat()), max($between[1], $middle->plus($half)->toFloat())];
    }

    /** @param  array{float, float}|null  $between */
    private static function why(
        StraightLine $line,
        bool $beyond,
        ?array $between,
        BigRational $middle,
        string $unit,
    ): string {
        $hours = fn (float $hours): string => number_format(max(0, $hours));

        return match (true) {
            $beyond => 'It is beyond its limit.',
            $between !== null => "By {$line->count} measurements it reaches the limit between {$hours($between[0])} and {$hours($between[1])} {$unit}, most likely near {$hours($middle->toFloat())} {$unit}.",
            $line->count < 3 => 'By two measurements it reaches the limit near '.Plain::number(
                $middle->toScale(0, RoundingMode::HALF_UP),
            )." {$unit}; a third is needed to say how sure that is.",
            default => "By {$line->count} measurements it reaches the limit near ".Plain::number(
                $middle->toScale(0, RoundingMode::HALF_UP),
            )." {$unit}, but they scatter too widely to say between which.",
        };
    }
}
