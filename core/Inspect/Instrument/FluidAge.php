<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Form\Fields;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Machine\Verdict;
use Core\Measure\Plain;

/** How long a fluid that draws water has been in, whatever it looks like. */
final class FluidAge implements Instrument
{
    public function asks(array $limits = []): array
    {
        return [Ask::day('changed_on', 'Last changed on')];
    }

    public function limits(): array
    {
        return [Ask::number('months', 'Months it may stay in')];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $months = $limits->has('months')
            ? $limits->optionalWholeNumber('months', 'the months it may stay in', 600)
            : null;
        if ($months === null || $months === 0) {
            $limits->fault('months', 'The months it may stay in are missing.');
        }
        $changed = $entered->has('changed_on') ? $entered
            ->optionalDay('changed_on', 'the day it was changed') : $entered
            ->instant('changed_on', 'the day it was changed');
        if ($changed !== null && $changed > $occasion->day) {
            $entered->fault('changed_on', 'That day has not come yet.');
        }
        $limits->complete();
        $entered->complete();
        assert($months !== null && $changed !== null);

        $until = $changed->modify("+{$months} months");
        $nearly = $until->modify('-2 months');
        $since = "Changed on {$changed->format('j F Y')}; it may stay in ".Plain::count($months, 'month');

        return match (true) {
            $occasion->day > $until => new Judged(
                Verdict::Act,
                "{$since}, to {$until->format('j F Y')}, which is past.",
                'Change it.',
            ),
            $occasion->day > $nearly => new Judged(
                Verdict::Watch,
                "{$since}, to {$until->format('j F Y')}.",
                'Plan to change it.',
            ),
            default => new Judged(Verdict::Fit, "{$since}, to {$until->format('j F Y')}."),
        };
    }
}
