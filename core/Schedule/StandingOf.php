<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Machine\Task;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;

/** Reckons what a rule says: along each of its limits, and which of them comes first. */
final class StandingOf
{
    private const UNREAD = [
        'hours' => 'Nobody has read the hour meter, so the hours cannot be judged.',
        'km' => 'Nobody has read the odometer, so the distance cannot be judged.',
        'date' => 'Today\'s date is not known, so the months cannot be judged.',
    ];

    private const UNRECORDED = [
        'hours' => 'The hours at the last service are not on record, so only the rest is judged.',
        'km' => 'The distance at the last service is not on record, so only the rest is judged.',
        'date' => 'The day of the last service is not on record, so only the rest is judged.',
    ];

    /**
     * @param  Point|null  $start  the machine's beginning, or null where its history is unknown
     * @param  list<Point>  $done  in any order
     * @param  list<Point>  $skipped  the points that were passed over on purpose, in any order
     * @param  Call|null  $call  what a check has said since it was last done
     * @param  string  $apart  which of its spots were not done with the others, in a sentence
     */
    public static function rule(
        Rule $rule,
        ?Point $start,
        array $done,
        Point $now,
        array $skipped = [],
        ?Call $call = null,
        string $apart = '',
    ): Standing {
        $points = $unjudged = [];
        $begun = false;
        $met = $rule->firstPointsMet($start, [...$done, ...$skipped]);
        $furthest = self::furthestAlongEach($done);
        foreach (array_filter(Limit::cases(), $rule->uses(...)) as $limit) {
            $last = $furthest[$limit->value] ?? null;
            $known = $last !== null || $start?->along($limit) !== null;
            $begun = $begun || $known;
            $note = match (true) {
                $now->along($limit) === null => self::UNREAD[$limit->value],
                ! $known && ($done !== [] || $start !== null) => self::UNRECORDED[$limit->value],
                default => null,
            };
            if ($note !== null) {
                $unjudged[] = $note;

                continue;
            }
            $point = self::along($limit, $rule, $start, $last, self::furthest($skipped, $limit), $now, $met);
            if ($point !== null) {
                $points[$limit->value] = $point;
            }
        }
        $limiting = DuePoint::earliest($points);
        $notes = [
            ...$unjudged,
            ...self::ahead($furthest, $now),
            ...self::remarks($rule, $start, $points[Limit::Hours->value] ?? null),
        ];
        $state = $limiting->state ?? (! $rule->comesByItself() || $begun ? State::Fresh : State::Unknown);
        if ($unjudged !== [] && $state === State::Fresh) {
            $state = State::Unknown;
        }
        if ($call !== null && State::Due->isMoreUrgentThan($state)) {
            $state = State::Due;
        }

        $newest = $furthest[Limit::Date->value] ?? $done[0] ?? null;

        return new Standing($rule, $state, $points, $notes, $newest, $call, apart: $apart);
    }

    /**
     * Of a task that goes with another, and has no interval of its own or comes later by it: due whenever the other is.
     *
     * @param  Point|null  $last  when it was last done itself
     */
    public static function goingWith(Task $host, Standing $hosts, ?Standing $own, ?Point $last): Standing
    {
        if (
            $own !== null
            && (
                $own->call !== null
                || $hosts->limiting === null
                || $own->limiting?->comesBefore($hosts->limiting) === true
            )
        ) {
            return $own;
        }
        $missed = $hosts->last?->date !== null && ($last?->date === null || $last->date < $hosts->last->date);
        $notes = $missed
            ? [
                sprintf(
                    'Left out when %s was last done, on %s.',
                    Plain::within($host->name),
                    Plain::day($hosts->last->date),
                ),
            ]
            : [];

        return new Standing(
            $hosts->rule,
            $hosts->state,
            $hosts->points,
            $notes,
            $hosts->last,
            $hosts->call,
            $host->name,
        );
    }

