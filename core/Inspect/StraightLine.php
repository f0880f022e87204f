<?php

declare(strict_types=1);

namespace Core\Inspect;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** The straight line of least squares through some points, reckoned exactly; only square roots are rounded. */
final readonly class StraightLine
{
    private const DIGITS = 40;

    private function __construct(
        public int $count,
        public BigRational $slope,
        public BigRational $intercept,
        public BigRational $meanX,
        public BigRational $meanY,
        public BigRational $spreadX,
        public BigRational $residual,
    ) {}

    /**
     * @param  list<array{BigDecimal, BigDecimal}>  $points  x and y
     * @return self|null  null where all points stand at one x
     */
    public static function through(array $points): ?self
    {
        $count = count($points);
        $x = $y = $xx = $xy = $yy = BigDecimal::zero();
        foreach ($points as [$px, $py]) {
            [$x, $y, $xx, $xy, $yy] = [
                $x->plus($px),
                $y->plus($py),
                $xx->plus($px->multipliedBy($px)),
                $xy->plus($px->multipliedBy($py)),
                $yy->plus($py->multipliedBy($py)),
            ];
        }
        if ($count === 0) {
            return null;
        }
        [$meanX, $meanY] = [BigRational::of($x)->dividedBy($count), BigRational::of($y)->dividedBy($count)];
        $spreadX = BigRational::of($xx)->minus($meanX->multipliedBy($x))->simplified();
        $together = BigRational::of($xy)->minus($meanX->multipliedBy($y));
        if ($spreadX->isZero()) {
            return null;
        }
        $slope = $together->dividedBy($spreadX)->simplified();
        $spreadY = BigRational::of($yy)->minus($meanY->multipliedBy($y));

        return new self(
            $count,
            $slope,
            $meanY->minus($slope->multipliedBy($meanX))->simplified(),
            $meanX->simplified(),
            $meanY->simplified(),
            $spreadX,
            $spreadY->minus($slope->multipliedBy($together))->simplified(),
        );
    }

    public function degreesOfFreedom(): int
    {
        return $this->count - 2;
    }

    /** Residual standard deviation; null with fewer than three points. */
    public function residualDeviation(): ?BigDecimal
    {
        return $this->count < 3 ? null : self::root($this->residual->dividedBy($this->degreesOfFreedom()));
    }

    public function at(BigRational $x): BigRational
    {
        return $this->slope->multipliedBy($x)->plus($this->intercept);
    }

    /** Where the line itself comes to a value; null where it runs level. */
    public function reaches(BigRational $y): ?BigRational
    {
        return $this->slope->isZero() ? null : $y->minus($this->intercept)->dividedBy($this->slope);
    }

    /**
     * Between which x the next point of this kind comes to a value, by the prediction interval turned round (Fieller's
     * theorem).
     *
     * @param  float  $within  the probability on either side, `0.9` for tenths
     * @return array{float, float}|null  null where the points do not tell
     */
    public function reachesBetween(BigRational $y, float $within): ?array
    {
        if ($this->count < 3) {
            return null;
        }
        $quantile = BigRational::of(sprintf('%.15F', (new StudentT($this->degreesOfFreedom()))->quantile($within)));
        $reach = $quantile->multipliedBy($quantile)
            ->multipliedBy($this->residual)
            ->dividedBy($this->degreesOfFreedom());
        $fall = $this->meanY->minus($y);
        $steepness = $this->slope->multipliedBy($this->slope)->minus($reach->dividedBy($this->spreadX));
        if (! $steepness->isPositive()) {
            return null;
        }
        // The root of the quadratic's discriminant, its terms put together so that none of them cancel.
        $apart = self::root(
            $reach->multipliedBy(
                $steepness->multipliedBy(BigRational::nd($this->count + 1, $this->count))->plus(
                    $fall->multipliedBy($fall)->dividedBy($this->spreadX),
                ),
            ),
        );
        $middle = $this->slope->multipliedBy($fall)->negated();
        $at = fn (BigRational $above): float => $this->meanX->plus($above->dividedBy($steepness))->toFloat();

        return [$at($middle->minus($apart)), $at($middle->plus($apart))];
    }

    /** Half the width of the prediction interval at an x, in y; null with fewer than three points. */
    public function predictionReach(float $x, float $within): ?float
    {
        $deviation = $this->residualDeviation()?->toFloat();

        return $deviation === null ? null
            : (new StudentT($this->degreesOfFreedom()))->quantile($within) * $deviation * sqrt(
                1 + 1 / $this->count + ($x - $this->meanX->toFloat()) ** 2 / $this->spreadX->toFloat(),
            );
    }

    private static function root(BigRational $square): BigDecimal
    {
        return $square->toScale(self::DIGITS, RoundingMode::HALF_UP)->sqrt(self::DIGITS);
    }
}
