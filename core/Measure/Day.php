<?php

declare(strict_types=1);

namespace Core\Measure;

/** Days counted from 1 January 1970, so that dates can be reckoned like hours. */
final class Day
{
    public static function number(\DateTimeImmutable $day): int
    {
        [$year, $month, $dayOfMonth] = self::parts($day);

        return self::numberOf($year, $month, $dayOfMonth);
    }

    public static function of(int $number): \DateTimeImmutable
    {
        return new \DateTimeImmutable('@'.$number * 86400);
    }

    /** The same day of a later month, or that month's last day where it has no such day. */
    public static function addMonths(\DateTimeImmutable $day, int $months): \DateTimeImmutable
    {
        [$year, $month, $dayOfMonth] = self::parts($day);
        $count = $year * 12 + $month - 1 + $months;
        [$year, $month] = [intdiv($count, 12), $count % 12 + 1];

        return self::of(self::numberOf($year, $month, min($dayOfMonth, self::daysIn($year, $month))));
    }

    /** Whole calendar months from one day's month to another's. */
    public static function monthsBetween(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        [$fromYear, $fromMonth] = self::parts($from);
        [$toYear, $toMonth] = self::parts($to);

        return ($toYear - $fromYear) * 12 + $toMonth - $fromMonth;
    }

    /** @return array{int, int, int} year, month, day of the month */
    private static function parts(\DateTimeImmutable $day): array
    {
        [$year, $month, $dayOfMonth] = explode('-', $day->format('Y-m-d'));

        return [(int) $year, (int) $month, (int) $dayOfMonth];
    }

    public static function daysIn(int $year, int $month): int
    {
        return self::numberOf($year, $month + 1, 1) - self::numberOf($year, $month, 1);
    }

    /** Counted from 1 January 1970; months beyond December are of the next year. */
    public static function numberOf(int $year, int $month, int $day): int
    {
        return intdiv((int) gmmktime(0, 0, 0, $month, $day, $year), 86400);
    }
}
