<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\CompartmentKind;
use Core\Inspect\Condition;
use Core\Inspect\Seen;
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
        yield 'grey shimmer at the first service' => ['gearbox', ['grey'], true, 'break-in metal', 'watch', 'check again at the next'];
        yield 'grey shimmer later' => ['gearbox', ['grey'], false, 'fine metal after break-in', 'act', 'magnet'];
        yield 'fine fuzz' => ['rear_differential', ['fuzz'], false, 'normal wear', 'fit', 'Wipe it'];
        yield 'slivers' => ['final_drive', ['slivers'], false, 'something is breaking', 'stand_down', 'before it is run again'];
        yield 'chips among fuzz' => ['final_drive', ['fuzz', 'chips'], false, 'something is breaking', 'stand_down', 'Stop'];
        yield 'black gear oil' => ['gearbox', ['black', 'burnt_smell'], false, 'overheated or long overdue', 'act', 'shorten the interval'];
        yield 'black engine oil' => ['engine', ['black'], false, 'due for a change', 'watch', 'next chance'];
        yield 'milky' => ['hydraulic', ['milky'], false, 'water', 'act', 'change again soon'];
        yield 'drops' => ['engine', ['water_drops'], false, 'water', 'act', 'Find the way in'];
        yield 'beige foam' => ['engine', ['foam'], false, 'water', 'act', 'Find the way in'];
        yield 'over full and smelling of fuel' => ['engine', ['overfull', 'fuel_smell'], false, 'fuel in the oil', 'stand_down', 'Do not run it'];
        yield 'smelling of fuel alone' => ['engine', ['fuel_smell'], false, 'fuel in it', 'act', 'change the oil'];
        yield 'over full just after pouring' => ['engine', ['overfull'], false, 'not run down yet, or too much', 'watch', 'Wait and read again'];
        yield 'low' => ['engine', ['low'], false, 'low', 'act', 'log how much'];
        yield 'the hardest sign counts' => ['hydrostatic', ['clear', 'milky', 'fuzz'], false, 'water', 'act', 'way in'];
    }

    /** @param  list<string>  $seen */
    #[DataProvider('rules')]
    public function test_rules(string $compartment, array $seen, bool $first, string $reading, string $verdict, string $do): void
    {
        $condition = Condition::of(CompartmentKind::from($compartment), array_map(Seen::from(...), $seen), $first);

        self::assertSame([$reading, $verdict], [$condition->reading, $condition->verdict->value]);
        self::assertStringContainsString($do, $condition->do);
    }

    public function test_everything_that_can_be_seen_means_something_in_every_housing(): void
    {
        foreach (CompartmentKind::cases() as $kind) {
            foreach (Seen::cases() as $seen) {
                self::assertNotSame('', Condition::of($kind, [$seen], false)->reading);
            }
        }
    }
}
