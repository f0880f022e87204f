<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigRational;
use Core\Fill\Drain;
use Core\Fill\PanPlan;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;
use Core\Measure\Plain;

/** Whether the pans take all that comes out, and after which drain they must be emptied. */
final class PanCalculator implements Calculator
{
    private const MOST_DRAINS = 100;

    private const MOST_PANS = 20;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $drains = $pans = [];
        foreach ($given->rows('comes_out', 'what comes out', short: 'amount') as $index => $row) {
            $name = $row->scalar('drain') ?? $index + 1;
            $amount = $row->measure('amount', 'what comes out', Dimension::Volume);
            $fluid = $row->scalar('fluid') ?? '';
            if ($amount !== null) {
                $drains[] = new Drain($name, $amount, $fluid);
            }
        }
        foreach ($given->rows('pans', 'the pans', short: 'size') as $row) {
            $pan = $row->measure('size', 'the pan', Dimension::Volume);
            if ($pan !== null) {
                $pans[] = $pan;
            }
        }
        $margin = $given->optionalNumber('margin', 'what is left free of each pan');
        if ($margin?->isGreaterThanOrEqualTo(1)) {
            $given->fault('margin', 'What is left free of a pan is a share of it, under 1.');
        }
        $given->complete();
        foreach (['comes_out' => [$drains, self::MOST_DRAINS], 'pans' => [$pans, self::MOST_PANS]] as $name => [$list, $most]) {
            if ($list === [] || count($list) > $most) {
                $given->fault(
                    $name,
                    $list === [] ? 'Say how much; at least one is needed.' : "At most {$most} at once.",
                );
            }
        }
        $given->complete();
        assert($drains !== [] && $pans !== []);
        $plan = PanPlan::of($drains, $pans, BigRational::of($margin ?? PanPlan::MARGIN));
        $after = implode(', ', $plan->emptyAfter);

        return new Answer(
            [
                'enough' => $plan->shortBy === null,
                'empty_after' => $plan->emptyAfter,
                'short_by' => $plan->shortBy === null ? null : Notation::quantity($plan->shortBy),
            ],
            ($plan->shortBy === null
                ? Plain::count(count($drains), 'drain').' and '.Plain::count(count($pans), 'pan').', each filled to its margin'
                : "The largest pan is too small by {$plan->shortBy->display()}: it would run over").match (true) {
                    $plan->emptyAfter === [] => '.',
                    default => "; what has gathered is taken away after {$after}.",
                },
            ['common practice'],
        );
    }
}
