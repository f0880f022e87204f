<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Limit;
use Core\Schedule\Point;
use Core\Schedule\Rule;
use Core\Schedule\Source;
use Core\Schedule\Standing;

/** Where a rule stands. */
final class JudgeStanding implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $rule = $this->rule($given->within('rule', 'the rule'));
        $start = $given->has('start') ? $this->point($given->within('start', 'the beginning')) : null;
        $done = array_map($this->point(...), $given->rows('done', 'the services done'));
        $present = $this->point($given->within('now', 'the present reading'));
        if ($rule !== null) {
            $this->requireNow($given, $rule, $present);
        }
        $given->complete();
        assert($rule !== null);
        $standing = Standing::of($rule, $start, $done, $present);
        $points = $standing->points;

        return new Answer([
            'state' => $standing->state->value,
            'due' => [
                'hours' => Answer::number(($points['hours'] ?? null)?->at),
                'km' => Answer::number(($points['km'] ?? null)?->at),
                'date' => Answer::day($standing->dueDate()),
            ],
            'remaining' => [
                'hours' => Answer::number(($points['hours'] ?? null)?->remaining()),
                'km' => Answer::number(($points['km'] ?? null)?->remaining()),
                'days' => Answer::number(($points['date'] ?? null)?->remaining()),
            ],
            'limiting' => $standing->limiting?->limit->value,
            'runs_for' => ['hours' => Answer::number($standing->runsFor())],
            'share_used' => Answer::number($standing->shareUsed()),
            'notes' => $standing->notes,
        ], $standing->why(), ['common practice']);
    }

    private function rule(Fields $fields): ?Rule
    {
        $first = array_map($this->interval(...), $fields->rows('first', 'the first points'));
        $every = $fields->has('every') ? $this->interval($fields->within('every', 'the interval')) : new Interval;
        $book = $fields->has('book') ? $this->book($fields->within('book', 'the book\'s interval')) : null;
        $anchor = $fields->choice('anchor', Anchor::FromDone, 'the anchor');
        $source = $fields->choice('source', Source::Keeper, 'the source');
        $early = $fields->optionalNumber('early', 'the early window');
        $late = $fields->optionalNumber('late', 'the late window');
        try {
            return new Rule($every, $first, $anchor, $early, $late, $source, $book);
        } catch (\InvalidArgumentException $refused) {
            $fields->fault(str_contains($refused->getMessage(), 'window') ? 'early' : 'every', $refused->getMessage());

            return null;
        }
    }

    /** The book's interval stands there bare, or as a rule's `every`. */
    private function book(Fields $fields): Interval
    {
        return $this->interval($fields->has('every') ? $fields->within('every', 'the book\'s interval') : $fields);
    }

    private function interval(Fields $fields): Interval
    {
        $months = $fields->optionalWholeNumber('months', 'the number of months', 1200);
        if ($months === 0) {
            $fields->fault('months', 'The number of months must be above zero.');
        }

        return new Interval(
            $fields->optionalNumber('hours', 'the interval in hours', aboveZero: true),
            $fields->optionalNumber('km', 'the interval in kilometres', aboveZero: true),
            $months === 0 ? null : $months,
        );
    }

    private function point(Fields $fields): Point
    {
        return new Point($fields->optionalNumber('hours', 'the hours'), $fields->optionalNumber('km', 'the distance'), $fields->optionalDay('date', 'the day'));
    }

    private function requireNow(Fields $given, Rule $rule, Point $present): void
    {
        foreach (Limit::cases() as $limit) {
            if ($rule->uses($limit) && $present->along($limit) === null) {
                $given->fault("now.{$limit->value}", 'The rule counts '.($limit === Limit::Date ? 'months' : $limit->value).', so the present '.$limit->value.' must be given.');
            }
        }
    }
}
