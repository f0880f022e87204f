<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;

/**
 * What is particular to single machines of the invented estate: hard lives, warranties, rules of their own, reminders.
 */
final class DemoParticulars
{
    public const SHARED_AS = 'Zero-turns';

    public const SHARING = ['Heron', 'Avocet'];

    /** Where the last of those that share reads otherwise. */
    public const EXCEPTION = 'Air cleaner';

    /** @return array<string, mixed> columns of a machine */
    public static function record(string $name, CarbonImmutable $today): array
    {
        return match ($name) {
            'Teal' => [
                'warranty_until' => $today->addMonths(14)->format('Y-m-d'),
                'warranty_hours' => '1000',
                'extended_until' => $today->addMonths(38)->format('Y-m-d'),
                'note' => 'Fill port of the front axle: left side, behind the step.',
            ],
            'Heron' => [
                'severities' => [['severity' => 'dust', 'from' => '05-01', 'to' => '09-30']],
                'reset_note' => 'Key on, hold the deck switch until the wrench goes out, about eight seconds.',
            ],
            'Wigeon' => [
                'severities' => [['severity' => 'water']],
                'note' => 'The skid plate comes off with four 10 mm bolts; put the long one back in front.',
            ],
            'Godwit' => ['severities' => [['severity' => 'dust', 'from' => '06-01', 'to' => '08-31']]],
            'Curlew' => ['reset_note' => 'Press menu twice, then hold reset until the hours come back.'],
            default => [],
        };
    }

    /**
     * Rules of its own: a task at its spots, columns of the rule, how many days ago it was last done, and the task it
     * goes with.
     *
     * @return list<array<string, mixed>>
     */
    public static function rules(string $name): array
    {
        return match ($name) {
            'Coot' => [
                [
                    'task' => 'Blades before the season',
                    'kind' => 'clean',
                    'spots' => ['blades'],
                    'windows' => [['name' => 'spring', 'from' => '03-01', 'to' => '04-15']],
                    'note' => 'Sharp, balanced, tight.',
                    'last_done' => 235,
                ],
                [
                    'task' => 'Front wheel bearings',
                    'kind' => 'lubricate',
                    'spots' => ['front_wheel_bearings'],
                    'with' => 'Blades before the season',
                    'note' => 'While the wheels are off the ground.',
                    'last_done' => 235,
                ],
                [
                    'task' => 'Fuel',
                    'kind' => 'inspect',
                    'spots' => ['fuel'],
                    'windows' => [['name' => 'before storage', 'from' => '10-15', 'to' => '11-30']],
                    'note' => 'Valve shut and run dry, or stabilised.',
                    'last_done' => 372,
                ],
            ],
            'Curlew' => [
                [
                    'task' => 'Water separator',
                    'kind' => 'clean',
                    'spots' => ['water_separator'],
                    'condition' => 'water shows in the bowl',
                ],
            ],
            'Godwit' => [
                [
                    'task' => 'Hydrostatic filters',
                    'kind' => 'replace',
                    'spots' => ['hydrostatic_filter', 'hydrostatic_filter_2'],
                    'every' => ['hours' => '200'],
                    'top_up' => '1.75 gal',
                    'last_done' => 190,
                ],
            ],
            default => [],
        };
    }

    /** @return array<string, array<string, mixed>> changed columns of the rules it has, by their task */
    public static function changes(string $name): array
    {
        return match ($name) {
            'Teal' => [
                'Fuel filter' => [
                    'every' => ['hours' => '500'],
                    'book' => ['hours' => '400'],
                    'common_practice' => false,
                    'loosened_because' => 'Fuel only from the estate tank, filtered twice; agreed with the dealer.',
                ],
                'Front axle oil' => ['dealer_only' => true],
            ],
            default => [],
        };
    }

    /** @return array{set: string, days_ago: int}|null */
    public static function reminder(string $name): ?array
    {
        return match ($name) {
            'Heron' => ['set' => '20', 'days_ago' => 40],
            'Curlew' => ['set' => '11', 'days_ago' => 2],
            default => null,
        };
    }
}
