<?php

declare(strict_types=1);

namespace Tests\Core\Fill;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The sums of pouring, by the calculators' own doors. The worked cases are the trade handbook's. */
final class FillTest extends TestCase
{
    public function test_zero_point_eight_by_the_filter_zero_point_eight_more_then_zero_point_two_make_one_point_eight(): void
    {
        $plan = self::reckon(
            'fill-plan',
            ['capacity' => ['min' => '1.6 L', 'max' => '1.8 L'], 'prefill' => '0.8 L', 'method' => 'stick'],
        );
        self::assertSame(
            [['0.8', '1.6', 'run_wait_read'], ['0.2', '1.8', 'done']],
            array_map(
                fn (array $step): array => [$step['pour']['value'], $step['total']['value'], $step['then']],
                $plan['steps'],
            ),
        );

        $band = self::reckon('stick', ['marks' => [
            ['level' => 0.5, 'poured_since' => '1.6 L'],
            ['level' => '0.45', 'ran' => true],
            ['level' => 1, 'poured_since' => '0.2 L'],
        ]]);
        self::assertSame(
            ['0.363636', '0', '0'],
            [$band['volume_per_band']['value'], $band['to_full']['value'], $band['draw_off']['value']],
            '0.2 L over 0.55 of the band',
        );
    }

    /** @param  list<array{string, string}>  $steps  total, then */
    #[TestWith([['capacity' => ['max' => '2 qt'], 'method' => 'stick'], [['1.7', 'run_wait_read'], ['2', 'done']]])]
    #[TestWith([['capacity' => ['max' => '2 qt'], 'method' => 'level_plug'], [['1.7', 'until_it_shows'], ['2', 'done']]])]
    #[TestWith([['capacity' => ['max' => '2 qt'], 'method' => 'line', 'share_first' => '0.5'], [['1', 'run_wait_read'], ['2', 'done']]])]
    #[TestWith([['capacity' => ['max' => '2 qt'], 'method' => 'stick', 'prefill' => '1.8 qt'], [['2', 'done']]])]
    #[TestWith([['capacity' => ['min' => '1 L', 'max' => '2 L'], 'method' => 'stick'], [['1.7', 'run_wait_read'], ['2', 'done']]])]
    public function test_never_the_whole_figure_blind(array $given, array $steps): void
    {
        $plan = self::reckon('fill-plan', $given);

        self::assertSame(
            $steps,
            array_map(fn (array $step): array => [$step['total']['value'], $step['then']], $plan['steps']),
        );
    }

    public function test_all_pours_and_what_was_in_the_filter_make_the_books_figure(): void
    {
        foreach ([null, '0.3 qt', '0.25 L'] as $prefill) {
            foreach (['3.8 qt', '948 mL', '7 L'] as $most) {
                $plan = self::reckon(
                    'fill-plan',
                    array_filter(['capacity' => ['max' => $most], 'method' => 'stick', 'prefill' => $prefill]),
                );
                $sum = array_sum(array_map(fn (array $step): float => (float) $step['pour']['value'], $plan['steps']));
                $in = $prefill === null
                    ? 0.0
                    : (float) self::reckon(
                        'convert',
                        ['quantity' => $prefill, 'to' => $plan['book_total']['unit']],
                    )['result']['value'];
                self::assertEqualsWithDelta(
                    (float) $plan['book_total']['value'],
                    $sum + $in,
                    1e-5,
                    "{$most}, {$prefill} in the filter",
                );
            }
        }
    }

    public function test_a_stick_tells_what_is_missing_and_what_to_draw_off(): void
    {
        $low = self::reckon('stick', ['marks' => [['level' => -0.5], ['level' => '0.25', 'poured_since' => '300 mL']]]);
        self::assertSame(
            ['400', '300', '0'],
            [$low['volume_per_band']['value'], $low['to_full']['value'], $low['draw_off']['value']],
        );
        $over = self::reckon(
            'stick',
            ['marks' => [['level' => 1], ['level' => '1.5', 'poured_since' => '0.2 qt'], ['level' => '1.5']]],
        );
        self::assertSame(['0.4', '0.2'], [$over['volume_per_band']['value'], $over['draw_off']['value']]);
    }

    public function test_a_stick_that_did_not_rise_teaches_nothing(): void
    {
        foreach ([[['level' => 0.5], ['level' => 0.5, 'poured_since' => '1 L']], [['level' => 0], ['level' => 1]], [['level' => 0]], [['level' => 4], ['level' => 1, 'poured_since' => '1 L']]] as $marks) {
            self::assertNotSame([], self::refused('stick', ['marks' => $marks]));
        }
    }

    public function test_seven_gallons_at_half_are_three_and_a_half_of_each(): void
    {
        $mix = self::reckon('coolant-mix', ['volume' => '7 gal', 'percent' => 50, 'glycol' => 'ethylene']);

        self::assertSame(['3.5', '3.5'], [$mix['concentrate']['value'], $mix['water']['value']]);
        self::assertEqualsWithDelta(
            -37,
            (float) $mix['protects_to']['value'],
            0.5,
            'handbook tables: 50 % ethylene glycol about -37 °C',
        );
        self::assertStringContainsString('distilled', $mix['why']);
    }

