<?php

declare(strict_types=1);

namespace Core\Measure;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;

/**
 * A number as a person writes it: `1.75`, `1,75`, `1 3/4`, `1¾`, `1-3/4`, `3/4`, `1,204.3`, `1 204,3`, `-12`.
 *
 * A single comma or dot is the decimal mark, except before exactly three digits, where it could as well set thousands
 * apart; and `13/4` could be 1 3/4. What can be read two ways is refused with both.
 */
final class WrittenNumber
{
    private const VULGAR = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
    ];

    private const LONGEST = 32;

    /** Ten to this many is more than anything on a yard. */
    private const DIGITS = 12;

    /** @throws Unreadable if it is no number, could be read two ways, or is too long to be meant */
    public static function parse(string $written): BigRational
    {
        $text = strtr(trim($written), ['−' => '-', '–' => '-', "\u{00A0}" => ' ', "\u{202F}" => ' ', '⁄' => '/']);
        $text = preg_replace('/\s+/u', ' ', $text) ?? '';
        if ($text === '') {
            throw new Unreadable('A number is missing.');
        }
        if (mb_strlen($text) > self::LONGEST) {
            throw new Unreadable('That number is too long to be read.');
        }
        foreach (self::VULGAR as $sign => $fraction) {
            $text = str_replace($sign, " {$fraction} ", $text);
        }
        $text = trim(preg_replace('/ +/', ' ', $text) ?? '');
        $text = preg_replace('/^([+-]) /', '$1', $text) ?? '';
        $negative = str_starts_with($text, '-');
        $value = self::unsigned(ltrim($text, '+-'), $written);

        return self::modest($negative ? $value->negated() : $value);
    }

    /**
     * A value off a meter, or an interval. These have hundredths at most, so a comma before three digits can only set
     * thousands apart; a dot there is asked about.
     *
     * @throws Unreadable as {@see self::parse()}
     */
    public static function ofMeter(string $written): BigRational
    {
        return self::parse(preg_replace('/^([+-]?\d{1,3}),(\d{3})$/', '$1$2', trim($written)) ?? $written);
    }

    /**
     * A decimal as programs write it, its mark a dot; anything else as {@see self::parse()} reads it.
     *
     * @throws Unreadable
     */
    public static function ofProgram(string $written): BigRational
    {
        return preg_match('/^-?\d{1,30}(\.\d{1,30})?$/', $written)
            ? self::modest(BigRational::of($written))
            : self::parse($written);
    }

    private static function modest(BigRational $value): BigRational
    {
        if ($value->abs()->isGreaterThanOrEqualTo(BigInteger::of(10)->power(self::DIGITS))) {
            throw new Unreadable('That number is larger than anything on a yard.');
        }

        return $value;
    }

    private static function unsigned(string $text, string $written): BigRational
    {
        if (preg_match('~^(?:(\d+)[ -])?(\d+) ?/ ?(\d+)$~', $text, $part)) {
            if (ltrim($part[3], '0') === '') {
                throw new Unreadable(Plain::quoted($written).' divides by zero.');
            }
            if ($part[1] === '') {
                self::refuseLostSpace($part[2], $part[3]);
            }
            $fraction = BigRational::nd($part[2], $part[3]);

            return $part[1] === '' ? $fraction : $fraction->plus($part[1]);
        }
        $decimal = self::decimal($text, $written);

        return BigRational::of($decimal);
    }

    /**
     * What one step of the last written digit stands for: a tenth for `7.5`, an eighth for `1 3/8`, one for `8`.
     *
     * @param  string  $written  a number, alone or with its unit
     */
    public static function resolution(string $written): BigRational
    {
        $written = strtr(
            $written,
            array_map(fn (string $fraction): string => " {$fraction}", self::VULGAR) + ['⁄' => '/'],
        );

        return match (true) {
            preg_match('~\d\s*/\s*0*([1-9]\d{0,9})~', $written, $part) === 1 => BigRational::nd(1, $part[1]),
            preg_match('/\d[.,](\d{1,20})(?!\d)/', $written, $part) === 1 => BigRational::nd(
                1,
                BigInteger::of(10)->power(strlen($part[1])),
            ),
            default => BigRational::one(),
        };
    }

    /** `13/4` may be 1 3/4 without its space. */
    private static function refuseLostSpace(string $numerator, string $denominator): void
    {
        for ($digits = 1; $digits < strlen($numerator); $digits++) {
            [$whole, $rest] = [substr($numerator, 0, $digits), substr($numerator, $digits)];
            if (
                ! str_starts_with($rest, '0')
                && (int) $rest < (int) $denominator
                && (int) $numerator > (int) $denominator
            ) {
                $quotient = intdiv((int) $numerator, (int) $denominator);
                throw new Unreadable(sprintf('"%s/%s" can be read two ways. Write %s %s/%s or %s.', $numerator, $denominator, $whole, $rest, $denominator,
                    (int) $numerator % (int) $denominator === 0
                        ? $quotient
                        : sprintf('%d %d/%s', $quotient, (int) $numerator % (int) $denominator, $denominator)));
            }
        }
    }

    private static function decimal(string $text, string $written): string
    {
        if (preg_match('/^[1-9]\d{0,2}[,.]\d{3}$/', $text)) {
            throw TwoWays::of($text);
        }
        if (preg_match('/^(?:\d+\.?\d*|\.\d+)$/', $text)) {
            return rtrim(str_starts_with($text, '.') ? '0'.$text : $text, '.');
        }
        if (preg_match('/^(?:\d+,\d*|,\d+)$/', $text)) {
            return self::decimal(str_replace(',', '.', $text), $written);
        }
        if (preg_match("/^\d{1,3}(?:[, ']\d{3})+(?:\.\d+)?$/", $text)) {
            return str_replace([',', ' ', "'"], '', $text);
        }
        if (preg_match("/^\d{1,3}(?:[. ']\d{3})+,\d+$/", $text)) {
            return str_replace(',', '.', str_replace(['.', ' ', "'"], '', $text));
        }
        throw new Unreadable(Plain::quoted($written).' is not a number. Write it like 1.75, 1,75 or 1 3/4.');
    }
}
