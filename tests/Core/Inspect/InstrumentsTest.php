<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Inspect\Judged;
use Core\Inspect\Measurement;
use Core\Inspect\Occasion;
use Core\Measure\Quantity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is measured against its limit. Limits are those of the trade's handbook: common practice, no source. */
final class InstrumentsTest extends TestCase
{
    private const BELT = ['deflection' => '1/3 in', 'force' => '15 lbf'];

    private const PEDALS = ['target' => '1 in', 'tolerance' => '1/4 in', 'max_difference' => '1/4 in'];

    public function test_a_belt_that_gives_3_8_in_against_1_3_in_is_over_by_1_24_in(): void
    {
        $judged = self::judge(
            Measurement::Belt,
            ['rest' => '1 3/4 in', 'pressed' => '1 3/8', 'force' => '15 lbf'],
            self::BELT,
        );

        self::assertSame('act', $judged->verdict?->value);
        self::assertSame('It gives 3/8 in. The most at 15 lbf is 1/3 in, so it is over by 1/24 in.', $judged->why);
        self::assertSame(
            ['0.375', '0.041667'],
            [$judged->fields['deflection']['value'], $judged->fields['over_by']['value']],
        );
    }

    public function test_a_belt_pressed_with_another_force_is_held_against_a_scaled_limit_and_says_so(): void
    {
        $judged = self::judge(
            Measurement::Belt,
            ['rest' => '1 3/4 in', 'pressed' => '1 3/8 in', 'force' => '30 lbf'],
            self::BELT,
        );

        self::assertSame('fit', $judged->verdict?->value);
        self::assertStringContainsString(
            'The most at 30 lbf is 2/3 in (the limit is 1/3 in at 15 lbf; scaled to the force used).',
            $judged->why,
        );
        self::assertSame(
            'act',
            self::judge(
                Measurement::Belt,
                ['rest' => '40 mm', 'pressed' => '26 mm'],
                ['deflection' => '13 mm', 'force' => '98 N'],
            )->verdict?->value,
        );
    }

    public function test_pedals(): void
    {
        $judged = self::judge(Measurement::FreePlay, ['left' => '1 1/2 in', 'right' => '1 in'], self::PEDALS);
        self::assertSame('act', $judged->verdict?->value);
        self::assertSame(
            'Left has 1 1/2 in, over the target of 1 in by 1/2 in; left and right differ by 1/2 in, at most 1/4 in is allowed.',
            $judged->why,
        );
        self::assertSame('0.5', $judged->fields['left_over_by']['value']);

        self::assertSame(
            'fit',
            self::judge(Measurement::FreePlay, ['left' => '1', 'right' => '1 1/8'], self::PEDALS)->verdict?->value,
        );
        self::assertStringContainsString(
            'the brake may drag',
            self::judge(Measurement::FreePlay, ['left' => '1/2'], self::PEDALS)->why,
        );
        self::assertSame(
            'act',
            self::judge(Measurement::FreePlay, ['left' => '3/4', 'right' => '1 1/4'], self::PEDALS)->verdict?->value,
            'each within, but unlike',
        );
    }

    public function test_a_battery_at_12_8_volts_that_drops_2_volts_in_10_seconds_is_bad(): void
    {
        $judged = self::judge(
            Measurement::Battery,
            ['rest_volts' => '12.8', 'loaded_volts' => '10.8'],
            ['kind' => 'flooded'],
        );

        self::assertSame('act', $judged->verdict?->value);
        self::assertSame('2', $judged->fields['drop']['value']);
        self::assertSame(
            'fit',
            self::judge(
                Measurement::Battery,
                ['rest_volts' => '12.8 V', 'loaded_volts' => '11.9 V'],
                ['kind' => 'flooded'],
            )->verdict?->value,
        );
    }

