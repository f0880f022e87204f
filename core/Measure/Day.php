<?php

declare(strict_types=1);

namespace Core\Measure;

/** Days counted from 1 January 1970, so that dates can be reckoned like hours. */
final class Day
{
    private const SECONDS = 86_400;

    private static ?\DateTimeImmutable $epoch = null;

    public static function number(\DateTimeImmutable $day): int
    {
        return (int) floor(($day->getTimestamp() + $day->getOffset()) / self::SECONDS);
    }

    public static function of(int $number): \DateTimeImmutable
    {
        return (self::$epoch ??= new \DateTimeImmutable('@0'))->setTimestamp($number * self::SECONDS);
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
        return match ($month) {
            2 => $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0) ? 29 : 28,
            4, 6, 9, 11 => 30,
            default => 31,
        };
    }

    /** Counted from 1 January 1970; months beyond December are of the next year. */
    public static function numberOf(int $year, int $month, int $day): int
    {
        return intdiv((int) gmmktime(0, 0, 0, $month, $day, $year), self::SECONDS);
    }
}