    /** @param  list<Interval>  $met  the first points that are met */
    private static function along(
        Limit $limit,
        Rule $rule,
        ?Point $start,
        ?Point $last,
        ?Point $skipped,
        Point $now,
        array $met,
    ): ?DuePoint {
        if ($limit === Limit::Date) {
            return $now->date === null ? null : DuePoint::earliest(array_filter([
                (new DatedCourse($rule))->next(
                    $start?->date,
                    $last?->date,
                    $now->date,
                    $skipped?->date,
                    $met === [] ? 0 : max(array_map(fn (Interval $first): int => $first->months ?? 0, $met)),
                ),
                (new SeasonCourse($rule))->next($start?->date, $last?->date, $now->date, $skipped?->date),
            ]));
        }
        $position = $now->along($limit);
        $lastMet = $met === [] ? null : BigDecimal::max(
            0,
            ...array_filter(array_map(fn (Interval $first): ?BigDecimal => $first->length($limit), $met)),
        );

        return $position === null
            ? null
            : (new MeteredCourse($rule, $limit))->next(
                $start?->along($limit),
                $last?->along($limit),
                $position,
                $skipped?->along($limit),
                $lastMet,
            );
    }

    /** @param  list<Point>  $done */
    public static function newest(array $done): ?Point
    {
        return self::furthest($done, Limit::Date) ?? $done[0] ?? null;
    }

    /**
     * @param  list<Point>  $done
     * @return array<string, Point> by the name of each limit that one of them knows
     */
    private static function furthestAlongEach(array $done): array
    {
        $furthest = [];
        foreach ($done === [] ? [] : Limit::cases() as $limit) {
            $point = self::furthest($done, $limit);
            if ($point !== null) {
                $furthest[$limit->value] = $point;
            }
        }

        return $furthest;
    }

    /** @param  list<Point>  $done */
    private static function furthest(array $done, Limit $limit): ?Point
    {
        $furthest = null;
        foreach ($done as $point) {
            $position = $point->along($limit);
            if (
                $position !== null
                && ($furthest === null || $position->isGreaterThan($furthest->along($limit) ?? $position))
            ) {
                $furthest = $point;
            }
        }

        return $furthest;
    }

    /**
     * A service that lies ahead of what the machine shows: one of the two is wrong.
     *
     * @param  array<string, Point>  $furthest  where it was last done, by the name of each limit
     * @return list<string>
     */
    private static function ahead(array $furthest, Point $now): array
    {
        $notes = [];
        foreach ($furthest as $name => $point) {
            $limit = Limit::from($name);
            [$last, $present] = [$point->along($limit), $now->along($limit)];
            if ($last !== null && $present !== null && $last->isGreaterThan($present)) {
                $notes[] = $limit === Limit::Date
                    ? 'A service is recorded for '.Plain::day(Day::of($last->toInt())).', which has not come yet.'
                    : sprintf(
                        'A service is recorded at %s, and the meter stands at %s: one of the two is wrong.',
                        StandingWords::amount($limit, $last, MeterUnit::Kilometres),
                        StandingWords::amount($limit, $present, MeterUnit::Kilometres),
                    );
            }
        }

        return $notes;
    }

    /** @return list<string> */
    private static function remarks(Rule $rule, ?Point $start, ?DuePoint $hours): array
    {
        $remarks = [];
        $every = $rule->every->hours;
        if ($hours !== null && $every !== null) {
            $runs = $hours->at->minus($hours->since);
            $most = $runs->isGreaterThan($every) ? $every->multipliedBy($rule->leeway->late->plus(1)) : $runs;
            if ($runs->isGreaterThan($most)) {
                $remarks[] = sprintf(
                    'Runs for %s h until then, over the %s h allowed.',
                    Plain::number($runs),
                    Plain::number($most),
                );
            }
        }
        if ($rule->isLooserThanBook()) {
            $remarks[] = sprintf('Looser than the book, which says every %s.', $rule->from->book?->inWords());
        }
        if ($rule->anchor === Anchor::Chart && $rule->every->months !== null && $start?->date === null) {
            $remarks[] = 'The chart has no beginning date, so months are counted from the last service.';
        }

        return $remarks;
    }
}
