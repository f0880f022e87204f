<?php

declare(strict_types=1);

namespace Tests\Core\Reckoner;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contract of the calculators that judge what was measured: names in, names out, and what each refuses. */
final class MeasuringCalculatorsTest extends TestCase
{
    /** @var array<string, array<string, mixed>> */
    private const SOUND = [
        'battery' => [
            'rest_volts' => '12.8 V',
            'loaded_volts' => '10.8 V',
            'seconds' => 10,
            'kind' => 'flooded',
            'max_drop' => '1 V',
        ],
        'belt-deflection' => [
            'rest' => '1 3/4 in',
            'pressed' => '1 3/8 in',
            'force' => '15 lbf',
            'limit' => ['deflection' => '1/3 in', 'force' => '15 lbf'],
        ],
        'condition' => ['compartment' => 'gearbox', 'seen' => ['black', 'burnt_smell'], 'first_service' => false],
        'consumption' => [
            'top_ups' => [['hours' => 110, 'amount' => '0.5 qt']],
            'from' => 100,
            'to' => 200,
            'limit_per_100h' => '1 qt',
        ],
        'free-play' => [
            'left' => '1 1/2 in',
            'right' => '1 in',
            'target' => '1 in',
            'tolerance' => '1/4 in',
            'max_difference' => '1/4 in',
        ],
        'grease' => [
            'points' => [['name' => 'Pivot shaft', 'strokes' => 50, 'times' => 2]],
            'grams_per_stroke' => '0.8 g',
        ],
        'level' => [
            'method' => 'stick',
            'observed' => 0.5,
            'protocol' => ['engine' => 'off', 'wait_minutes' => 2, 'held' => 'rested'],
            'actual' => ['engine' => 'off', 'wait_minutes' => 2, 'held' => 'rested'],
        ],
        'wear' => [
            'points' => [['hours' => 0, 'value' => '8 mm'], ['hours' => 100, 'value' => '7 mm']],
            'limit' => '3 mm',
        ],
    ];

    /** @return iterable<string, array{string, list<string>, array<string, mixed>}> */
    public static function answers(): iterable
    {
        yield 'battery' => ['battery', ['state_of_charge', 'drop'], ['state_of_charge' => 100, 'verdict' => 'act']];
        yield 'belt' => [
            'belt-deflection',
            ['deflection', 'over_by'],
            [
                'deflection' => ['value' => '0.375', 'unit' => 'in', 'display' => '0.375 in (9.5 mm)'],
                'verdict' => 'act',
            ],
        ];
        yield 'condition' => [
            'condition',
            ['reading', 'do'],
            ['reading' => 'overheated or long overdue', 'verdict' => 'act'],
        ];
        yield 'consumption' => [
            'consumption',
            ['per_100h'],
            [
                'per_100h' => ['value' => '0.5', 'unit' => 'us_qt', 'display' => '0.5 qt (0.47 L)'],
                'trend' => 'thin',
                'verdict' => 'fit',
            ],
        ];
        yield 'free play' => [
            'free-play',
            ['left_over_by', 'right_over_by', 'difference'],
            ['right_over_by' => ['value' => '0', 'unit' => 'in', 'display' => '0 in (0 mm)'], 'verdict' => 'act'],
        ];
        yield 'grease' => ['grease', ['grams'], ['strokes' => 100, 'cartridges' => 1]];
        yield 'level' => ['level', ['do'], ['usable' => true, 'verdict' => 'fit']];
        yield 'wear' => [
            'wear',
            ['slope_per_100h'],
            ['limit_at' => ['p10' => null, 'p50' => 500, 'p90' => null], 'verdict' => 'fit'],
        ];
    }

