<?php

declare(strict_types=1);

namespace Core\Grease;

use Core\Machine\Point;
use Core\Measure\Plain;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\StandingOf;
use Core\Schedule\State;

/** What a grease point's history says now: never done, missed, due, fresh, or given too much. */
final readonly class PointStanding
{
    private function __construct(
        public State $state,
        public ?Greasing $last,
        public bool $isOverGreased,
        public string $why,
    ) {}

    /**
     * @param  list<Greasing>  $greased  in any order
     * @param  Rule|null  $rule  of the task that the point is greased by; null where none says when
     * @param  Point|null  $start  where the rule counts from where nobody has greased it yet
     * @param  \DateTimeImmutable|null  $refused  the last day on which the grease did not go in, if it has not gone in
     *     since
     * @param  State|null  $withHost  what its task says where it is done in the course of another: it waits for that
     *     one, whenever it was greased
     */
    public static function of(
        GreasePoint $point,
        array $greased,
        ?Rule $rule,
        ?Point $start,
        Point $now,
        ?\DateTimeImmutable $refused = null,
        ?State $withHost = null,
    ): self {
        $strokes = new Strokes($point, $greased, $rule->every ?? new Interval);
        $enough = $strokes->lastEnough();
        $standing = $rule === null ? null : StandingOf::rule($rule, $start, $enough === null ? [] : [$enough->point], $now);
        $state = $withHost ?? $standing->state ?? ($enough === null ? State::Unknown : State::Fresh);
        $last = $strokes->last();
        if ($last === null) {
            return new self($state, null, false, self::refused($refused, $now).'Nobody has ever recorded grease here.');
        }
        $together = $strokes->togetherAt($last);
        $tooMuch = $point->most !== null && $together > $point->most;

        return new self($state, $last, $tooMuch, self::refused($refused, $now).match (true) {
            $tooMuch => Plain::count($together, 'stroke').", at most {$point->most}: wipe off what comes out, and look at ".($point->most === 1 ? 'the belt beside it.' : 'the seal.'),
            ! $strokes->isEnough($last) => 'Only '.Plain::count($together, 'stroke')." of {$point->strokes}: not enough to count.",
            default => self::since($last, $rule, $now),
        });
    }

    private static function refused(?\DateTimeImmutable $refused, Point $now): string
    {
        $days = $refused === null || $now->date === null ? null : (int) $refused->diff($now->date)->days;

        return $days === null
            ? ''
            : 'The grease did not go in '.($days === 0 ? 'today' : Plain::count($days, 'day').' ago').'. ';
    }

    private static function since(Greasing $last, ?Rule $rule, Point $now): string
    {
        $ago = $now->date === null
            || $last->point->date === null
            ? ''
            : ' '.Plain::count((int) $last->point->date->diff($now->date)->days, 'day').' ago';
        $run = $last->hours() === null
            || $now->hours === null
            ? ''
            : ', '.Plain::number($now->hours->minus($last->hours())).' h since';

        return ($last->strokes === null ? 'Greased, strokes not counted,' : Plain::count($last->strokes, 'stroke'))."{$ago}{$run}; ".($rule === null ? 'no rule says how often.' : ($rule->inWords() ?: 'with another task').'.');
    }
}