    /**
     * @return iterable<string, array{Measurement, array<string, mixed>, array<string, string>, string|null, string}>
     */
    public static function verdicts(): iterable
    {
        yield 'a battery half empty' => [
            Measurement::Battery,
            ['rest_volts' => '12.3'],
            ['kind' => 'flooded'],
            'watch',
            '57.1 % charged',
        ];
        yield 'a battery nearly empty' => [
            Measurement::Battery,
            ['rest_volts' => '12.0'],
            ['kind' => 'flooded'],
            'act',
            'Charge it',
        ];
        yield 'the same volts say less of an AGM' => [
            Measurement::Battery,
            ['rest_volts' => '12.5'],
            ['kind' => 'agm'],
            'watch',
            '66.7 % charged',
        ];
        yield 'a pack' => [
            Measurement::Battery,
            ['rest_volts' => '50.4'],
            ['kind' => 'flooded', 'nominal' => '48 V'],
            'fit',
            '93.8 % charged',
        ];
        yield 'tread' => [Measurement::Left, ['left' => '5 mm'], ['least' => '3 mm'], 'fit', '3 mm is the least'];
        yield 'tread near its end' => [
            Measurement::Left,
            ['left' => '3.4'],
            ['least' => '3 mm', 'watch_below' => '4 mm'],
            'watch',
            'Order the part',
        ];
        yield 'tread at the limit' => [Measurement::Left, ['left' => '3'], ['least' => '3 mm'], 'fit', ''];
        yield 'a pad below 0.5 mm' => [
            Measurement::Left,
            ['left' => '0.4 mm'],
            ['least' => '0.5 mm'],
            'act',
            '0.1 mm less than',
        ];
        yield 'thread left, in inches' => [
            Measurement::Left,
            ['left' => '1/4'],
            ['least' => '1/8 in', 'watch_below' => '3/8 in'],
            'watch',
            '1/8 in above',
        ];
        yield 'equalizer within' => [
            Measurement::Clearance,
            ['gap' => '5/8'],
            ['least' => '1/2 in', 'most' => '3/4 in'],
            'fit',
            '',
        ];
        yield 'equalizer too wide' => [
            Measurement::Clearance,
            ['gap' => '7/8'],
            ['least' => '1/2 in', 'most' => '3/4 in'],
            'act',
            '1/8 in too wide',
        ];
        yield 'equalizer too narrow' => [
            Measurement::Clearance,
            ['gap' => '10 mm'],
            ['least' => '1/2 in', 'most' => '3/4 in'],
            'act',
            'shims in',
        ];
        yield 'a tan plug' => [
            Measurement::Plug,
            ['gap' => '0.031', 'colour' => 'tan'],
            ['gap' => '0.030 in', 'tolerance' => '0.003 in'],
            'fit',
            '',
        ];
        yield 'a worn gap' => [
            Measurement::Plug,
            ['gap' => '0.036', 'colour' => 'tan'],
            ['gap' => '0.030 in', 'tolerance' => '0.003 in'],
            'act',
            '0.006 in off',
        ];
        yield 'a white plug' => [
            Measurement::Plug,
            ['gap' => '0.030', 'colour' => 'white'],
            ['gap' => '0.030 in', 'tolerance' => '0.003 in'],
            'act',
            'lean',
        ];
        yield 'plugs that differ' => [
            Measurement::Plug,
            ['gap' => '0.030', 'colour' => 'tan', 'unlike' => true],
            ['gap' => '0.030 in', 'tolerance' => '0.003 in'],
            'watch',
            'do not burn alike',
        ];
        $front = fn (string $psi, bool $warm = false): array => [
            Measurement::Tyres,
            ['front_left' => $psi, 'warm' => $warm],
            ['front' => '20 psi', 'rear' => '20 psi'],
        ];
        yield 'a tyre a tenth over' => [...$front('22 psi'), 'fit', ''];
        yield 'a tyre more than a tenth over' => [...$front('22.1 psi'), 'watch', 'Set it'];
        yield 'a tyre a quarter over' => [...$front('25 psi'), 'watch', 'Set it'];
        yield 'a tyre beyond a quarter under' => [...$front('14.9 psi'), 'act', 'under'];
        yield 'a warm tyre that shows more' => [...$front('25 psi', warm: true), null, 'three hours'];
        yield 'a battery charged to the half' => [Measurement::Battery, ['rest_volts' => '12.24'], ['kind' => 'flooded'], 'watch', '50 % charged'];
        yield 'a battery that drops by all it may' => [
            Measurement::Battery,
            ['rest_volts' => '12.8', 'loaded_volts' => '11.8'],
            ['kind' => 'flooded'],
            'fit',
            '',
        ];
        yield 'a battery loaded for as long as a load tells anything' => [
            Measurement::Battery,
            ['rest_volts' => '12.8', 'loaded_volts' => '11.8', 'seconds' => '15'],
            ['kind' => 'flooded'],
            'fit',
            '',
        ];
        yield 'coolant with three degrees to spare' => [Measurement::Coolant, ['protects_to' => '-21 °C'], [], 'fit', ''];
        yield 'coolant with nothing to spare' => [Measurement::Coolant, ['protects_to' => '-18 °C'], [], 'watch', ''];
        yield 'brake fluid on its last day' => [
            Measurement::FluidAge,
            ['changed_on' => '2024-05-14'],
            ['months' => '24'],
            'watch',
            'Plan',
        ];
        yield 'a pedal at the end of its tolerance' => [Measurement::FreePlay, ['left' => '1 1/4'], self::PEDALS, 'fit', ''];
        yield 'coolant for the night' => [
            Measurement::Coolant,
            ['protects_to' => '-37'],
            ['glycol' => 'ethylene'],
            'fit',
            'coldest night here is -18 °C',
        ];
        yield 'coolant just enough' => [Measurement::Coolant, ['protects_to' => '-20 °C'], [], 'watch', ''];
        yield 'coolant by per cent' => [Measurement::Coolant, ['percent' => 30], [], 'act', '30 % ethylene glycol'];
        yield 'brake fluid of last year' => [
            Measurement::FluidAge,
            ['changed_on' => '2025-06-01'],
            ['months' => '24'],
            'fit',
            '1 June 2027',
        ];
        yield 'brake fluid soon two years old' => [
            Measurement::FluidAge,
            ['changed_on' => '2024-06-20'],
            ['months' => '24'],
            'watch',
            '',
        ];
        yield 'brake fluid over two years old' => [
            Measurement::FluidAge,
            ['changed_on' => '2024-05-01'],
            ['months' => '24'],
            'act',
            'which is past',
        ];
        yield 'tyres by the book' => [
            Measurement::Tyres,
            ['front_left' => '14', 'front_right' => '13.5', 'rear_left' => '10'],
            ['front' => '14 psi', 'rear' => '10 psi'],
            'fit',
            'read cold',
        ];
        yield 'a soft tyre' => [
            Measurement::Tyres,
            ['front_left' => '12', 'rear_left' => '10'],
            ['front' => '14 psi', 'rear' => '10 psi'],
            'watch',
            'Front left 12 psi, 14 % under the book',
        ];
        yield 'a flat tyre' => [
            Measurement::Tyres,
            ['front_left' => '7'],
            ['front' => '14 psi', 'rear' => '10 psi'],
            'act',
            '50 % under',
        ];
        yield 'a hard tyre' => [
            Measurement::Tyres,
            ['front_left' => '1.2 bar'],
            ['front' => '14 psi', 'rear' => '10 psi'],
            'watch',
            'over the book',
        ];
        yield 'warm tyres tell nothing' => [
            Measurement::Tyres,
            ['front_left' => '17', 'rear_left' => '12', 'warm' => true],
            ['front' => '14 psi', 'rear' => '10 psi'],
            null,
            'stood for three hours',
        ];
        yield 'a warm tyre that is low all the same' => [
            Measurement::Tyres,
            ['front_left' => '12', 'warm' => true],
            ['front' => '14 psi', 'rear' => '10 psi'],
            'watch',
            'cold it is lower still',
        ];
        yield 'plates covered' => [Measurement::CellWater, ['water' => 'over'], [], 'fit', ''];
        yield 'plates bare' => [Measurement::CellWater, ['water' => 'bare'], [], 'act', 'distilled water'];
    }

