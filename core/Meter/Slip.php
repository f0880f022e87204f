<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;

/** Finds what was probably meant by a mistyped reading: a decimal point lost or misplaced, two digits swapped, one missing or doubled. */
final class Slip
{
    /**
     * @param  float  $days  days since the previous reading
     * @return BigDecimal|null the value that a single slip explains and that the machine could have reached; the most likely slip first, then the
     *                         value nearest to the previous reading
     */
    public static function likelyMeant(BigDecimal $previous, BigDecimal $typed, float $days, int $mostPerDay): ?BigDecimal
    {
        $limit = $previous->plus(BigDecimal::of(sprintf('%.6F', $days * $mostPerDay)));
        foreach ([self::movedPoints($typed), self::swappedDigits($typed), self::digitsTooMany($typed), self::digitsMissing($typed)] as $candidates) {
            $reachable = array_filter($candidates, fn (BigDecimal $candidate): bool => $candidate->isGreaterThanOrEqualTo($previous)
                && $candidate->isLessThanOrEqualTo($limit) && ! $candidate->isEqualTo($typed));
            if ($reachable !== []) {
                return BigDecimal::min(...$reachable);
            }
        }

        return null;
    }

    /** @return list<BigDecimal> */
    private static function movedPoints(BigDecimal $typed): array
    {
        return array_map(fn (int $places): BigDecimal => $typed->withPointMovedLeft($places)->stripTrailingZeros(), [1, 2, -1, -2]);
    }

    /** @return list<BigDecimal> */
    private static function swappedDigits(BigDecimal $typed): array
    {
        return self::respelled($typed, function (string $digits): iterable {
            for ($i = 0; $i < strlen($digits) - 1; $i++) {
                yield substr($digits, 0, $i).$digits[$i + 1].$digits[$i].substr($digits, $i + 2);
            }
        });
    }

    /** @return list<BigDecimal> */
    private static function digitsTooMany(BigDecimal $typed): array
    {
        return self::respelled($typed, function (string $digits): iterable {
            for ($i = 0; $i < strlen($digits) && strlen($digits) > 1; $i++) {
                yield substr($digits, 0, $i).substr($digits, $i + 1);
            }
        });
    }

    /** @return list<BigDecimal> */
    private static function digitsMissing(BigDecimal $typed): array
    {
        return self::respelled($typed, function (string $digits): iterable {
            for ($i = 0; $i <= strlen($digits); $i++) {
                foreach (range(0, 9) as $digit) {
                    yield substr($digits, 0, $i).$digit.substr($digits, $i);
                }
            }
        });
    }

    /**
     * @param  \Closure(string): iterable<string>  $respell
     * @return list<BigDecimal> the respelled digits with the decimals where they were
     */
    private static function respelled(BigDecimal $typed, \Closure $respell): array
    {
        $values = [];
        foreach ($respell((string) $typed->getUnscaledValue()) as $digits) {
            $values[] = BigDecimal::ofUnscaledValue($digits, $typed->getScale());
        }

        return $values;
    }
}
