<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;

/** The points of a rule along the calendar. The chart's months are counted from the machine's beginning; without one, from the last service. */
final readonly class DatedCourse
{
    public function __construct(private Rule $rule)
    {
    }

    /**
     * @param  \DateTimeImmutable|null  $start  the machine's known beginning
     * @param  \DateTimeImmutable|null  $done  the day it was last done
     * @param  \DateTimeImmutable|null  $skipped  the day of the last point that was passed over on purpose
     * @return DuePoint|null null where nothing further comes, or nothing is known
     */
    public function next(?\DateTimeImmutable $start, ?\DateTimeImmutable $done, \DateTimeImmutable $today, ?\DateTimeImmutable $skipped = null): ?DuePoint
    {
        $since = $done ?? $start;
        $counted = $done === null || $skipped > $done ? $skipped : $done;
        if ($since === null) {
            return null;
        }
        $point = $this->firstAfter($start, $counted) ?? $this->recurring($start, $counted, $counted ?? $since);
        if ($point === null) {
            return null;
        }
        [$at, $length] = $point;
        $length = BigDecimal::of($length);

        return new DuePoint(Limit::Date, BigDecimal::of(Day::number($since)), BigDecimal::of(Day::number($at)), BigDecimal::of(Day::number($today)),
            $length->multipliedBy($this->rule->early), $length->multipliedBy($this->rule->late));
    }

    /** @return array{\DateTimeImmutable, int}|null the day and the interval's length in days */
    private function firstAfter(?\DateTimeImmutable $start, ?\DateTimeImmutable $done): ?array
    {
        if ($start === null) {
            return null;
        }
        $months = array_filter(array_map(fn (Interval $first): ?int => $first->months, $this->rule->first));
        sort($months);
        foreach ($months as $month) {
            $point = Day::addMonths($start, $month);
            $length = Day::number($point) - Day::number($start);
            if ($done === null || ! $this->satisfies($done, $point, $length)) {
                $every = $this->rule->every->months;
                $counted = $done !== null && $every !== null && $this->rule->anchor === Anchor::FromDone ? Day::addMonths($done, $every) : $point;

                return [min($point, $counted), $length];
            }
        }

        return null;
    }

    /** @return array{\DateTimeImmutable, int}|null the day and the interval's length in days */
    private function recurring(?\DateTimeImmutable $start, ?\DateTimeImmutable $done, \DateTimeImmutable $since): ?array
    {
        $every = $this->rule->every->months;
        if ($every === null) {
            return null;
        }
        if ($this->rule->anchor === Anchor::FromDone || $start === null) {
            $at = Day::addMonths($since, $every);

            return [$at, Day::number($at) - Day::number($since)];
        }
        // Points well before the last service are satisfied; the search begins at the one before it.
        $count = $done === null ? 1 : max(1, intdiv(Day::monthsBetween($start, $done), $every));
        $previous = Day::addMonths($start, ($count - 1) * $every);
        for (; ; $count++) {
            $at = Day::addMonths($start, $count * $every);
            $length = Day::number($at) - Day::number($previous);
            if ($done === null || ! $this->satisfies($done, $at, $length)) {
                return [$at, $length];
            }
            $previous = $at;
        }
    }

    private function satisfies(\DateTimeImmutable $done, \DateTimeImmutable $point, int $length): bool
    {
        return BigDecimal::of(Day::number($point))->isLessThanOrEqualTo($this->rule->early->multipliedBy($length)->plus(Day::number($done)));
    }
}
