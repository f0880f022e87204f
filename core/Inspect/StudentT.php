<?php

declare(strict_types=1);

namespace Core\Inspect;

/**
 * Student's t distribution, by the continued fraction of the incomplete beta function (Abramowitz and Stegun, 26.7.1
 * and 26.5.8).
 */
final readonly class StudentT
{
    private const TINY = 1e-300;

    public function __construct(private int $degreesOfFreedom)
    {
        if ($degreesOfFreedom < 1) {
            throw new \InvalidArgumentException('There is no t distribution without a degree of freedom.');
        }
    }

    /** The t that is not exceeded with a probability above one half and below 1. */
    public function quantile(float $probability): float
    {
        [$low, $high] = [0.0, 1.0];
        while ($this->atMost($high) < $probability) {
            $high *= 2;
        }
        for ($step = 0; $step < 100; $step++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->atMost($middle) < $probability ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /** The probability of at most t, for a t of nothing or more. */
    public function atMost(float $t): float
    {
        $freedom = $this->degreesOfFreedom;

        return 1 - self::incompleteBeta($freedom / ($freedom + $t * $t), $freedom / 2, 0.5) / 2;
    }

    private static function incompleteBeta(float $x, float $a, float $b): float
    {
        if ($x <= 0 || $x >= 1) {
            return $x <= 0 ? 0.0 : 1.0;
        }
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::incompleteBeta(1 - $x, $b, $a);
        }
        $front = exp(
            $a * log($x) + $b * log(1 - $x) + self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b),
        ) / $a;
        [$c, $d] = [1.0, 1 / self::away(1 - ($a + $b) * $x / ($a + 1))];
        $fraction = $d;
        for ($m = 1; $m <= 500; $m++) {
            foreach ([$m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)), -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1))] as $term) {
                $d = 1 / self::away(1 + $term * $d);
                $c = self::away(1 + $term / $c);
                $fraction *= $d * $c;
            }
            if (abs($d * $c - 1) < 1e-15) {
                break;
            }
        }

        return $front * $fraction;
    }

    /** Of a number of halves above nothing, by its recurrence down to one half or one. */
    private static function logGamma(float $halves): float
    {
        $sum = 0.0;
        for ($rest = $halves; $rest > 1; $rest--) {
            $sum += log($rest - 1 > 0 ? $rest - 1 : 1);
        }

        return $sum + ($rest === 0.5 ? log(M_PI) / 2 : 0.0);
    }

    private static function away(float $fromNothing): float
    {
        return abs($fromNothing) < self::TINY ? self::TINY : $fromNothing;
    }
}
