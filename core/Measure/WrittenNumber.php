<?php

declare(strict_types=1);

namespace Core\Measure;

use Brick\Math\BigRational;

/**
 * A number as a person writes it: `1.75`, `1,75`, `1 3/4`, `1¾`, `1-3/4`, `3/4`, `1,204.3`, `1 204,3`, `-12`.
 *
 * A single comma or dot is the decimal mark, except a comma before exactly three digits, which could be either and is refused.
 */
final class WrittenNumber
{
    private const VULGAR = ['½' => '1/2', '⅓' => '1/3', '⅔' => '2/3', '¼' => '1/4', '¾' => '3/4', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8'];

    private const LONGEST = 32;

    /**
     * @throws Unreadable if it is no number, could be read two ways, or is too long to be meant
     */
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
            $text = trim(str_replace($sign, ' '.$fraction, $text));
        }
        $text = preg_replace('/^([+-]) /', '$1', $text) ?? '';
        $negative = str_starts_with($text, '-');
        $value = self::unsigned(ltrim($text, '+-'), $written);

        return $negative ? $value->negated() : $value;
    }

    /**
     * A value off a meter, or an interval. These have hundredths at most, so a comma before three digits can only set thousands apart.
     *
     * @throws Unreadable as {@see self::parse()}
     */
    public static function ofMeter(string $written): BigRational
    {
        return self::parse(preg_replace('/^([+-]?\d{1,3}),(\d{3})$/', '$1$2', trim($written)) ?? $written);
    }

    private static function unsigned(string $text, string $written): BigRational
    {
        if (preg_match('~^(?:(\d+)[ -])?(\d+) ?/ ?(\d+)$~', $text, $part)) {
            if (ltrim($part[3], '0') === '') {
                throw new Unreadable("\"{$written}\" divides by zero.");
            }
            $fraction = BigRational::nd($part[2], $part[3]);

            return $part[1] === '' ? $fraction : $fraction->plus($part[1]);
        }
        $decimal = self::decimal($text, $written);

        return BigRational::of($decimal);
    }

    private static function decimal(string $text, string $written): string
    {
        if (preg_match('/^(?:\d+\.?\d*|\.\d+)$/', $text)) {
            return rtrim(str_starts_with($text, '.') ? '0'.$text : $text, '.');
        }
        if (preg_match('/^[1-9]\d{0,2},\d{3}$/', $text)) {
            throw new Unreadable(sprintf('"%s" can be read two ways. Write %s or %s.', $text, str_replace(',', '', $text), str_replace(',', '.', $text)));
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
        throw new Unreadable("\"{$written}\" is not a number. Write it like 1.75, 1,75 or 1 3/4.");
    }
}