    /**
     * @param  array<string, mixed>  $entered
     * @param  array<string, string>  $limits
     */
    #[DataProvider('verdicts')]
    public function test_verdicts(
        Measurement $measurement,
        array $entered,
        array $limits,
        ?string $verdict,
        string $says,
    ): void {
        $judged = self::judge($measurement, $entered, $limits);

        self::assertSame($verdict, $judged->verdict?->value);
        self::assertStringContainsString($says, "{$judged->why} {$judged->do}");
        self::assertSame($verdict === 'fit' ? '' : $judged->do, $judged->do);
    }

    /** @return iterable<string, array{Measurement, array<string, mixed>, array<string, string>, string, string}> */
    public static function refusals(): iterable
    {
        yield 'a belt without its limit' => [
            Measurement::Belt,
            ['rest' => '2 in', 'pressed' => '1 in'],
            [],
            'limits.deflection',
            'missing',
        ];
        yield 'a belt in volts' => [
            Measurement::Belt,
            ['rest' => '2 V', 'pressed' => '1 in'],
            self::BELT,
            'rest',
            'is a length, and 2 V is a voltage',
        ];
        yield 'a belt pressed with nothing' => [
            Measurement::Belt,
            ['rest' => '2 in', 'pressed' => '1 in', 'force' => '0 lbf'],
            self::BELT,
            'force',
            'above zero',
        ];
        yield 'less than nothing' => [
            Measurement::Left,
            ['left' => '-1 mm'],
            ['least' => '3 mm'],
            'left',
            'less than nothing',
        ];
        yield 'words' => [Measurement::Left, ['left' => 'plenty'], ['least' => '3 mm'], 'left', 'is not an amount'];
        yield 'more volts loaded than rested' => [
            Measurement::Battery,
            ['rest_volts' => '12.1', 'loaded_volts' => '12.4'],
            [],
            'loaded_volts',
            'cannot show more',
        ];
        yield '24 V of a 12 V battery' => [
            Measurement::Battery,
            ['rest_volts' => '25'],
            [],
            'rest_volts',
            'more than a 12 V battery',
        ];
        yield 'no coldest night' => [
            Measurement::Coolant,
            ['protects_to' => '-30'],
            ['coldest' => ''],
            'limits.coldest',
            'Nobody has said',
        ];
        yield 'too much glycol' => [
            Measurement::Coolant,
            ['percent' => 80],
            ['coldest' => '-18'],
            'percent',
            'protects less again',
        ];
        yield 'fluid changed tomorrow' => [
            Measurement::FluidAge,
            ['changed_on' => '2026-05-15'],
            ['months' => '24'],
            'changed_on',
            'has not come',
        ];
        yield 'no tyre' => [
            Measurement::Tyres,
            [],
            ['front' => '14 psi', 'rear' => '10 psi'],
            'front_left',
            'No pressure',
        ];
        yield 'a colour of its own' => [
            Measurement::Plug,
            ['gap' => '0.030', 'colour' => 'pink'],
            ['gap' => '0.030 in', 'tolerance' => '0.003 in'],
            'colour',
            'one of tan, white, black, oily',
        ];
        yield 'bounds crossed' => [
            Measurement::Clearance,
            ['gap' => '1/2'],
            ['least' => '3/4 in', 'most' => '1/2 in'],
            'limits.most',
            'less than the least',
        ];
    }

