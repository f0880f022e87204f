<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;

/**
 * What was probably meant by a mistyped reading: every value that one slip of a finger turns into what was typed, that
 * the meter can show and that the machine can have reached, weighed by how common the slip is and how usual the gain
 * would be. The weights are common practice, no source.
 */
final class Slip
{
    private const POINT_LOST = 1.0;

    private const POINT_MOVED = 0.4;

    private const DIGIT_DOUBLED = 0.6;

    private const NEIGHBOUR_TOO = 0.15;

    private const DIGIT_TOO_MANY = 0.05;

    private const DOUBLE_LOST = 0.4;

    private const DIGIT_LOST = 0.3;

    private const SWAPPED = 0.7;

    private const NEIGHBOUR_INSTEAD = 0.3;

    /** Keys beside and above each other on a row of digits and on a pad of twelve. */
    private const NEIGHBOURS = [
        '0' => '9128',
        '1' => '204',
        '2' => '1350',
        '3' => '246',
        '4' => '15357',
        '5' => '2468',
        '6' => '35579',
        '7' => '648',
        '8' => '57790',
        '9' => '8606',
    ];

    /** How often a gain has nothing to do with what is usual. */
    private const LONG_DAYS = 0.05;

    /** A value that is so much likelier than all others together, and than the next, is suggested alone. */
    private const SURE = 0.72;

    private const AHEAD_OF_NEXT = 3;

    /** Of several, those are told that have at least this share. */
    private const WORTH_TELLING = 0.1;

    private const MOST_TOLD = 3;

    /**
     * @param  list<BigDecimal>  $meanings  the likeliest first
     * @param  bool  $isSure  whether the first stands out
     */
    private function __construct(public array $meanings, private bool $isSure) {}

    /**
     * @param  float  $days  that may have gone by since the previous reading
     * @param  int  $places  decimals that the meter shows
     * @param  float|null  $perWeek  what is usual for the machine, where that is known
     */
    public static function in(
        Reading $reading,
        BigDecimal $previous,
        float $days,
        int $mostPerDay,
        int $places,
        ?float $perWeek = null,
    ): self {
        $most = $previous->plus(BigDecimal::of(sprintf('%.6F', $days * $mostPerDay)));
        $weights = [];
        foreach (self::candidates(self::digits($reading), $places) as [$written, $weight]) {
            if (! preg_match('/^\d{1,9}(\.\d+)?$/', $written)) {
                continue;
            }
            $value = BigDecimal::of($written)->stripTrailingZeros();
            if (
                $value->getScale() <= $places
                && $value->isGreaterThanOrEqualTo($previous)
                && $value->isLessThanOrEqualTo($most)
                && ! $value->isEqualTo($reading->value)
            ) {
                $weights[(string) $value] = max(
                    $weights[(string) $value] ?? 0.0,
                    $weight * self::usualness($value->minus($previous)->toFloat(), $days, $mostPerDay, $perWeek),
                );
            }
        }
        arsort($weights);
        $sum = array_sum($weights);
        $shares = array_map(fn (float $weight): float => $sum > 0 ? $weight / $sum : 0.0, $weights);
        [$first, $second] = [reset($shares) ?: 0.0, next($shares) ?: 0.0];
        $isSure = $first >= self::SURE && $first >= self::AHEAD_OF_NEXT * $second;
        $told = array_slice(
            array_keys(array_filter($shares, fn (float $share): bool => $share >= self::WORTH_TELLING)),
            0,
            $isSure ? 1 : self::MOST_TOLD,
        );

        return new self(array_map(fn (int|string $value): BigDecimal => BigDecimal::of($value), $told), $isSure);
    }

    /** The one value that stands out; null where none does. */
    public function meant(): ?BigDecimal
    {
        return $this->isSure ? $this->meanings[0] : null;
    }

    /**
     * How likely a gain is, up to a factor: ever less beyond what is usual in so many days, yet a long day now and then
     * is nothing unheard of.
     */
    private static function usualness(float $gain, float $days, int $mostPerDay, ?float $perWeek): float
    {
        $times = $gain / ($perWeek === null ? $days * $mostPerDay / 6 : $perWeek * max(1, $days) / 7 + $mostPerDay / 240);

        return exp(-$times) + ($perWeek === null ? 0 : self::LONG_DAYS / (1 + $times ** 2));
    }

    private static function digits(Reading $reading): string
    {
        $typed = str_replace(',', '.', $reading->typed ?? '');

        return preg_match('/^\d+(\.\d+)?$/', $typed)
            && BigDecimal::of($typed)->isEqualTo($reading->value)
            ? $typed
            : (string) $reading->value->stripTrailingZeros();
    }

    /** @return iterable<array{string, float}> what may have been meant, and how common that slip is */
    private static function candidates(string $typed, int $places): iterable
    {
        yield from self::points($typed, $places);
        $length = strlen($typed);
        for ($at = 0; $at < $length; $at++) {
            [$digit, $next] = [$typed[$at], $typed[$at + 1] ?? ''];
            if ($digit === '.') {
                continue;
            }
            $without = substr($typed, 0, $at).substr($typed, $at + 1);
            yield [$without, self::tooMany($digit, $typed[$at - 1] ?? '', $next)];
            if ($next !== '' && $next !== '.') {
                yield [substr($typed, 0, $at).$next.$digit.substr($typed, $at + 2), self::SWAPPED];
            }
            foreach (array_unique(str_split(self::NEIGHBOURS[$digit])) as $neighbour) {
                yield [substr_replace($typed, $neighbour, $at, 1), self::NEIGHBOUR_INSTEAD];
            }
        }
        for ($at = 0; $at <= $length; $at++) {
            foreach (range(0, 9) as $digit) {
                $isDouble = ($typed[$at - 1] ?? '') === (string) $digit || ($typed[$at] ?? '') === (string) $digit;
                yield [
                    substr($typed, 0, $at).$digit.substr($typed, $at),
                    $isDouble ? self::DOUBLE_LOST : self::DIGIT_LOST,
                ];
            }
        }
    }

    /** @return iterable<array{string, float}> */
    private static function points(string $typed, int $places): iterable
    {
        $digits = str_replace('.', '', $typed);
        $isLost = $digits === $typed;
        if ($places > 0 && strlen($digits) > $places) {
            yield [
                substr($digits, 0, -$places).'.'.substr($digits, -$places),
                $isLost ? self::POINT_LOST : self::POINT_MOVED,
            ];
        }
        if (! $isLost) {
            yield [$digits, self::POINT_MOVED];
        } elseif ($places > 0) {
            foreach (range(0, 9) as $digit) {
                yield ["{$typed}.{$digit}", self::DIGIT_LOST];
            }
        }
    }

    private static function tooMany(string $digit, string $before, string $after): float
    {
        return match (true) {
            $digit === $before, $digit === $after => self::DIGIT_DOUBLED,
            str_contains(
                self::NEIGHBOURS[$digit],
                $before ?: 'none',
            ), str_contains(self::NEIGHBOURS[$digit], $after ?: 'none') => self::NEIGHBOUR_TOO,
            default => self::DIGIT_TOO_MANY,
        };
    }
}
