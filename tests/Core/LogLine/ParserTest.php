<?php

declare(strict_types=1);

namespace Tests\Core\LogLine;

use Core\LogLine\LoggedValue;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;
use Core\LogLine\Segments;
use Core\Machine\TaskKind;
use Core\Meter\MeterUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ParserTest extends TestCase
{
    private const NAMES = [
        '1' => 'Heron',
        '2' => 'Wren',
        '3' => 'Little Grebe',
        '4' => 'Little Egret',
        '5' => 'Tractor 2',
    ];

    #[DataProvider('lines')]
    public function test_lines_are_read_in_any_order(
        string $line,
        string $machine,
        string $value,
        bool $gain = false,
        ?MeterUnit $unit = null,
        ?string $day = null,
    ): void {
        $read = self::parse($line);
        [$logged] = $read->values;

        self::assertCount(1, $read->values);
        self::assertSame(
            [$machine, $value, $gain, $unit, $day],
            [$read->machineId, (string) $logged->value, $logged->isGain, $logged->unit, $read->day?->format('Y-m-d')],
        );
    }

    public function test_hours_and_kilometres_stand_in_one_line(): void
    {
        $values = self::parse('wren 8,120 km 412.6h yesterday')->values;

        self::assertSame(
            [['8120', MeterUnit::Kilometres], ['412.6', MeterUnit::Hours]],
            array_map(fn (LoggedValue $logged): array => [(string) $logged->value, $logged->unit], $values),
        );
    }

    /**
     * @return iterable<string, array{0: string, 1: string, 2: string, 3?: bool, 4?: MeterUnit|null, 5?: string|null}>
     */
    public static function lines(): iterable
    {
        foreach ([
            ['heron 412.6', '1', '412.6'],
            ['412,6 HERON', '1', '412.6'],
            ['her 412.6 h', '1', '412.6', false, MeterUnit::Hours],
            ['heron at 412.6h', '1', '412.6', false, MeterUnit::Hours],
            ['wren 8120 km', '2', '8120', false, MeterUnit::Kilometres],
            ['wren 8,120 mi', '2', '8120', false, MeterUnit::Miles],
            ['heron 1,204.3', '1', '1204.3'],
            ['heron +3.5', '1', '3.5', true],
            ['little grebe 31.2', '3', '31.2'],
            ['tractor 2 412.6', '5', '412.6'],
            ['heron 412.6 yesterday', '1', '412.6', false, null, '2026-05-13'],
            ['yesterday, heron 412.6', '1', '412.6', false, null, '2026-05-13'],
            ['heron 412.6 on mon', '1', '412.6', false, null, '2026-05-11'],
            ['heron 412.6 thursday', '1', '412.6', false, null, '2026-05-07'],
            ['heron 412.6 12 may', '1', '412.6', false, null, '2026-05-12'],
            ['heron 412.6 may 12', '1', '412.6', false, null, '2026-05-12'],
            ['heron 412.6 20.12.', '1', '412.6', false, null, '2025-12-20'],
            ['heron 412.6 2026-04-30', '1', '412.6', false, null, '2026-04-30'],
            ['heron 412.6 5/13', '1', '412.6', false, null, '2026-05-13'],
            ['heron 412.6 13/5', '1', '412.6', false, null, '2026-05-13'],
            ['heron 412.6 5/5', '1', '412.6', false, null, '2026-05-05'],
            ['heron 412.6 12/24/2025', '1', '412.6', false, null, '2025-12-24'],
            ['heron 412.6 14 may 2025', '1', '412.6', false, null, '2025-05-14'],
            ['may 14 2025 heron 412.6', '1', '412.6', false, null, '2025-05-14'],
            ['heron 412.6 2 days ago', '1', '412.6', false, null, '2026-05-12'],
            ['1 week ago heron 412.6', '1', '412.6', false, null, '2026-05-07'],
            ['heron +1:30', '1', '1.5', true],
            ['heron 29 feb 2024 412.6', '1', '412.6', false, null, '2024-02-29'],
        ] as $case) {
            yield $case[0] => $case;
        }
    }

    /** @param  list<string>  $suggestions */
    #[DataProvider('unclear')]
    public function test_what_is_unclear_is_asked_and_never_guessed(
        string $line,
        string $says,
        array $suggestions = [],
    ): void {
        try {
            self::parse($line);
            self::fail("\"{$line}\" was understood");
        } catch (NotUnderstood $not) {
            self::assertStringContainsString($says, $not->getMessage());
            self::assertSame($suggestions, $not->suggestions);
        }
    }

    /** @return iterable<string, array{0: string, 1: string, 2?: list<string>}> */
    public static function unclear(): iterable
    {
        yield 'nothing' => ['  ', 'Write a machine'];
        yield 'two machines begin so' => [
            'little 31.2',
            'Little Grebe or Little Egret',
            ['little grebe 31.2', 'little egret 31.2'],
        ];
        yield 'a slip in the name' => ['hreon 412.6', 'Did you mean Heron?', ['heron 412.6']];
        yield 'nobody by that name' => ['ostrich 3', 'No machine of this yard'];
        yield 'no value' => ['heron', 'What does Heron\'s meter show?'];
        yield 'more than is known yet' => ['heron 412.6 oil', 'not understood here'];
        yield 'a fraction of nothing' => ['heron 3/0', 'divides by zero'];
        yield 'no such day' => ['heron 3 31.2.', 'There is no day'];
        yield 'a point that may set thousands apart' => [
            'heron 1.204 yesterday',
            'two ways',
            ['heron 1204 yesterday', 'heron 1.2 yesterday'],
        ];
        yield 'and keeps its unit and its neighbour' => [
            'wren 412.6 h 8.120 km',
            'two ways',
            ['wren 412.6 h 8120 km', 'wren 412.6 h 8.12 km'],
        ];
        yield 'a day that would jump a year' => ['heron 412.6 15 may', '15 May 2025. Write its year'];
        yield 'a day that has not come' => ['heron 412.6 2026-05-20', 'has not come yet'];
        yield 'a day and a month that could be each other' => ['heron 412.6 5/4', 'Write 5 april or 4 may'];
        yield 'two values of one meter' => ['heron 412.6 413.6', 'each with its unit'];
        yield 'two hours' => ['heron 412.6 h 3 h', 'each with its unit'];
        yield 'long junk' => ['heron 3 '.str_repeat('z', 150), 'zzz …'];
        yield 'the shelf with nothing' => ['shelf', 'What came to the shelf?'];
        yield 'how many' => ['shelf washers', 'How many?'];
        yield 'of what' => ['shelf +2 x 5 L', 'Of what?'];
        yield 'taken from the shelf' => ['shelf -0.3 L 10W-30', 'told of the machine it went into'];
        yield 'fewer on the shelf' => ['shelf -2 washers', 'counted there, with the reason'];
        yield 'more than anybody buys' => ['shelf +700 washers', 'From 1 to 500'];
        yield 'less than nothing' => ['heron -3', 'less than nothing'];
    }

    /** @param  list<string>  $each */
    #[DataProvider('severalMachines')]
    public function test_several_machines_stand_in_one_line(string $line, array $each): void
    {
        self::assertSame($each, (new Segments([...array_values(self::NAMES), 'Shelf']))->of($line));
    }

    /** @return iterable<array{string, list<string>}> */
    public static function severalMachines(): iterable
    {
        yield ['heron, wren fuel filter', ['heron fuel filter', 'wren fuel filter']];
        yield ['fuel filter heron, wren', ['fuel filter heron', 'wren fuel filter']];
        yield ['heron and wren grease all', ['heron grease all', 'wren grease all']];
        yield ['her, wren, tractor 2 fuel filter', ['her fuel filter', 'wren fuel filter', 'tractor 2 fuel filter']];
        yield ['heron 412.6, wren 8120 km', ['heron 412.6', 'wren 8120 km']];
        yield ['wren 412.6 h, 8120 km', ['wren 412.6 h, 8120 km']];
        yield ['yesterday, heron 412.6', ['yesterday, heron 412.6']];
        yield ['heron oil and filter', ['heron oil and filter']];
        yield ['heron 412,6', ['heron 412,6']];
    }

    #[TestWith(['teal grease all', null])]
    #[TestWith(['heron grease all', [TaskKind::Lubricate, 'all']])]
    #[TestWith(['heron fuel filter', [TaskKind::Replace, 'fuel filter']])]
    #[TestWith(['heron new fuel filter yesterday', [TaskKind::Replace, 'fuel filter']])]
    #[TestWith(['wren cleaned air cleaner', [TaskKind::Clean, 'air cleaner']])]
    public function test_what_was_done_is_read_with_its_place(string $line, ?array $work): void
    {
        if ($work === null) {
            $this->expectException(NotUnderstood::class);
        }
        $read = self::parse($line)->work;
        self::assertSame($work, $read === null ? null : [$read->kind, $read->where]);
    }

    #[TestWith(['shelf +2 x 5 L 10W-30', 2, '5 L', '10W-30'])]
    #[TestWith(['shelf 2 × 5 L 10W-30', 2, '5 L', '10W-30'])]
    #[TestWith(['shelf +5 L Orchard 15W-40', 1, '5 L', 'Orchard 15W-40'])]
    #[TestWith(['Shelf +6 drain washer yesterday', 6, null, 'drain washer'])]
    #[TestWith(['shelf +3x 1 qt 20W-50', 3, '1 qt', '20W-50'])]
    #[TestWith(['shelf +4 AS 15-208', 4, null, 'AS 15-208'])]
    public function test_what_came_to_the_shelf_is_read(string $line, int $count, ?string $size, string $what): void
    {
        $stock = self::parse($line)->stock;

        self::assertSame([$count, $size, $what], [$stock?->count, $stock?->size, $stock?->what]);
    }

    private static function parse(string $line): \Core\LogLine\LogLine
    {
        return (new Parser(self::NAMES, new \DateTimeImmutable('2026-05-14T00:00:00Z')))->parse($line);
    }
}
