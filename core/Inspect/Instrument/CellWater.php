<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Core\Form\Fields;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Machine\Verdict;

/** The water over the plates of a cart battery's cells, at the lowest cell. */
final class CellWater implements Instrument
{
    private const LEVELS = [
        'over' => ['well over the plates', Verdict::Fit, ''],
        'just' => [
            'just over the plates',
            Verdict::Watch,
            'Charge it first, then fill with distilled water to below the neck. No sparks.',
        ],
        'bare' => [
            'plates bare',
            Verdict::Act,
            'Cover the plates with distilled water, charge, then fill up. No sparks.',
        ],
    ];

    public function asks(array $limits = []): array
    {
        return [
            Ask::choice(
                'water',
                'Water in the lowest cell',
                array_map(fn (array $level): string => $level[0], self::LEVELS),
            ),
        ];
    }

    public function limits(): array
    {
        return [];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $water = $entered->option('water', array_keys(self::LEVELS), 'the water');
        $entered->complete();
        assert($water !== null);
        [$stands, $verdict, $do] = self::LEVELS[$water];

        return new Judged($verdict, "In the lowest cell: {$stands}.", $do);
    }
}
