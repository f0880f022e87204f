<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Meter\Judgement;
use Core\Meter\Reading;

/** Whether a reading can be right after the one before it. */
final class ReadingCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $previous = $given->has('previous') ? $this->reading($given->within('previous', 'the previous reading')) : null;
        $next = $this->reading($given->within('next', 'the reading'));
        $mostPerDay = $given->optionalWholeNumber('max_per_day', 'the most that can be gained in a day', 100_000) ?? 24;
        if ($mostPerDay === 0) {
            $given->fault('max_per_day', 'The most that can be gained in a day must be above zero.');
        }
        $perWeek = $given->optionalNumber('per_week', 'what is usual in a week', aboveZero: true);
        if ($previous !== null && $next !== null && $previous->daysUntil($next) < 0) {
            $given->fault('next.at', 'This reading is older than the previous one. Swap them, or correct a date.');
        }
        $given->complete();
        assert($next !== null);
        $judgement = Judgement::of($previous, $next, $mostPerDay, $now, perWeek: $perWeek?->toFloat());

        return new Answer([
            'plausible' => $judgement->isPlausible(),
            'kind' => $judgement->kind->value,
            'gained' => Notation::number($judgement->gained),
            'far_above_usual' => $judgement->isFarAboveUsual,
            'suggestion' => Notation::number($judgement->suggestion()),
            'suggestions' => array_map(Notation::number(...), $judgement->suggestions()),
        ], $judgement->why, ['common practice']);
    }

    private function reading(Fields $fields): ?Reading
    {
        $value = $fields->number('value', 'what the meter shows');
        $at = $fields->instant('at', 'the day of the reading');

        return $value === null
            || $at === null
            ? null
            : new Reading($value, $at, $fields->isDayOnly('at'), $fields->written('value'));
    }
}