    /** What is drained and replaced must come out at the target: drained × strength lost = what was lacking. */
    public function test_a_corrected_coolant_has_its_target_strength(): void
    {
        foreach ([[30, 50], [0, 40], [20, 60], [60, 50], [50, 33], [100, 50]] as [$present, $target]) {
            $answer = self::reckon(
                'coolant-correct',
                ['volume' => '10 L', 'present_percent' => $present, 'target_percent' => $target],
            );
            $drained = (float) $answer['drain']['value'];
            $glycol = (10 - $drained) * $present + $drained * ($answer['refill_with'] === 'concentrate' ? 100 : 0);
            self::assertEqualsWithDelta(10 * $target, $glycol, 1e-3, "{$present} to {$target}");
        }
        self::assertSame(
            '0',
            self::reckon(
                'coolant-correct',
                ['volume' => '10 L', 'present_percent' => 50, 'target_percent' => 50],
            )['drain']['value'],
        );
    }

    /** Row 13: 8 gal run into a 5 gal bucket. */
    public function test_eight_gallons_do_not_go_into_a_five_gallon_pail(): void
    {
        $pan = self::reckon('pan', ['comes_out' => ['8 gal'], 'pans' => ['5 gal']]);

        self::assertSame(
            [false, '3.5', []],
            [$pan['enough'], $pan['short_by']['value'], $pan['empty_after']],
            'a tenth of the pail stays free',
        );
        self::assertStringContainsString('run over', $pan['why']);
    }

    /** @return iterable<string, array{array<string, mixed>, list<string|int>}> */
    public static function pans(): iterable
    {
        yield 'all in one' => [['comes_out' => ['2 qt', '1 qt'], 'pans' => ['2 gal']], []];
        yield 'emptied once' => [['comes_out' => ['3 gal', '3 gal'], 'pans' => ['5 gal']], [1]];
        yield 'by name' => [
            [
                'comes_out' => [['drain' => 'engine', 'amount' => '3 gal'], ['drain' => 'hubs', 'amount' => '3 gal']],
                'pans' => ['5 gal'],
            ],
            ['engine'],
        ];
        yield 'a second pan' => [['comes_out' => ['3 gal', '3 gal'], 'pans' => ['5 gal', '5 gal']], []];
        yield 'coolant and oil share none' => [
            [
                'comes_out' => [
                    ['drain' => 'a', 'amount' => '1 L', 'fluid' => 'oil'],
                    ['drain' => 'b', 'amount' => '1 L', 'fluid' => 'coolant'],
                ],
                'pans' => ['5 L'],
            ],
            ['a'],
        ];
        yield 'one drain is never shared out among pans' => [
            ['comes_out' => ['3 L', '4 L'], 'pans' => ['3.5 L', '5 L']],
            [],
        ];
        yield 'as seldom as can be' => [
            ['comes_out' => ['2 L', '2 L', '2 L', '2 L'], 'pans' => ['4.5 L'], 'margin' => 0],
            [2],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  list<string|int>  $emptyAfter
     */
    #[DataProvider('pans')]
    public function test_after_which_drain_the_pans_are_emptied(array $given, array $emptyAfter): void
    {
        self::assertSame($emptyAfter, self::reckon('pan', $given)['empty_after']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> */
    public static function bad(): iterable
    {
        yield 'a minimum over its maximum' => [
            'fill-plan',
            ['capacity' => ['min' => '2 L', 'max' => '1 L'], 'method' => 'stick'],
            ['capacity.min'],
        ];
        yield 'more in the filter than it holds' => [
            'fill-plan',
            ['capacity' => ['max' => '1 L'], 'prefill' => '2 L', 'method' => 'stick'],
            ['prefill'],
        ];
        yield 'a fill without a compartment' => ['fill-plan', ['method' => 'stick'], ['capacity', 'capacity.max']];
        yield 'a unit of the wrong kind' => [
            'fill-plan',
            ['capacity' => ['max' => '3 psi'], 'method' => 'prayer'],
            ['capacity.max', 'method'],
        ];
        yield 'stronger than any table' => [
            'coolant-mix',
            ['volume' => '7 L', 'percent' => 80, 'glycol' => 'ethylene'],
            ['percent'],
        ];
        yield 'less than nothing' => [
            'coolant-correct',
            ['volume' => '-2 L', 'present_percent' => 10, 'target_percent' => 50],
            ['volume'],
        ];
        yield 'no pan' => ['pan', ['comes_out' => ['2 L'], 'pans' => []], ['pans']];
        yield 'a pan that is all margin' => [
            'pan',
            ['comes_out' => ['2 L'], 'pans' => ['3 L'], 'margin' => 1],
            ['margin'],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  list<string>  $fields
     */
    #[DataProvider('bad')]
    public function test_what_cannot_be_is_refused_beside_its_field(string $name, array $given, array $fields): void
    {
        self::assertEqualsCanonicalizing($fields, self::refused($name, $given));
    }

    /**
     * @param  array<string, mixed>  $given
     * @return list<string> the fields at fault
     */
    private static function refused(string $name, array $given): array
    {
        try {
            self::reckon($name, $given);
        } catch (BadInput $bad) {
            return array_keys($bad->errors);
        }

        return [];
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
