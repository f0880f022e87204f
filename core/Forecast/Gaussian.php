<?php

declare(strict_types=1);

namespace Core\Forecast;

/** The tails of the normal distribution, without the loss of figures that plain `exp` times `erfc` suffers far out. */
final class Gaussian
{
    private const TERMS_OF_SERIES = 60;

    private const DEPTH_OF_FRACTION = 80;

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
