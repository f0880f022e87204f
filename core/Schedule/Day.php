<?php

declare(strict_types=1);

namespace Core\Schedule;

/** Days counted from 1 January 1970, so that dates can be reckoned like hours. */
final class Day
{
    public static function number(\DateTimeImmutable $day): int
    {
        return intdiv((int) (new \DateTimeImmutable($day->format('Y-m-d').'T00:00:00Z'))->format('U'), 86400);
    }

    public static function of(int $number): \DateTimeImmutable
    {
        return new \DateTimeImmutable('@'.$number * 86400);
    }

    public static function after(\DateTimeImmutable $day, int $days): \DateTimeImmutable
    {
        return self::of(self::number($day) + $days);
    }

    /** The same day of a later month, or that month's last day where it has no such day. */
    public static function addMonths(\DateTimeImmutable $day, int $months): \DateTimeImmutable
    {
        $first = $day->modify('first day of this month')->modify("+{$months} months");

        return $first->modify('+'.(min((int) $day->format('j'), (int) $first->format('t')) - 1).' days');
    }
}
