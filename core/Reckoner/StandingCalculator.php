<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Machine\Point;
use Core\Meter\Limit;
use Core\Schedule\Rule;
use Core\Schedule\StandingOf;
use Core\Schedule\StandingWords;

/** Where a rule stands. */
final class StandingCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $rule = RuleFields::read($given->within('rule', 'the rule'));
        $start = $given->has('start') ? $this->point($given->within('start', 'the beginning')) : null;
        $done = array_map($this->point(...), $given->rows('done', 'the services done'));
        $skipped = array_map($this->point(...), $given->rows('skipped', 'the points passed over'));
        $present = $this->point($given->within('now', 'the present reading'));
        if ($rule !== null) {
            $this->requireNow($given, $rule, $present);
        }
        $given->complete();
        assert($rule !== null);
        $standing = StandingOf::rule($rule, $start, $done, $present, $skipped);
        $points = $standing->points;

        return new Answer([
            'state' => $standing->state->value,
            'due' => [
                'hours' => Notation::number(($points['hours'] ?? null)?->at),
                'km' => Notation::number(($points['km'] ?? null)?->at),
                'date' => Notation::day($standing->dueDate()),
            ],
            'remaining' => [
                'hours' => Notation::number(($points['hours'] ?? null)?->remaining),
                'km' => Notation::number(($points['km'] ?? null)?->remaining),
                'days' => Notation::number(($points['date'] ?? null)?->remaining),
            ],
            'limiting' => $standing->limiting?->limit->value,
            'runs_for' => ['hours' => Notation::number($standing->runsFor())],
            'share_used' => Notation::number($standing->shareUsed()),
            'notes' => $standing->notes,
        ], StandingWords::why($standing), ['common practice']);
    }

    private function point(Fields $fields): Point
    {
        return new Point(
            $fields->optionalNumber('hours', 'the hours'),
            $fields->optionalNumber('km', 'the distance'),
            $fields->optionalDay('date', 'the day'),
        );
    }

    /** Something that the rule counts must be known of the present, else nothing can be judged. */
    private function requireNow(Fields $given, Rule $rule, Point $present): void
    {
        $counted = array_filter(Limit::cases(), $rule->uses(...));
        if (array_filter($counted, fn (Limit $limit): bool => $present->along($limit) !== null) !== []) {
            return;
        }
        foreach ($counted as $limit) {
            $given->fault(
                "now.{$limit->value}",
                'The rule counts '.($limit === Limit::Date ? 'months' : $limit->value).', so the present '.$limit->value.' must be given.',
            );
        }
    }
}