    /**
     * @param  array<string, mixed>  $entered
     * @param  array<string, string>  $limits
     */
    #[DataProvider('refusals')]
    public function test_what_cannot_be_judged_is_refused_beside_its_field(
        Measurement $measurement,
        array $entered,
        array $limits,
        string $field,
        string $says,
    ): void {
        try {
            self::judge($measurement, $entered, $limits, night: $field !== 'limits.coldest');
            self::fail('It was judged.');
        } catch (BadInput $refused) {
            self::assertStringContainsString(
                $says,
                implode(' ', $refused->errors[$field] ?? []),
                json_encode($refused->errors, JSON_THROW_ON_ERROR),
            );
        }
    }

    public function test_every_instrument_asks_for_something_and_tells_its_limits_apart(): void
    {
        foreach (Measurement::cases() as $measurement) {
            $names = fn (array $asks): array => array_column($asks, 'name');
            $instrument = $measurement->instrument();

            self::assertNotEmpty($names($instrument->asks()));
            self::assertSame($names($instrument->limits()), array_unique($names($instrument->limits())));
            foreach ($instrument->asks() as $ask) {
                self::assertTrue(
                    $ask->like === null || in_array($ask->like, $names($instrument->limits()), true),
                    "{$measurement->value} {$ask->name}",
                );
            }
        }
    }

    /**
     * @param  array<string, mixed>  $entered
     * @param  array<string, string>  $limits
     */
    private static function judge(Measurement $measurement, array $entered, array $limits, bool $night = true): Judged
    {
        return $measurement->instrument()->judge(
            new Fields($entered),
            new Fields($limits, 'limits.'),
            new Occasion(new \DateTimeImmutable('2026-05-14'), $night ? Quantity::parse('-18 °C') : null),
        );
    }
}