    /**
     * @param  list<string>  $names
     * @param  array<string, mixed>  $exactly
     */
    #[DataProvider('answers')]
    public function test_answers(string $name, array $names, array $exactly): void
    {
        $answer = self::reckon($name, self::SOUND[$name]);

        self::assertSame([], array_diff([...$names, 'why', 'sources'], array_keys($answer)));
        ksort($exactly);
        $told = array_intersect_key($answer, $exactly);
        ksort($told);
        self::assertSame($exactly, $told);
        self::assertStringEndsWith('.', $answer['why']);
        self::assertNotEmpty($answer['sources']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refusals(): iterable
    {
        yield 'a battery without its voltage' => ['battery', ['rest_volts' => null], 'rest_volts'];
        yield 'a battery in psi' => ['battery', ['rest_volts' => '12 psi'], 'rest_volts'];
        yield 'a battery of another kind' => ['battery', ['kind' => 'jar'], 'kind'];
        yield 'no seconds' => ['battery', ['seconds' => 0], 'seconds'];
        yield 'a belt without its limit' => ['belt-deflection', ['limit' => null], 'limit'];
        yield 'a belt against a negative limit' => [
            'belt-deflection',
            ['limit' => ['deflection' => '-1 in', 'force' => '15 lbf']],
            'limit.deflection',
        ];
        yield 'a belt that is not a number' => ['belt-deflection', ['pressed' => 'NaN in'], 'pressed'];
        yield 'a housing nobody knows' => ['condition', ['compartment' => 'attic'], 'compartment'];
        yield 'something nobody sees' => ['condition', ['seen' => ['glitter']], 'seen'];
        yield 'hours that run backwards' => ['consumption', ['to' => 50], 'to'];
        yield 'a top-up in grams' => [
            'consumption',
            ['top_ups' => [['hours' => 110, 'amount' => '5 g']]],
            'top_ups.0.amount',
        ];
        yield 'a pedal without its tolerance' => ['free-play', ['tolerance' => null], 'tolerance'];
        yield 'a gun that gives nothing' => ['grease', ['grams_per_stroke' => '0 g'], 'grams_per_stroke'];
        yield 'half a stroke' => ['grease', ['points' => [['strokes' => 1.5]]], 'points.0.strokes'];
        yield 'no points' => ['grease', ['points' => []], 'points'];
        yield 'a level read by ear' => ['level', ['method' => 'ear'], 'method'];
        yield 'a level without a mark' => ['level', ['observed' => null], 'observed'];
        yield 'an engine that sings' => ['level', ['actual' => ['engine' => 'singing']], 'actual.engine'];
        yield 'wear without a limit' => ['wear', ['limit' => null], 'limit'];
        yield 'wear in two kinds of unit' => [
            'wear',
            ['points' => [['hours' => 1, 'value' => '3 V']]],
            'points.0.value',
        ];
        yield 'wear at negative hours' => [
            'wear',
            ['points' => [['hours' => -1, 'value' => '3 mm']]],
            'points.0.hours',
        ];
    }

    /** @param  array<string, mixed>  $changed */
    #[DataProvider('refusals')]
    public function test_refusals_name_the_field(string $name, array $changed, string $field): void
    {
        try {
            self::reckon(
                $name,
                array_filter([...self::SOUND[$name], ...$changed], fn (mixed $value): bool => $value !== null),
            );
            self::fail('It was answered.');
        } catch (BadInput $refused) {
            self::assertArrayHasKey($field, $refused->errors);
        }
    }

    public function test_the_unit_that_is_read_is_the_unit_that_is_told(): void
    {
        self::assertSame(
            'mm',
            self::reckon(
                'belt-deflection',
                ['deflection' => '9 mm', 'force' => '5 kgf', 'limit' => ['deflection' => '13 mm', 'force' => '98 N']],
            )['deflection']['unit'],
        );
        self::assertSame(
            'L',
            self::reckon(
                'consumption',
                [
                    'top_ups' => [['hours' => 5, 'amount' => ['value' => '0.25', 'unit' => 'L']]],
                    'from' => 0,
                    'to' => 50,
                ],
            )['per_100h']['unit'],
        );
        self::assertSame(
            'mm',
            self::reckon(
                'free-play',
                ['left' => '26 mm', 'target' => '1 in', 'tolerance' => '1/4 in'],
            )['left_over_by']['unit'],
        );
    }

    public function test_a_force_twice_the_limits_allows_twice_the_give(): void
    {
        $allowed = fn (string $force): string => self::reckon(
            'belt-deflection',
            [...self::SOUND['belt-deflection'], 'force' => $force],
        )['allowed']['value'];

        self::assertSame(
            ['0.166667', '0.333333', '0.666667'],
            [$allowed('7.5 lbf'), $allowed('15 lbf'), $allowed('30 lbf')],
        );
        self::assertSame('0.333333', $allowed('66.723323 N'));
    }

    /**
     * Handbook, section 11: not more than 1 V in 10 s on a 12 V battery; the rest is the calculators' contract,
     * amended. Common practice, no source.
     */
    #[DataProvider('batteries')]
    public function test_batteries_and_packs(array $given, ?string $verdict, string $says): void
    {
        $answer = self::reckon('battery', ['kind' => 'flooded', ...$given]);

        self::assertSame([$verdict !== null, $verdict], [$answer['usable'], $answer['verdict']]);
        self::assertStringContainsString($says, $answer['why'].' '.$answer['do']);
    }

    /** @return iterable<string, array{array<string, mixed>, string|null, string}> */
    public static function batteries(): iterable
    {
        yield 'just charged' => [['rest_volts' => '13.3 V'], null, 'let it rest some hours'];
        yield 'at the edge of rested' => [['rest_volts' => '13.2 V'], 'fit', '100 % charged'];
        yield 'a pack on its charger' => [['rest_volts' => '54 V', 'nominal' => '48 V'], null, 'over 52.8 V'];
        yield 'no contact' => [['rest_volts' => '0 V'], null, '0 V is no contact'];
        yield 'no contact under load' => [
            ['rest_volts' => '12.7 V', 'loaded_volts' => '0 V'],
            null,
            'leads and the posts',
        ];
        yield 'a pack may drop four times as far' => [
            ['rest_volts' => '50.9 V', 'loaded_volts' => '47 V', 'nominal' => '48 V'],
            'fit',
            'at most 4 V',
        ];
        yield 'but no farther' => [
            ['rest_volts' => '50.9 V', 'loaded_volts' => '46.8 V', 'nominal' => '48 V'],
            'act',
            'at most 4 V',
        ];
        yield 'half as far for a 6 V battery' => [
            ['rest_volts' => '6.35 V', 'loaded_volts' => '5.8 V', 'nominal' => '6 V'],
            'act',
            'at most 0.5 V',
        ];
        yield 'half as far in 5 s' => [
            ['rest_volts' => '12.7 V', 'loaded_volts' => '12 V', 'seconds' => 5],
            'act',
            'at most 0.5 V',
        ];
        yield 'farther in 15 s' => [
            ['rest_volts' => '12.7 V', 'loaded_volts' => '11.3 V', 'seconds' => 15],
            'fit',
            'at most 1.5 V',
        ];
        yield 'longer tells nothing' => [
            ['rest_volts' => '12.7 V', 'loaded_volts' => '12.6 V', 'seconds' => 20],
            null,
            'load it for 10 s',
        ];
    }

    public function test_a_battery_of_a_voltage_that_is_not_made_is_refused(): void
    {
        $this->expectException(BadInput::class);
        self::reckon('battery', ['rest_volts' => '9 V', 'kind' => 'flooded', 'nominal' => '10 V']);
    }

    public function test_a_belt_that_hardly_gives_is_too_tight(): void
    {
        $belt = fn (array $given): array => self::reckon(
            'belt-deflection',
            ['force' => '15 lbf', 'limit' => ['deflection' => '1/2 in', 'force' => '15 lbf'], ...$given],
        );

        self::assertSame(
            ['act', '0.25'],
            [$belt(['deflection' => '0 in'])['verdict'], $belt(['deflection' => '0 in'])['under_by']['value']],
        );
        self::assertStringContainsString('Slacken', $belt(['deflection' => '3/16 in'])['do']);
        self::assertSame('fit', $belt(['deflection' => '1/4 in'])['verdict'], 'half the limit is enough');
        self::assertSame(
            'act',
            $belt(
                [
                    'deflection' => '1/4 in',
                    'limit' => ['deflection' => '1/2 in', 'least' => '3/8 in', 'force' => '15 lbf'],
                ],
            )['verdict'],
            'unless the book says',
        );
        self::assertSame(
            'fit',
            $belt(['deflection' => '1/8 in', 'force' => '7.5 lbf'])['verdict'],
            'and both are scaled',
        );
    }

    #[DataProvider('farForces')]
    public function test_a_force_far_from_the_limits_is_not_scaled(string $force): void
    {
        try {
            self::reckon('belt-deflection', [...self::SOUND['belt-deflection'], 'force' => $force]);
            self::fail('It was scaled.');
        } catch (BadInput $bad) {
            self::assertSame(['force'], array_keys($bad->errors));
        }
    }

    /** @return iterable<array{string}> */
    public static function farForces(): iterable
    {
        yield ['7.4 lbf'];
        yield ['30.1 lbf'];
    }

    public function test_left_and_right_are_equal_within_the_tolerance_where_nothing_else_is_said(): void
    {
        $play = fn (string $right, array $more = []): array => self::reckon(
            'free-play',
            ['left' => '1 1/4 in', 'right' => $right, 'target' => '1 in', 'tolerance' => '1/4 in', ...$more],
        );

        self::assertSame('act', $play('7/8 in')['verdict'], 'each is within its tolerance, but they differ by 3/8 in');
        self::assertSame('fit', $play('7/8 in', ['max_difference' => '1/2 in'])['verdict']);
        self::assertSame('fit', $play('1 in')['verdict']);
        self::assertStringContainsString('the target is 1 in', $play('1 in')['why']);
    }

    public function test_what_was_used_is_told_as_it_was_used(): void
    {
        self::assertSame(
            '400 strokes of 1.5 g give 600 g: 2 of 400 g.',
            self::reckon('grease', ['points' => [['strokes' => 400]], 'grams_per_stroke' => '1.5 g'])['why'],
        );
    }

    /** "Unknown fields anywhere in the input are a problem, never ignored." */
    #[DataProvider('strangers')]
    public function test_a_field_that_nobody_knows_is_refused(string $name, array $more, string $field): void
    {
        try {
            self::reckon($name, array_replace_recursive(self::SOUND[$name], $more));
            self::fail('It was passed over.');
        } catch (BadInput $bad) {
            self::assertSame([$field], array_keys($bad->errors));
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function strangers(): iterable
    {
        foreach (array_keys(self::SOUND) as $name) {
            yield $name => [$name, ['colour' => 'red'], 'colour'];
        }
        yield 'within a set' => ['belt-deflection', ['limit' => ['most' => '3 mm']], 'limit.most'];
        yield 'within a row' => ['wear', ['points' => [1 => ['when' => 3]]], 'points.1.when'];
        yield 'within a quantity' => [
            'free-play',
            ['left' => ['value' => '1', 'unit' => 'in', 'about' => true]],
            'left.about',
        ];
    }

    public function test_a_pack_by_its_cells_and_a_battery_tell_the_same_charge(): void
    {
        $charge = fn (string $volts, string $nominal): int|float => self::reckon(
            'battery',
            ['rest_volts' => $volts, 'kind' => 'flooded', 'nominal' => $nominal],
        )['state_of_charge'];

        self::assertSame($charge('12.45 V', '12 V'), $charge('49.8 V', '48 V'));
        self::assertSame($charge('12.45 V', '12 V'), $charge('6.2250 V', '6 V'));
        self::assertSame(75, $charge('12.45 V', '12 V'));
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private static function reckon(string $name, array $given): array
    {
        return Catalogue::reckon($name, $given, new \DateTimeImmutable('2026-06-01T12:00:00Z'));
    }
}
