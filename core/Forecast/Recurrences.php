<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Measure\Day;

/** The days on which a task will probably be done until some day: once, and again after each interval. */
final class Recurrences
{
    /** A shorter interval than a week is no reason to buy for three months ahead. */
    private const MOST = 12;

    /**
     * @param  Usage|null  $hours  how the hours come, where that is known
     * @param  Usage|null  $km  how the kilometres come, where that is known
     * @return list<int> days since 1970, the first of them however far off; empty where nobody can tell
     */
    public static function days(TaskStanding $task, ?Usage $hours, ?Usage $km, int $today, int $until): array
    {
        $first = $task->when?->p50;
        if ($first === null) {
            return [];
        }
        // What is past is done at the earliest today.
        $day = max($first, $today);
        $days = [$first];
        $every = $task->standing->rule->every;
        while ($day <= $until && count($days) < self::MOST) {
            $next = array_filter([
                self::after($hours, $day, $every->hours),
                self::after($km, $day, $every->km),
                $every->months === null ? null : Day::number(Day::addMonths(Day::of($day), $every->months)),
            ]);
            if ($next === [] || min($next) <= $day || min($next) > $until) {
                break;
            }
            $days[] = $day = min($next);
        }

        return $days;
    }

    private static function after(?Usage $use, int $day, ?BigDecimal $interval): ?int
    {
        return $use === null || $interval === null
            ? null
            : $use->expectedDay($interval->plus(sprintf('%.2F', $use->runBy($day))));
    }
}
