<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Machine\Limit;
use Core\Machine\Point;
use Core\Machine\Task;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\MeterUnit;

/** What a rule says of one machine now. */
final readonly class Standing
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
     * @param  array<string, DuePoint>  $points  by the name of their limit
     * @param  list<string>  $notes
     */
    private function __construct(
        public Rule $rule,
        public State $state,
        public array $points,
        public ?DuePoint $limiting,
        public array $notes,
        public ?Point $last,
        private ?Call $call = null,
        private ?string $host = null,
        private string $apart = '',
    ) {
    }

    /**
     * @param  Point|null  $start  the machine's beginning, or null where its history is unknown
     * @param  list<Point>  $done  in any order
     * @param  list<Point>  $skipped  the points that were passed over on purpose, in any order
     * @param  Call|null  $call  what a check has said since it was last done
     * @param  string  $apart  which of its spots were not done with the others, in a sentence
     */
    public static function of(
        Rule $rule,
        ?Point $start,
        array $done,
        Point $now,
        array $skipped = [],
        ?Call $call = null,
        string $apart = '',
    ): self {
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
        $limiting = self::earliest($points);
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

        return new self($rule, $state, $points, $limiting, $notes, $newest, $call, apart: $apart);
    }

    /**
     * Of a task that goes with another, and has no interval of its own or comes later by it: due whenever the other is.
     *
     * @param  Point|null  $last  when it was last done itself
     */
    public static function goingWith(Task $host, self $hosts, ?self $own, ?Point $last): self
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

        return new self(
            $hosts->rule,
            $hosts->state,
            $hosts->points,
            $hosts->limiting,
            $notes,
            $hosts->last,
            $hosts->call,
            $host->name,
        );
    }

    /** Whether it is due because a check said so, before its own point came. */
    public function isCalled(): bool
    {
        return $this->call !== null;
    }

    /** Hours this fluid or part will have run at the due point, from the last time it was done. */
    public function runsFor(): ?BigDecimal
    {
        $hours = $this->points[Limit::Hours->value] ?? null;

        return $hours === null ? null : $hours->at->minus($hours->since);
    }

    public function shareUsed(): BigDecimal
    {
        return $this->limiting?->shareUsed() ?? BigDecimal::zero();
    }

    public function dueDate(): ?\DateTimeImmutable
    {
        $date = $this->points[Limit::Date->value] ?? null;

        return $date === null ? null : Day::of($date->at->toInt());
    }

    /**
     * One plain sentence with its numbers.
     *
     * @param  MeterUnit  $distance  the unit that distances are told in
     */
    public function why(MeterUnit $distance = MeterUnit::Kilometres): string
    {
        $words = $this->whyAlone($distance);

        return $this->host === null ? $words : 'Goes with '.Plain::within($this->host).': '.Plain::within($words);
    }

    private function whyAlone(MeterUnit $distance): string
    {
        if ($this->call !== null) {
            return sprintf(
                'A check on %s called for it: %s.',
                Plain::day($this->call->on),
                rtrim($this->call->because, '.'),
            );
        }
        if ($this->limiting !== null) {
            return implode(
                ' ',
                array_filter(
                    [
                        $this->whence($this->limiting, $distance),
                        self::left($this->limiting, $distance),
                        $this->tightening($this->limiting, $distance),
                        $this->apart,
                        $this->state === State::Unknown ? $this->notes[0] ?? '' : '',
                    ],
                ),
            );
        }

        return match (true) {
            $this->state === State::Unknown => ($this->apart === '' ? 'Nobody knows when this was last done.' : "{$this->apart} So nobody knows when the whole was last done.").' Say when, or do it now.',
            $this->rule->condition !== null => "Only when a check says so: {$this->rule->condition}. None has.",
            default => 'It was due once and has been done; it does not come again.',
        };
    }

    /** The book's interval, the factor and the result, where this limit was shortened. */
    private function tightening(DuePoint $point, MeterUnit $distance): string
    {
        return $point->window === null
            ? ($this->rule->tightenings[$point->limit->value] ?? null)?->inWords($distance)
            ?? ''
            : '';
    }

    /** `Due at 575.9 h, 100 h after 475.9 h.` */
    private function whence(DuePoint $point, MeterUnit $distance): string
    {
        $due = 'Due '.self::position($point, $point->at, $distance);
        $since = self::position($point, $point->since, $distance);
        if ($point->window !== null) {
            return "Due {$point->window->when()}, last done ".($this->last === null ? 'never.' : "{$since}.");
        }
        $every = $this->rule->every->only($point->limit);
        if ($this->isFirst($point)) {
            return "{$due} for the first time, counted from ".self::bare($since).'.';
        }
        if ($this->rule->anchor === Anchor::FromDone) {
            return "{$due}, {$every->inWords($distance)} after ".self::bare($since).($this->last !== null ? '.' : ', its beginning.');
        }

        return "{$due} by the chart of every {$every->inWords($distance)}, last done ".($this->last !== null ? "{$since}." : 'never.');
    }

    private function isFirst(DuePoint $point): bool
    {
        $every = $this->rule->every->length($point->limit);
        foreach ($this->rule->first as $first) {
            if (
                $first->length($point->limit)?->isEqualTo($point->at) === true
                && ($every === null || ! $point->at->minus($point->since)->isEqualTo($every))
            ) {
                return true;
            }
        }

        return ! $this->rule->every->gives($point->limit);
    }

    private static function bare(string $position): string
    {
        return substr($position, 3);
    }

    private static function left(DuePoint $point, MeterUnit $distance): string
    {
        $remaining = $point->remaining;
        $amount = self::amount($point->limit, $remaining->abs(), $distance);
        $allowed = self::amount($point->limit, $point->late, $distance);
        if ($point->window !== null) {
            $closing = $remaining->plus($point->late);

            return match ($point->state) {
                State::Fresh, State::Nearing => "Begins in {$amount}.",
                State::Due => $closing->isZero()
                    ? 'Today is its last day.'
                    : 'Ends in '.self::amount($point->limit, $closing, $distance).'.',
                default => 'Ended '.self::amount($point->limit, $closing->abs(), $distance).' ago.',
            };
        }

        return match ($point->state) {
            State::Fresh => "{$amount} left.",
            State::Nearing => "{$amount} left, inside the early window.",
            State::Due => $remaining->isZero() ? 'That is now.' : "That was {$amount} ago, {$allowed} late is allowed.",
            default => "Past by {$amount}, allowed {$allowed}.",
        };
    }

    /** `at 575.9 h`, `on 24 October` */
    private static function position(DuePoint $point, BigDecimal $at, MeterUnit $distance): string
    {
        return $point->limit === Limit::Date
            ? 'on '.Plain::nearDay(Day::of($at->toInt()), Day::of($point->now->toInt()))
            : 'at '.self::amount($point->limit, $at, $distance);
    }

    private static function amount(Limit $limit, BigDecimal $amount, MeterUnit $distance): string
    {
        return match ($limit) {
            Limit::Hours => Plain::number($amount).' h',
            Limit::Distance => Plain::number($distance->fromReckoned($amount)).' '.$distance->value,
            Limit::Date => Plain::count($amount->toScale(0, RoundingMode::DOWN)->toInt(), 'day'),
        };
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
            return $now->date === null ? null : self::earliest(array_filter([
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

    /** @param  array<DuePoint>  $points */
    private static function earliest(array $points): ?DuePoint
    {
        $earliest = null;
        foreach ($points as $point) {
            if ($earliest === null || $point->comesBefore($earliest)) {
                $earliest = $point;
            }
        }

        return $earliest;
    }

    /**
     * A service that lies ahead of what the machine shows: one of both is wrong.
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
                        'A service is recorded at %s, and the meter stands at %s: one of both is wrong.',
                        self::amount($limit, $last, MeterUnit::Kilometres),
                        self::amount($limit, $present, MeterUnit::Kilometres),
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
            $most = $runs->isGreaterThan($every) ? $every->multipliedBy($rule->late->plus(1)) : $runs;
            if ($runs->isGreaterThan($most)) {
                $remarks[] = sprintf(
                    'Runs for %s h until then, over the %s h allowed.',
                    Plain::number($runs),
                    Plain::number($most),
                );
            }
        }
        if ($rule->isLooserThanBook()) {
            $remarks[] = sprintf('Looser than the book, which says every %s.', $rule->book?->inWords());
        }
        if ($rule->anchor === Anchor::Chart && $rule->every->months !== null && $start?->date === null) {
            $remarks[] = 'The chart has no beginning date, so months are counted from the last service.';
        }

        return $remarks;
    }
}
