<?php

declare(strict_types=1);

namespace Core\Supply;

/** A part's number, however its groups are set apart. */
final class PartNumber
{
    /** The same for all ways in which one number is written: `AS 15-208`, `as15208`. */
    public static function bare(string $number): string
    {
        return mb_strtolower(preg_replace('/[\s.\-\/]+/', '', $number) ?? $number);
    }

    public static function same(string $one, string $other): bool
    {
        return $one !== '' && self::bare($one) === self::bare($other);
    }
}
