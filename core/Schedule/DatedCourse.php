<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Meter\Limit;

/**
 * The points of a rule along the calendar. The chart's months are counted from the machine's beginning; without one,
 * from the last service.
 */
final readonly class DatedCourse
{
    public function __construct(private Rule $rule) {}

    /**
     * @param  \DateTimeImmutable|null  $start  the machine's known beginning
     * @param  \DateTimeImmutable|null  $done  the day it was last done
     * @param  \DateTimeImmutable|null  $skipped  the day of the last point that was passed over on purpose
     * @param  int  $met  the months of the last first point that is met, in whichever dimension
     * @return DuePoint|null null where nothing further comes, or nothing is known
     */
    public function next(
        ?\DateTimeImmutable $start,
        ?\DateTimeImmutable $done,
        \DateTimeImmutable $today,
        ?\DateTimeImmutable $skipped = null,
        int $met = 0,
    ): ?DuePoint {
        $since = $done ?? $start;
        if ($since === null) {
            return null;
        }
        $counted = $done === null || $skipped > $done ? $skipped : $done;
        $point = $this->firstAfter($start, $counted, $met)
            ?? $this->recurring($start, $counted, $counted ?? $since, $met);
        if ($point === null) {
            return null;
        }
        [$at, $length] = $point;
        $length = BigDecimal::of($length);

        return new DuePoint(Limit::Date, BigDecimal::of(Day::number($since)), BigDecimal::of(Day::number($at)), BigDecimal::of(Day::number($today)),
            $length->multipliedBy($this->rule->leeway->early), $length->multipliedBy($this->rule->leeway->late));
    }

    /**
     * @return array{\DateTimeImmutable, int}|null the day, and how many days long the interval is whose shares its
     *     windows are
     */
    private function firstAfter(?\DateTimeImmutable $start, ?\DateTimeImmutable $counted, int $met): ?array
    {
        $months = array_filter(
            array_map(fn (Interval $first): ?int => $first->months, $this->rule->first),
            fn (?int $months): bool => $months > $met,
        );
        if ($start === null || $months === []) {
            return null;
        }
        $point = Day::addMonths($start, min($months));
        $every = $this->rule->every->months;
        if (
            $counted !== null
            && $every !== null
            && $this->rule->anchor === Anchor::FromDone
            && Day::addMonths($counted, $every) < $point
        ) {
            return $this->recurring($start, $counted, $counted, $met);
        }

        return [$point, Day::number($point) - Day::number($start)];
    }

    /** @return array{\DateTimeImmutable, int}|null the day and the interval's length in days */
    private function recurring(
        ?\DateTimeImmutable $start,
        ?\DateTimeImmutable $done,
        \DateTimeImmutable $since,
        int $met,
    ): ?array {
        $every = $this->rule->every->months;
        if ($every === null) {
            return null;
        }
        if ($this->rule->anchor === Anchor::FromDone || $start === null) {
            $at = Day::addMonths($since, $every);

            return [$at, Day::number($at) - Day::number($since)];
        }
        // Points well before the last service are satisfied; the search begins at the one before it.
        $count = max(intdiv($met, $every) + 1, $done === null ? 1 : intdiv(Day::monthsBetween($start, $done), $every));
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
        return BigDecimal::of(Day::number($point))->isLessThanOrEqualTo(
            $this->rule->leeway->early->multipliedBy($length)->plus(Day::number($done)),
        );
    }
}
