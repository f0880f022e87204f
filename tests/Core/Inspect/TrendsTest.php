<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Form\BadInput;
use Core\Measure\WrittenNumber;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Wear and consumption by the calculators' contract. */
final class TrendsTest extends TestCase
{
    public function test_pads_that_wear_along_a_line_reach_their_limit_where_it_says(): void
    {
        $answer = self::reckon(
            'wear',
            [
                'points' => [
                    ['hours' => 0, 'value' => '8 mm'],
                    ['hours' => 100, 'value' => '7 mm'],
                    ['hours' => 200, 'value' => '6 mm'],
                ],
                'limit' => '0.5 mm',
            ],
        );

        self::assertSame(
            ['p10' => 700, 'p50' => 750, 'p90' => 800],
            $answer['limit_at'],
            'half a millimetre either way is 50 h',
        );
        self::assertSame(['-1', 'mm'], [$answer['slope_per_100h']['value'], $answer['slope_per_100h']['unit']]);
        self::assertSame('fit', $answer['verdict']);
    }

    /** Points on a line of any slope, written to a tenth: the line is told, whatever rounding errors there would be. */
    public function test_every_perfect_line_is_told(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 500; $round++) {
            [$from, $step, $falls, $count] = [
                mt_rand(0, 90_000) / 10,
                mt_rand(1, 5_000) / 10,
                mt_rand(1, 999),
                mt_rand(3, 12),
            ];
            $value = fn (int $index): string => sprintf('%.4F mm', 500 - $index * $falls / 1000);
            $points = array_map(
                fn (int $index): array => [
                    'hours' => sprintf('%.1F', $from + $step * $index),
                    'value' => $value($index),
                ],
                range(0, $count - 1),
            );
            $limitAt = self::reckon('wear', ['points' => $points, 'limit' => $value($count + 4)])['limit_at'];

            self::assertEqualsWithDelta(round($from + $step * ($count + 4), 1), $limitAt['p50'], 0.11);
            self::assertTrue(
                $limitAt['p10'] !== null && $limitAt['p10'] <= $limitAt['p50'] && $limitAt['p50'] <= $limitAt['p90'],
                json_encode($points, JSON_THROW_ON_ERROR),
            );
        }
    }

    public function test_the_last_digit_written_is_the_least_that_a_band_is_unsure_by(): void
    {
        $band = fn (array $values): array => self::reckon(
            'wear',
            [
                'points' => array_map(
                    fn (int $index, string $value): array => ['hours' => 100 * $index, 'value' => $value],
                    array_keys($values),
                    $values,
                ),
                'limit' => '2 mm',
            ],
        )['limit_at'];

        self::assertSame(['p10' => 595, 'p50' => 600, 'p90' => 605], $band(['8.0 mm', '7.0 mm', '6.0 mm']));
        self::assertSame(
            ['p10' => 550, 'p50' => 600, 'p90' => 650],
            $band(['8.0 mm', '7.0 mm', '6 mm']),
            'the coarsest counts',
        );
        self::assertEqualsWithDelta(1 / 8, WrittenNumber::resolution('1 3/8 in')->toFloat(), 1e-9);
        self::assertEqualsWithDelta(1 / 4, WrittenNumber::resolution('1¾')->toFloat(), 1e-9);
        self::assertEqualsWithDelta(0.001, WrittenNumber::resolution('0.030')->toFloat(), 1e-9);
    }

    public function test_a_gap_grows_up_to_its_limit(): void
    {
        $answer = self::reckon(
            'wear',
            [
                'points' => [['hours' => 0, 'value' => 0.030], ['hours' => 100, 'value' => 0.032]],
                'limit' => 0.033,
                'falls' => false,
            ],
        );

        self::assertSame(['p10' => null, 'p50' => 150, 'p90' => null], $answer['limit_at']);
        self::assertSame('watch', $answer['verdict'], 'within 50 h');
        self::assertStringContainsString('a third is needed', $answer['why']);
    }

    public function test_points_in_other_units_lie_on_the_same_line(): void
    {
        $answer = self::reckon(
            'wear',
            [
                'points' => [['hours' => 0, 'value' => '1 in'], ['hours' => 100, 'value' => '12.7 mm']],
                'limit' => '1/4 in',
            ],
        );

        self::assertSame(150, $answer['limit_at']['p50']);
    }

    public function test_what_does_not_wear_has_no_limit_ahead_and_what_is_beyond_it_asks_to_act(): void
    {
        self::assertSame(
            ['p10' => null, 'p50' => null, 'p90' => null],
            self::reckon(
                'wear',
                ['points' => [['hours' => 0, 'value' => 5], ['hours' => 100, 'value' => 5.1]], 'limit' => 3],
            )['limit_at'],
        );
        self::assertSame(
            'act',
            self::reckon(
                'wear',
                ['points' => [['hours' => 0, 'value' => 5], ['hours' => 100, 'value' => 2.9]], 'limit' => 3],
            )['verdict'],
        );
        self::assertNull(
            self::reckon('wear', ['points' => [['hours' => 10, 'value' => 5]], 'limit' => 3])['slope_per_100h'],
        );
    }

    public function test_consumption(): void
    {
        $given = [
            'top_ups' => [
                ['hours' => 120, 'amount' => '0.2 qt'],
                ['hours' => 140, 'amount' => '0.2 qt'],
                ['hours' => 160, 'amount' => '0.6 qt'],
            ],
            'from' => 100,
            'to' => 200,
        ];

        $answer = self::reckon('consumption', $given);
        self::assertSame(['1', 'us_qt'], [$answer['per_100h']['value'], $answer['per_100h']['unit']]);
        self::assertSame(['rising', 'watch'], [$answer['trend'], $answer['verdict']]);
        self::assertSame('act', self::reckon('consumption', [...$given, 'limit_per_100h' => '0.9 L'])['verdict']);
        self::assertSame(
            ['thin', 'fit'],
            [
                self::reckon('consumption', ['top_ups' => [], 'from' => 0, 'to' => 50])['trend'],
                self::reckon('consumption', ['top_ups' => [], 'from' => 0, 'to' => 50])['verdict'],
            ],
        );
    }

    #[TestWith(['0.8 qt', 'fit'])]
    #[TestWith(['0.81 qt', 'watch'])]
    #[TestWith(['1 qt', 'watch'])]
    #[TestWith(['1.01 qt', 'act'])]
    public function test_over_four_fifths_of_its_limit_it_is_watched_and_over_the_limit_acted_upon(string $used, string $verdict): void
    {
        $given = ['top_ups' => [['hours' => 200, 'amount' => $used]], 'from' => 100, 'to' => 200, 'limit_per_100h' => '1 qt'];

        self::assertSame($verdict, self::reckon('consumption', $given)['verdict']);
    }

    /** @param  list<array{int, string}>  $topUps */
    #[DataProvider('topUps')]
    public function test_each_top_up_covers_the_stretch_since_the_one_before(array $topUps, string $trend): void
    {
        $given = array_map(fn (array $topUp): array => ['hours' => $topUp[0], 'amount' => $topUp[1]], $topUps);

        self::assertSame(
            $trend,
            self::reckon('consumption', ['top_ups' => $given, 'from' => 100, 'to' => 400])['trend'],
        );
    }

    /** @return iterable<string, array{list<array{int, string}>, string}> */
    public static function topUps(): iterable
    {
        yield 'equal ones at equal stretches are steady' => [
            [[120, '0.2 L'], [140, '0.2 L'], [160, '0.2 L']],
            'steady',
        ];
        $then = fn (string $early, string $late): array => [[150, $early], [200, $early], [250, $late], [300, $late]];
        yield 'a quarter more is steady' => [$then('0.4 L', '0.5 L'), 'steady'];
        yield 'over a quarter more rises' => [$then('0.4 L', '0.51 L'), 'rising'];
        yield 'a fifth less is steady' => [$then('0.5 L', '0.4 L'), 'steady'];
        yield 'over a fifth less falls' => [$then('0.5 L', '0.39 L'), 'falling'];
        yield 'in whatever order they are told' => [[[160, '0.2 L'], [120, '0.2 L'], [140, '0.2 L']], 'steady'];
        yield 'twice as much after twice as long is steady too' => [
            [[150, '0.2 L'], [200, '0.2 L'], [300, '0.4 L'], [400, '0.4 L']],
            'steady',
        ];
        yield 'as much after ever shorter stretches rises' => [
            [[200, '0.2 L'], [300, '0.2 L'], [350, '0.2 L'], [380, '0.2 L']],
            'rising',
        ];
        yield 'as much after ever longer ones falls' => [
            [[120, '0.2 L'], [140, '0.2 L'], [240, '0.2 L'], [390, '0.2 L']],
            'falling',
        ];
        yield 'twice poured at one stop is one top-up' => [
            [[120, '0.2 L'], [140, '0.1 L'], [140, '0.1 L'], [160, '0.2 L']],
            'steady',
        ];
        yield 'two tell nothing' => [[[120, '0.2 L'], [140, '0.9 L']], 'thin'];
    }

    public function test_a_top_up_outside_what_is_followed_is_refused(): void
    {
        $this->expectException(BadInput::class);

        self::reckon('consumption', ['top_ups' => [['hours' => 300, 'amount' => '1 L']], 'from' => 0, 'to' => 200]);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private static function reckon(string $name, array $given): array
    {
        return Catalogue::reckon($name, $given, new \DateTimeImmutable('2026-05-14'));
    }
}
