<?php

declare(strict_types=1);

namespace Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Bare numbers as they stand in a sentence. */
final class Plain
{
    /** Rounded half up to at most two decimals, thousands set apart: `1,204.3`. */
    public static function number(BigDecimal $value): string
    {
        $text = (string) $value->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
        [$whole, $decimals] = explode('.', $text.'.');

        return preg_replace('/\B(?=(\d{3})+$)/', ',', $whole).($decimals === '' ? '' : '.'.$decimals);
    }

    /** `1 day`, `3 days`. */
    public static function count(int $count, string $noun): string
    {
        return number_format($count).' '.$noun.(abs($count) === 1 ? '' : 's');
    }

    /** `14 May 2026` */
    public static function day(\DateTimeImmutable $day): string
    {
        return $day->format('j F Y');
    }

    /** `14 May` in the year of another day, else `14 May 2026`. */
    public static function nearDay(\DateTimeImmutable $day, \DateTimeImmutable $other): string
    {
        return $day->format('Y') === $other->format('Y') ? $day->format('j F') : self::day($day);
    }

    /** What was typed, in quotes; of long junk only its beginning. */
    public static function quoted(string $typed): string
    {
        $typed = trim(preg_replace('/\s+/u', ' ', mb_scrub($typed)) ?? '');

        return mb_strlen($typed) <= 40 ? "\"{$typed}\"" : '"'.mb_substr($typed, 0, 32).' …"';
    }

    /**
     * `one`, `one or two`, `one, two or three`
     *
     * @param  list<string>  $words
     */
    public static function either(array $words): string
    {
        $last = (string) array_pop($words);

        return $words === [] ? $last : implode(', ', $words)." or {$last}";
    }

    /** The first letter small, as within a sentence; `PTO` stays. */
    public static function within(string $words): string
    {
        return preg_match('/^\p{Lu}{2}/u', $words) === 1
            ? $words
            : mb_strtolower(mb_substr($words, 0, 1)).mb_substr($words, 1);
    }
}
