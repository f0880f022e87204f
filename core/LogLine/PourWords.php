<?php

declare(strict_types=1);

namespace Core\LogLine;

use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/** The amounts of fluid in a log line: `+0.3 qt`, `-1.9L`, `+1 1/2 fl oz`. What has a volume's unit is no meter's. */
final class PourWords
{
    /** Words that a unit may have: `imp fl oz`. */
    private const LONGEST_UNIT = 3;

    /**
     * @param  list<string>  $words
     * @return array{Quantity, string, bool, list<string>}|null the amount, as it was written, whether it went out, and
     *     the other words; null where no volume is named
     *
     * @throws NotUnderstood if the amount cannot be read
     */
    public static function take(array $words): ?array
    {
        foreach ($words as $at => $word) {
            if (! preg_match('~^([+\-−–]?)([\d.,½⅓⅔¼¾⅛⅜⅝⅞/]*[\d½⅓⅔¼¾⅛⅜⅝⅞])(\p{L}*)$~u', $word, $part)) {
                continue;
            }
            [$number, $used] = [$part[2], 1];
            if ($part[3] === '' && preg_match('~^\d+/\d+$~', $words[$at + 1] ?? '')) {
                [$number, $used] = ["{$number} {$words[$at + 1]}", 2];
            }
            $unit = $part[3] === '' ? self::unitAfter($words, $at + $used) : [$part[3], 0];
            if ($unit === null || Unit::fromWord($unit[0])?->dimension() !== Dimension::Volume) {
                continue;
            }
            $typed = "{$number} {$unit[0]}";
            array_splice($words, $at, $used + $unit[1]);
            try {
                $amount = Quantity::parse($typed);
            } catch (Unreadable $unreadable) {
                throw new NotUnderstood($unreadable->getMessage());
            }

            return $amount->value->isZero()
                ? throw new NotUnderstood('Nothing went in: how much was it?')
                : [$amount, $typed, ! in_array($part[1], ['', '+'], true), $words];
        }

        return null;
    }

    /**
     * @param  list<string>  $words
     * @return array{string, int}|null the longest run of words that is a volume's unit, and how many
     */
    private static function unitAfter(array $words, int $at): ?array
    {
        for ($length = self::LONGEST_UNIT; $length > 0; $length--) {
            $taken = array_slice($words, $at, $length);
            $unit = implode(' ', array_map(fn (string $word): string => rtrim($word, ','), $taken));
            if (count($taken) === $length && Unit::fromWord($unit)?->dimension() === Dimension::Volume) {
                return [$unit, $length];
            }
        }

        return null;
    }
}
