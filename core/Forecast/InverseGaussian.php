<?php

declare(strict_types=1);

namespace Core\Forecast;

/**
 * When a use that drifts and wanders first reaches a level: the first-passage time of a Brownian motion with drift.
 *
 * Distribution function: Φ(√(λ/t)(t/μ−1)) + e^(2λ/μ) Φ(−√(λ/t)(t/μ+1)). Source: Chhikara and Folks, The Inverse
 * Gaussian Distribution, 1989 (value from memory).
 */
final readonly class InverseGaussian
{
    private const STEPS = 200;

    private const CLOSE = 1e-6;

    private const TERMS_OF_SERIES = 60;

    private const DEPTH_OF_FRACTION = 80;

    /**
     * @param  float  $mean  μ, above nothing
     * @param  float  $shape  λ, above nothing; the variance is μ³/λ
     *
     * @throws \InvalidArgumentException if either is not above nothing
     */
    public function __construct(public float $mean, public float $shape)
    {
        if (! ($mean > 0) || ! ($shape > 0) || is_infinite($mean)) {
            throw new \InvalidArgumentException('Mean and shape are above nothing.');
        }
    }

    /**
     * The time at which a level is first reached.
     *
     * @param  float  $level  how far there is to go, above nothing
     * @param  float  $drift  per unit of time
     * @param  float  $variance  of what is gained in a unit of time
     */
    public static function firstPassage(float $level, float $drift, float $variance): self
    {
        return new self($level / $drift, $level * $level / $variance);
    }

    /** The share of first passages that have happened by a time. */
    public function distribution(float $time): float
    {
        if ($time <= 0) {
            return 0.0;
        }
        $root = sqrt($this->shape / $time);
        $a = $root * ($time / $this->mean - 1);
        $b = $root * ($time / $this->mean + 1);
        $fall = exp(-$a * $a / 2) / 2;
        $far = self::scaledErfc($b / M_SQRT2);

        return $a <= 0
            ? $fall * (self::scaledErfc(-$a / M_SQRT2) + $far)
            : 1 - $fall * (self::scaledErfc($a / M_SQRT2) - $far);
    }

    public function density(float $time): float
    {
        return $time <= 0
            ? 0.0
            : sqrt($this->shape / (2 * M_PI * $time ** 3)) * exp(
                -$this->shape * ($time - $this->mean) ** 2 / (2 * $this->mean ** 2 * $time),
            );
    }

    /**
     * The time by which a share of first passages has happened: Newton's steps from a lognormal guess, halved back or
     * doubled whenever they leave what is known to hold it.
     *
     * @param  float  $share  above 0 and below 1
     */
    public function quantile(float $share): float
    {
        [$low, $high] = [0.0, INF];
        $time = $this->guess($share);
        for ($step = 0; $step < self::STEPS; $step++) {
            $error = $this->distribution($time) - $share;
            [$low, $high] = $error < 0 ? [$time, $high] : [$low, $time];
            $density = $this->density($time);
            $next = $density > 0 ? $time - $error / $density : 0.0;
            if ($next <= $low || $next >= $high) {
                $next = $high === INF ? 2 * $time : ($low + $high) / 2;
            }
            if (abs($next - $time) <= self::CLOSE * $time) {
                return $next;
            }
            $time = $next;
        }

        return $time;
    }

    /**
     * The same share of the lognormal distribution of the same mean and variance; its normal deviate after Tukey, good
     * to a hundredth.
     */
    private function guess(float $share): float
    {
        $spread = log(1 + $this->mean / $this->shape);
        $deviate = 4.91 * ($share ** 0.14 - (1 - $share) ** 0.14);

        return $this->mean * exp(sqrt($spread) * $deviate - $spread / 2);
    }

    /**
     * exp(x²)·erfc(x) for x ≥ 0, to about 13 figures. Source: NIST Digital Library of Mathematical Functions, 7.6.2
     * (series) and 7.9.1 (continued fraction).
     */
    public static function scaledErfc(float $x): float
    {
        return $x < 1.8 ? self::bySeries($x) : self::byFraction($x);
    }

    /** exp(x²) less the series for exp(x²)·erf(x), whose terms are all above nothing. */
    private static function bySeries(float $x): float
    {
        $term = 2 * $x / sqrt(M_PI);
        $sum = $term;
        for ($n = 1; $n < self::TERMS_OF_SERIES && $term > $sum * 1e-17; $n++) {
            $term *= 2 * $x * $x / (2 * $n + 1);
            $sum += $term;
        }

        return exp($x * $x) - $sum;
    }

    private static function byFraction(float $x): float
    {
        $below = $x;
        for ($n = 10 + (int) (self::DEPTH_OF_FRACTION / $x); $n >= 1; $n--) {
            $below = $x + $n / 2 / $below;
        }

        return 1 / (sqrt(M_PI) * $below);
    }
}
