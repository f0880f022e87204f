<?php

declare(strict_types=1);

namespace Tests\Core\Fluid;

use Core\Fluid\Condition;
use Core\Fluid\Seen;
use Core\Machine\CompartmentKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each of the handbook's condition rules. Common practice, no source. */
final class ConditionTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, bool, string, string, string}> */
    public static function rules(): iterable
    {
        yield 'clear amber to brown' => ['engine', ['clear'], false, 'normal', 'fit', 'Go on'];
        yield 'dark engine oil' => ['engine', ['dark'], false, 'normal', 'fit', 'carries the dirt'];
        yield 'grey shimmer at the first service' => [
            'gearbox',
            ['grey'],
            true,
            'break-in metal',
            'watch',
            'check again at the next',
        ];
        yield 'grey shimmer later' => ['gearbox', ['grey'], false, 'fine metal after break-in', 'act', 'magnet'];
        yield 'fine fuzz' => ['rear_differential', ['fuzz'], false, 'normal wear', 'fit', 'Wipe it'];
        yield 'slivers' => [
            'final_drive',
            ['slivers'],
            false,
            'something is breaking',
            'stand_down',
            'before it is run again',
        ];
        yield 'chips among fuzz' => [
            'final_drive',
            ['fuzz', 'chips'],
            false,
            'something is breaking',
            'stand_down',
            'Stop',
        ];
        yield 'black gear oil' => [
            'gearbox',
            ['black', 'burnt_smell'],
            false,
            'overheated or long overdue',
            'act',
            'shorten the interval',
        ];
        yield 'black engine oil' => ['engine', ['black'], false, 'due for a change', 'watch', 'next chance'];
        yield 'milky' => ['hydraulic', ['milky'], false, 'water', 'act', 'change again soon'];
        yield 'drops' => ['engine', ['water_drops'], false, 'water', 'act', 'Find the way in'];
        yield 'beige foam' => ['engine', ['foam'], false, 'water', 'act', 'Find the way in'];
        yield 'over full and smelling of fuel' => [
            'engine',
            ['overfull', 'fuel_smell'],
            false,
            'fuel in the oil',
            'stand_down',
            'Do not run it',
        ];
        yield 'smelling of fuel alone' => ['engine', ['fuel_smell'], false, 'fuel in it', 'act', 'change the oil'];
        yield 'over full just after pouring' => [
            'engine',
            ['overfull'],
            false,
            'not run down yet, or too much',
            'watch',
            'Wait and read again',
        ];
        yield 'low' => ['engine', ['low'], false, 'low', 'act', 'log how much'];
        yield 'the hardest sign counts' => ['hydrostatic', ['clear', 'milky', 'fuzz'], false, 'water', 'act', 'way in'];
    }

    /** @param  list<string>  $seen */
    #[DataProvider('rules')]
    public function test_rules(
        string $compartment,
        array $seen,
        bool $first,
        string $reading,
        string $verdict,
        string $do,
    ): void {
        [$condition] = self::of($compartment, $seen, $first);

        self::assertSame([$reading, $verdict], [$condition->reading, $condition->verdict->value]);
        self::assertStringContainsString($do, $condition->do);
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function otherFluids(): iterable
    {
        yield 'milky coolant is oil in it' => ['coolant', 'milky', 'oil in it', 'stand_down'];
        yield 'dark coolant is no oil that carries its dirt' => ['coolant', 'dark', 'rust, or long overdue', 'act'];
        yield 'low coolant' => ['coolant', 'low', 'a leak, or boiled off', 'act'];
        yield 'low brake fluid is worn pads or a leak' => ['brake', 'low', 'worn pads, or a leak', 'act'];
        yield 'dark brake fluid is old' => ['brake', 'dark', 'old, it has taken up water', 'act'];
        yield 'foam in brake fluid' => ['brake', 'foam', 'air in it', 'stand_down'];
        yield 'fuel smells of fuel' => ['fuel', 'fuel_smell', 'normal', 'fit'];
        yield 'drops in fuel' => ['fuel', 'water_drops', 'water in it', 'act'];
        yield 'low fuel is no leak' => ['fuel', 'low', 'low', 'watch'];
        yield 'dark gear oil' => ['transfer', 'dark', 'ageing', 'watch'];
        yield 'grey hydraulic oil' => ['hydraulic', 'grey', 'a pump or motor wearing', 'act'];
    }

    #[DataProvider('otherFluids')]
    public function test_every_fluid_has_its_own_readings(
        string $compartment,
        string $seen,
        string $reading,
        string $verdict,
    ): void {
        [$condition] = self::of($compartment, [$seen]);

        self::assertSame([$reading, $verdict], [$condition->reading, $condition->verdict->value]);
    }

    public function test_no_fluid_but_oil_is_judged_by_the_oils_words(): void
    {
        $ofOil = [
            'due for a change',
            'overheated or long overdue',
            'ageing',
            'fine metal after break-in',
            'break-in metal',
            'normal wear',
            'something is breaking',
            'not run down yet, or too much',
            'water',
        ];
        foreach (['coolant', 'fuel', 'brake'] as $compartment) {
            foreach (Seen::cases() as $seen) {
                self::assertNotContains(
                    self::of($compartment, [$seen->value], first: true)[0]->reading,
                    $ofOil,
                    "{$compartment}, {$seen->value}",
                );
            }
        }
    }

    public function test_several_things_seen_give_all_their_causes_the_gravest_first_in_any_order(): void
    {
        $seen = ['clear', 'fuzz', 'milky', 'overfull', 'slivers', 'water_drops'];
        foreach ([$seen, array_reverse($seen)] as $order) {
            self::assertSame(
                ['something is breaking', 'water', 'not run down yet, or too much', 'normal wear'],
                array_column(self::of('gearbox', $order), 'reading'),
            );
        }
        self::assertSame(
            ['normal'],
            array_column(self::of('engine', ['clear', 'dark']), 'reading'),
            'the normal stands alone',
        );
        self::assertSame(
            ['fuel in the oil', 'something is breaking'],
            array_column(self::of('engine', ['chips', 'overfull', 'fuel_smell']), 'reading'),
        );
    }

    public function test_foam_just_after_filling_is_air_for_now(): void
    {
        self::assertSame('air from filling', self::of('hydrostatic', ['foam'], justFilled: true)[0]->reading);
        self::assertSame('water', self::of('hydrostatic', ['foam'])[0]->reading);
        self::assertSame('water', self::of('hydrostatic', ['milky'], justFilled: true)[0]->reading, 'milk is no foam');
    }

    /**
     * @param  list<string>  $seen
     * @return non-empty-list<Condition>
     */
    private static function of(string $compartment, array $seen, bool $first = false, bool $justFilled = false): array
    {
        return Condition::of(
            CompartmentKind::from($compartment),
            array_map(Seen::from(...), $seen),
            $first,
            $justFilled,
        );
    }
}
