<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Fluid\Condition;
use Core\Fluid\Seen;
use Core\Form\Fields;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Machine\CompartmentKind;

/** A fluid by its look and smell, and by what hangs on the magnet. */
final class FluidLook implements Instrument
{
    public function asks(array $limits = []): array
    {
        return [
            Ask::several(
                'seen',
                'What is seen',
                array_combine(
                    array_column(Seen::cases(), 'value'),
                    array_map(fn (Seen $seen): string => $seen->label(), Seen::cases()),
                ),
            ),
            Ask::flag('first_service', 'At the first service'),
            Ask::flag('just_filled', 'Just filled'),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::choice(
                'compartment',
                'Housing',
                array_combine(
                    array_column(CompartmentKind::cases(), 'value'),
                    array_map(
                        fn (CompartmentKind $kind): string => str_replace('_', ' ', $kind->value),
                        CompartmentKind::cases(),
                    ),
                ),
            ),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $kind = $limits->option('compartment', array_column(CompartmentKind::cases(), 'value'), 'the housing');
        $seen = [];
        foreach ($entered->texts('seen', 'what is seen') as $one) {
            $known = Seen::tryFrom($one);
            if ($known === null) {
                $entered->fault(
                    'seen',
                    "\"{$one}\" is not one of ".implode(', ', array_column(Seen::cases(), 'value')).'.',
                );
            } else {
                $seen[] = $known;
            }
        }
        if ($seen === []) {
            $entered->fault('seen', 'Say what is seen.');
        }
        $first = $entered->flag('first_service', 'whether it is the first service');
        $justFilled = $entered->flag('just_filled', 'whether it was just filled');
        $limits->complete();
        $entered->complete();
        assert($kind !== null && $seen !== []);
        $conditions = Condition::of(CompartmentKind::from($kind), $seen, $first, $justFilled);
        [$gravest] = $conditions;

        return new Judged(
            $gravest->verdict,
            ucfirst(
                implode(', ', array_map(fn (Seen $one): string => $one->label(), $seen)),
            ).': '.implode('; ', array_column($conditions, 'reading')).'.',
            $gravest->do,
            [
                'reading' => $gravest->reading,
                'readings' => array_map(
                    fn (Condition $condition): array => [
                        'reading' => $condition->reading,
                        'verdict' => $condition->verdict->value,
                        'do' => $condition->do,
                    ],
                    $conditions,
                ),
            ],
        );
    }
}
