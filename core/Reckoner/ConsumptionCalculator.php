<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Consumption;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What a housing uses in 100 h. */
final class ConsumptionCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $from = $given->number('from', 'the hours from which it is followed');
        $to = $given->number('to', 'the present hours');
        $limit = $given->optionalMeasure('limit_per_100h', 'the most it may use', Dimension::Volume);
        if ($from !== null && $to !== null && $to->isLessThanOrEqualTo($from)) {
            $given->fault('to', 'The present hours must be above those from which it is followed.');
        }
        $topUps = [];
        foreach ($given->rows('top_ups', 'the top-ups') as $row) {
            $hours = $row->number('hours', 'the hours');
            $amount = $row->measure('amount', 'the amount', Dimension::Volume);
            if (
                $hours !== null
                && $from !== null
                && $to !== null
                && ($hours->isLessThan($from) || $hours->isGreaterThan($to))
            ) {
                $row->fault('hours', 'This top-up lies outside the hours that are followed.');
            }
            if ($hours !== null && $amount !== null) {
                $topUps[] = [$hours, $amount];
            }
        }
        if (! $given->has('top_ups')) {
            $given->fault('top_ups', 'The top-ups are missing.');
        }
        $given->complete();
        assert($from !== null && $to !== null);
        $consumption = Consumption::of(
            $topUps,
            $from,
            $to,
            $limit,
            Quantity::of(0, $topUps[0][1]->unit ?? $limit->unit ?? Unit::Litre),
        );

        return new Answer([
            'per_100h' => Notation::quantity($consumption->per100Hours),
            'trend' => $consumption->trend,
            'verdict' => $consumption->verdict->value,
        ], $consumption->why, ['common practice']);
    }
}
