<?php

declare(strict_types=1);

namespace Tests\Core\Reckoner;

use Core\Reckoner\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contract of the calculators that judge what was measured: names in, names out, and what each refuses. */
final class MeasuringCalculatorsTest extends TestCase
{
    /** @var array<string, array<string, mixed>> */
    private const SOUND = [
        'battery' => ['rest_volts' => '12.8 V', 'loaded_volts' => '10.8 V', 'seconds' => 10, 'kind' => 'flooded', 'max_drop' => '1 V'],
        'belt-deflection' => ['rest' => '1 3/4 in', 'pressed' => '1 3/8 in', 'force' => '15 lbf', 'limit' => ['deflection' => '1/3 in', 'force' => '15 lbf']],
        'condition' => ['compartment' => 'gearbox', 'seen' => ['black', 'burnt_smell'], 'first_service' => false],
        'consumption' => ['top_ups' => [['hours' => 110, 'amount' => '0.5 qt']], 'from' => 100, 'to' => 200, 'limit_per_100h' => '1 qt'],
        'free-play' => ['left' => '1 1/2 in', 'right' => '1 in', 'target' => '1 in', 'tolerance' => '1/4 in', 'max_difference' => '1/4 in'],
        'grease' => ['points' => [['name' => 'Pivot shaft', 'strokes' => 50, 'times' => 2]], 'grams_per_stroke' => '0.8 g'],
        'level' => ['method' => 'stick', 'observed' => 0.5, 'protocol' => ['engine' => 'off', 'wait_minutes' => 2, 'held' => 'rested'], 'actual' => ['engine' => 'off', 'wait_minutes' => 2, 'held' => 'rested']],
        'wear' => ['points' => [['hours' => 0, 'value' => '8 mm'], ['hours' => 100, 'value' => '7 mm']], 'limit' => '3 mm'],
    ];

    /** @return iterable<string, array{string, list<string>, array<string, mixed>}> */
    public static function answers(): iterable
    {
        yield 'battery' => ['battery', ['state_of_charge', 'drop'], ['state_of_charge' => 100, 'verdict' => 'act']];
        yield 'belt' => ['belt-deflection', ['deflection', 'over_by'], ['deflection' => ['value' => '0.375', 'unit' => 'in', 'display' => '0.375 in (9.5 mm)'], 'verdict' => 'act']];
        yield 'condition' => ['condition', ['reading', 'do'], ['reading' => 'overheated or long overdue', 'verdict' => 'act']];
        yield 'consumption' => ['consumption', ['per_100h'], ['per_100h' => ['value' => '0.5', 'unit' => 'us_qt', 'display' => '0.5 qt (0.47 L)'], 'trend' => 'thin', 'verdict' => 'fit']];
        yield 'free play' => ['free-play', ['left_over_by', 'right_over_by', 'difference'], ['right_over_by' => ['value' => '0', 'unit' => 'in', 'display' => '0 in (0 mm)'], 'verdict' => 'act']];
        yield 'grease' => ['grease', ['grams'], ['strokes' => 100, 'cartridges' => 1]];
        yield 'level' => ['level', ['do'], ['usable' => true, 'verdict' => 'fit']];
        yield 'wear' => ['wear', ['slope_per_100h'], ['limit_at' => ['p10' => null, 'p50' => 500, 'p90' => null], 'verdict' => 'fit']];
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
        yield 'a belt against a negative limit' => ['belt-deflection', ['limit' => ['deflection' => '-1 in', 'force' => '15 lbf']], 'limit.deflection'];
        yield 'a belt that is not a number' => ['belt-deflection', ['pressed' => 'NaN in'], 'pressed'];
        yield 'a housing nobody knows' => ['condition', ['compartment' => 'attic'], 'compartment'];
        yield 'something nobody sees' => ['condition', ['seen' => ['glitter']], 'seen'];
        yield 'hours that run backwards' => ['consumption', ['to' => 50], 'to'];
        yield 'a top-up in grams' => ['consumption', ['top_ups' => [['hours' => 110, 'amount' => '5 g']]], 'top_ups.0.amount'];
        yield 'a pedal without its tolerance' => ['free-play', ['tolerance' => null], 'tolerance'];
        yield 'a gun that gives nothing' => ['grease', ['grams_per_stroke' => '0 g'], 'grams_per_stroke'];
        yield 'half a stroke' => ['grease', ['points' => [['strokes' => 1.5]]], 'points.0.strokes'];
        yield 'no points' => ['grease', ['points' => []], 'points'];
        yield 'a level read by ear' => ['level', ['method' => 'ear'], 'method'];
        yield 'a level without a mark' => ['level', ['observed' => null], 'observed'];
        yield 'an engine that sings' => ['level', ['actual' => ['engine' => 'singing']], 'actual.engine'];
        yield 'wear without a limit' => ['wear', ['limit' => null], 'limit'];
        yield 'wear in two kinds of unit' => ['wear', ['points' => [['hours' => 1, 'value' => '3 V']]], 'points.0.value'];
        yield 'wear at negative hours' => ['wear', ['points' => [['hours' => -1, 'value' => '3 mm']]], 'points.0.hours'];
    }

    /** @param  array<string, mixed>  $changed */
    #[DataProvider('refusals')]
    public function test_refusals_name_the_field(string $name, array $changed, string $field): void
    {
        try {
            self::reckon($name, array_filter([...self::SOUND[$name], ...$changed], fn (mixed $value): bool => $value !== null));
            self::fail('It was answered.');
        } catch (BadInput $refused) {
            self::assertArrayHasKey($field, $refused->errors);
        }
    }

    public function test_the_unit_that_is_read_is_the_unit_that_is_told(): void
    {
        self::assertSame('mm', self::reckon('belt-deflection', ['deflection' => '9 mm', 'force' => '5 kgf', 'limit' => ['deflection' => '13 mm', 'force' => '98 N']])['deflection']['unit']);
        self::assertSame('L', self::reckon('consumption', ['top_ups' => [['hours' => 5, 'amount' => ['value' => '0.25', 'unit' => 'L']]], 'from' => 0, 'to' => 50])['per_100h']['unit']);
        self::assertSame('mm', self::reckon('free-play', ['left' => '26 mm', 'target' => '1 in', 'tolerance' => '1/4 in'])['left_over_by']['unit']);
    }

    public function test_a_force_twice_the_limits_allows_twice_the_give(): void
    {
        $allowed = fn (string $force): string => self::reckon('belt-deflection', [...self::SOUND['belt-deflection'], 'force' => $force])['allowed']['value'];

        self::assertSame(['0.166667', '0.333333', '0.666667'], [$allowed('7.5 lbf'), $allowed('15 lbf'), $allowed('30 lbf')]);
        self::assertSame('0.333333', $allowed('66.723323 N'));
    }

    public function test_a_pack_by_its_cells_and_a_battery_tell_the_same_charge(): void
    {
        $charge = fn (string $volts, string $nominal): int|float => self::reckon('battery', ['rest_volts' => $volts, 'kind' => 'flooded', 'nominal' => $nominal])['state_of_charge'];

        self::assertSame($charge('12.45 V', '12 V'), $charge('49.8 V', '48 V'));
        self::assertSame($charge('12.45 V', '12 V'), $charge('6.225 V', '6 V'));
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
