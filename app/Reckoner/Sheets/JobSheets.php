<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

use App\Reckoner\Sheets\SheetField as Ask;
use Core\Measure\Plain;

/** Jobs: what they need, in which order they are done, and how long they take. */
final class JobSheets
{
    private const LEAD = 'Jobs by the compartments, openings and parts at which they are done, each with a short key of your own.';

    /** @return list<CalculatorSheet> */
    public static function all(): array
    {
        return [self::needs(), self::procedure(), self::schedule()];
    }

    private static function needs(): CalculatorSheet
    {
        $seal = Ask::set('seal', 'Seal', Ask::text('number', 'Number'), Ask::number('count', 'How many'));

        return new CalculatorSheet(
            'needs',
            'What some jobs need',
            ['shopping list', 'get ready', 'what to buy', 'washers and filters', 'tools'],
            [
                Ask::rows('tasks', 'Jobs', 'job', Ask::choice('act', 'What', ['replace' => 'replace', 'clean' => 'clean']), Ask::text('at', 'At (key)', 'engine')),
                Ask::rows(
                    'compartments',
                    'Compartments',
                    'compartment',
                    ...self::compartment(),
                    ...[Ask::text('fluid', 'Fluid', '10W-30'), Ask::volume('pour', 'Takes'), Ask::rows('openings', 'Openings', 'opening', ...self::opening(), ...[$seal])],
                ),
                Ask::rows('parts', 'Parts', 'part', ...self::part(), ...[Ask::text('number', 'Number'), Ask::texts('kit', 'Comes with', 'ring, gasket'), $seal]),
                Ask::rows('shelf', 'On the shelf', 'thing', Ask::text('supply', 'What'), Ask::volume('amount', 'So much'), Ask::number('count', 'or so many')),
                Ask::rows('sizes', 'Sold in', 'size', Ask::text('fluid', 'Fluid'), Ask::volume('size', 'Size'), Ask::number('price', 'Price')),
                Ask::rows('pans', 'Pans', 'pan', Ask::volume('size', 'Holds')),
            ],
            fn (array $answer): array => [
                $answer['to_buy'] === [] ? 'The shelf has it all' : Plain::count(count($answer['to_buy']), 'thing').' to buy',
                [
                    ...array_map(fn (array $one): array => [$one['fluid'], Words::amount($one['amount']).', short '.Words::amount($one['short'])], $answer['fluids']),
                    ...array_map(fn (array $one): array => [$one['number'], "{$one['count']}, short {$one['short']}"], $answer['parts']),
                    ...array_map(fn (array $one): array => ['Tool', $one['tool']], $answer['tools']),
                    ...array_map(fn (array $one): array => ['Buy', self::bought($one)], $answer['to_buy']),
                    ...(($answer['pans'] ?? null) === null
                        ? []
                        : [['Pans', $answer['pans']['enough'] ? 'take it' : 'too small by '.Words::amount($answer['pans']['short_by'])]]),
                ],
            ],
            self::LEAD,
        );
    }

    /** @param  array<string, mixed>  $one */
    private static function bought(array $one): string
    {
        return implode(' ', array_filter([
            isset($one['count']) ? "{$one['count']} ×" : '',
            isset($one['size']) ? Words::amount($one['size']) : '',
            isset($one['amount']) ? Words::amount($one['amount']) : '',
            $one['supply'] ?? '',
            (string) ($one['cost'] ?? ''),
        ]));
    }

    private static function procedure(): CalculatorSheet
    {
        return new CalculatorSheet(
            'procedure',
            'In which order a job is done',
            ['steps of a service', 'which first', 'fill plug or drain plug', 'what order'],
            [
                Ask::rows(
                    'tasks',
                    'Jobs',
                    'job',
                    Ask::choice('act', 'What', [
                        'replace' => 'replace',
                        'clean' => 'clean',
                        'inspect' => 'inspect',
                        'adjust' => 'adjust',
                        'lubricate' => 'grease',
                        'check_level' => 'check the level of',
                    ]),
                    Ask::text('at', 'At (key)', 'engine'),
                    Ask::text('check', 'By which check'),
                    Ask::texts('undoes', 'Undone for it', 'pedals uncoupled'),
                ),
                Ask::rows(
                    'compartments',
                    'Compartments',
                    'compartment',
                    ...self::compartment(),
                    ...[
                        Ask::volume('capacity', 'Takes'),
                        Ask::text('valve', 'Valve'),
                        Ask::rows('openings', 'Openings', 'opening', ...self::opening(), ...[Ask::text('seal', 'Seal')]),
                    ],
                ),
                Ask::rows('parts', 'Parts', 'part', ...self::part()),
                Ask::set(
                    'machine',
                    'Machine',
                    Ask::choice('engine', 'Driven by', ['petrol' => 'petrol', 'diesel' => 'diesel', 'electric' => 'electric']),
                    Ask::tick('raised', 'Off the ground for the work'),
                ),
            ],
            fn (array $answer): array => [
                Plain::count(count($answer['steps']), 'step'),
                array_map(fn (int $before, array $step): array => [
                    (string) ($before + 1),
                    "{$step['says']} {$step['minutes']} min".($step['attended'] ? '' : ', by itself'),
                ], range(0, count($answer['steps']) - 1), $answer['steps']),
            ],
            self::LEAD,
        );
    }

    private static function schedule(): CalculatorSheet
    {
        return new CalculatorSheet(
            'schedule',
            'How long a job takes',
            ['shortest time', 'what meanwhile', 'how many people', 'one pan or two'],
            [
                Ask::rows(
                    'steps',
                    'Steps',
                    'step',
                    Ask::text('key', 'Key', 'drip'),
                    Ask::number('minutes', 'Minutes'),
                    Ask::tick('attended', 'Takes its time by itself', false),
                    Ask::texts('after', 'After', 'open'),
                ),
                Ask::number('people', 'People')->beginsWith('1'),
            ],
            fn (array $answer): array => [
                "{$answer['length']} min",
                [
                    ...array_map(fn (string $key): array => ['at '.((array) $answer['starts'])[$key].' min', $key], $answer['order']),
                    ['No order ends before', "{$answer['lower_bound']} min"],
                ],
            ],
            'Steps with their minutes and what each waits for; what takes its time by itself needs nobody.',
        );
    }

    /** @return list<SheetField> */
    private static function compartment(): array
    {
        return [Ask::text('key', 'Key', 'engine'), Ask::choice('kind', 'Holds', FluidSheets::compartments())];
    }

    /** @return list<SheetField> */
    private static function opening(): array
    {
        return [
            Ask::text('key', 'Key', 'drain'),
            Ask::choice('role', 'For', [
                'drain' => 'draining',
                'fill' => 'filling',
                'level' => 'its level',
                'vent' => 'air',
                'strainer' => 'its strainer',
                'draw' => 'suction',
            ]),
            Ask::text('tool', 'Tool', '19 mm socket'),
        ];
    }

    /** @return list<SheetField> */
    private static function part(): array
    {
        return [
            Ask::text('key', 'Key', 'filter'),
            Ask::choice('kind', 'Sort', ['filter' => 'filter', 'strainer' => 'strainer', 'belt' => 'belt', 'plug' => 'plug', 'other' => 'other']),
            Ask::text('in', 'In (key)', 'engine'),
        ];
    }
}
