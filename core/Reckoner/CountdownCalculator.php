<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigDecimal;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Meter\Countdown;

/** What to set on the machine's own countdown. */
final class CountdownCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $meter = $given->number('meter', 'the meter reading');
        $nextDue = $given->number('next_due', 'the next due point');
        $step = $given->has('step')
            ? $given->number('step', 'the display\'s step', aboveZero: true)
            : BigDecimal::one();
        $given->complete();
        assert($meter !== null && $nextDue !== null && $step !== null);
        $countdown = Countdown::until($nextDue, $meter, $step);

        return new Answer([
            'remaining' => Notation::number($countdown->remaining),
            'set' => Notation::number($countdown->set),
            'rings_at' => Notation::number($countdown->ringsAt),
            'verdict' => $countdown->set->isZero() ? 'act' : 'fit',
        ], $countdown->why, ['common practice']);
    }
}
