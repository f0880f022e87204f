<?php

declare(strict_types=1);

namespace Tests\Core\Chart;

use Brick\Math\BigDecimal;
use Core\Chart\ChartCsv;
use Core\Chart\ChartHeadings;
use Core\Chart\ChartQuestion;
use Core\Chart\ChartReader;
use Core\Chart\ChartReading;
use Core\Chart\ChartRow;
use Core\Chart\Column;
use Core\Chart\ColumnChart;
use Core\Chart\Inference;
use Core\Chart\WrittenTable;
use Core\Form\NotATable;
use Core\Machine\TaskKind;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\YearWindow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ChartTest extends TestCase
{
    public function test_an_interval_without_a_column_of_its_own_needs_three_marks(): void
    {
        self::assertSame([600], Inference::of([600, 900], [600, 900])?->first, 'two marks may be anything');
        self::assertSame([[], 300], [Inference::of([600, 900, 1200], [600, 900, 1200])?->first, Inference::of([600, 900, 1200], [600, 900, 1200])?->every]);
    }

    private const ROUND_TRIPS = 400;

    private const MALFORMED = 3_000;

    /** Handbook, section 4: at 400 all that divides 400 falls due together. */
    public function test_columns_hold_all_that_falls_due_together(): void
    {
        $rules = [
            'Grease' => new Rule(Interval::ofHours(50)),
            'Oil' => new Rule(Interval::ofHours(200), [Interval::ofHours(50)], Anchor::Chart),
            'Every filter' => new Rule(Interval::ofHours(400)),
        ];
        $columns = ColumnChart::between($rules, BigDecimal::of(50), BigDecimal::of(400));

        self::assertSame(
            ['50', '100', '150', '200', '250', '300', '350', '400'],
            array_map(fn (Column $column): string => (string) $column->at, $columns),
        );
        self::assertSame(
            [['Grease', 'Oil'], ['Grease', 'Oil'], ['Grease', 'Oil', 'Every filter']],
            [$columns[0]->tasks, $columns[3]->tasks, $columns[7]->tasks],
        );
    }

    public function test_counted_from_the_day_it_was_done_the_points_follow_each_other(): void
    {
        $at = fn (Anchor $anchor): array => array_map(
            fn (BigDecimal $point): int => $point->toInt(),
            iterator_to_array(
                ColumnChart::points(
                    new Rule(Interval::ofHours(200), [Interval::ofHours(50)], $anchor),
                    BigDecimal::of(0),
                    BigDecimal::of(700),
                    Limit::Hours,
                ),
                false,
            ),
        );

        self::assertSame([50, 250, 450, 650], $at(Anchor::FromDone));
        self::assertSame([50, 200, 400, 600], $at(Anchor::Chart));
    }

    public function test_a_chart_that_nobody_could_read_is_refused(): void
    {
        $this->expectException(\LengthException::class);
        ColumnChart::between(
            ['Grease' => new Rule(new Interval(BigDecimal::of('0.1')))],
            BigDecimal::zero(),
            BigDecimal::of(1_000_000),
        );
    }

    #[DataProvider('tables')]
    public function test_intervals_are_inferred_from_the_marks(string $row, string $understood): void
    {
        $reading = self::read(
            "Task\tfirst 50\t50\t100\t150\t200\t250\t300\t350\t400\tYearly\n{$row}",
            ['far_end' => 'every'],
        );

        self::assertSame([], $reading->questions);
        self::assertSame($understood, implode('; ', array_map(self::inWords(...), $reading->rows)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function tables(): iterable
    {
        yield 'every column' => [
            "Grease all points\t\tX\tX\tX\tX\tX\tX\tX\tX",
            'Grease all points: lubricate every 50 h',
        ];
        yield 'every second' => ["Replace oil\t\t\tx\t\tx\t\tx\t\tx", 'Replace oil: replace every 100 h'];
        yield 'the far end alone' => ["Fuel filter\t\t\t\t\t\t\t\t\tR", 'Fuel filter: replace every 400 h'];
        yield 'a first service in its own column' => [
            "Engine oil\tR\t\t\t\tR\t\t\t\tR",
            'Engine oil: replace first 50 h, every 200 h, by the chart',
        ];
        yield 'a first service among the points' => [
            "Gear oil\t\tR\t\t\tR\t\t\t\tR",
            'Gear oil: replace first 50 h, every 200 h, by the chart',
        ];
        yield 'a first service off the multiples shows the chart' => [
            "Gear oil\t\t\t\tR\tR\t\t\t\tR",
            'Gear oil: replace first 150 h, every 200 h, by the chart',
        ];
        yield 'counted on from the first' => ["Belt\t\tI\t\t\tI\t\t\tI", 'Belt: inspect first 50 h, every 150 h'];
        yield 'hours and a year' => [
            "Engine oil\t\t\tR\t\tR\t\tR\t\tR\tX",
            'Engine oil: replace every 100 h or 12 months',
        ];
        yield 'inspected at each, replaced at every second' => [
            "Air cleaner\t\tI\tR\tI\tR\tI\tR\tI\tR",
            'Air cleaner: inspect every 50 h; Air cleaner: replace every 100 h',
        ];
        yield 'inspected, and replaced at the fourth' => [
            "Air cleaner\t\tinspect\tinspect\tinspect\treplace\tinspect\tinspect\tinspect\treplace",
            'Air cleaner: inspect every 50 h; Air cleaner: replace every 200 h',
        ];
    }

    public function test_what_is_unclear_is_asked_and_the_answer_makes_the_rule(): void
    {
        $table = "Task;50 h;100 h;150 h;200 h\nAir cleaner;C;C;C;C\nFilter bowl;X;;;X\nPivots;G;;G;G\nCoolant;;;;R";
        $reading = self::read($table);
        self::assertSame(
            ['letter:C', 'work:3', 'row:4:lubricate', 'far_end'],
            array_map(fn (ChartQuestion $question): string => $question->id, $reading->questions),
        );
        self::assertSame(
            'Pivots is marked at 50 h, 150 h, 200 h, which is no regular interval. What is meant?',
            $reading->questions[2]->ask,
        );

        $answered = self::read(
            $table,
            [
                'letter:C' => 'clean',
                'work:3' => 'inspect',
                'row:3:inspect' => 'once_each',
                'row:4:lubricate' => 'leave_out',
                'far_end' => 'once',
            ],
        );
        self::assertSame([], $answered->questions);
        self::assertSame(
            [
                'Air cleaner: clean every 50 h',
                'Filter bowl: inspect first 50 h, first 200 h',
                'Coolant: replace first 200 h',
            ],
            array_map(self::inWords(...), $answered->rows),
        );
    }

    /** What recurs or comes once without having been written so is asked. */
    public function test_a_row_with_one_mark_is_asked_about_once_or_every(): void
    {
        $table = "Task\t50 h\t100 h\t150 h\t200 h\nNuts\tA\nBelt\t\tI\nGrease\tX\tX\tX\tX";

        self::assertSame(
            ['once:2:adjust', 'once:3:inspect'],
            array_map(fn (ChartQuestion $question): string => $question->id, self::read($table)->questions),
        );
        self::assertSame(
            ['Nuts: adjust first 50 h', 'Belt: inspect every 100 h', 'Grease: lubricate every 50 h'],
            array_map(
                self::inWords(...),
                self::read($table, ['once:2:adjust' => 'once', 'once:3:inspect' => 'every'])->rows,
            ),
        );
    }

    public function test_different_marks_in_one_row_are_different_acts_and_each_is_asked_about(): void
    {
        foreach ([['O', 'X', '○', 'X'], ['○', '●', '○', '●'], ['o', 'x', '○', 'X']] as [$open, $full, $openSign, $fullSign]) {
            $table = "Task\t100 h\t200 h\t300 h\t400 h\nAir cleaner\t{$open}\t{$open}\t{$open}\t{$full}\nFuel filter\t\t{$full}\t\t{$full}\nGrease points\t{$full}\t{$full}\t{$full}\t{$full}";
            $questions = self::read($table)->questions;
            self::assertSame(
                ["mark:{$openSign}", "mark:{$fullSign}"],
                array_map(fn (ChartQuestion $question): string => $question->id, $questions),
            );
            self::assertSame(
                ['inspect', 'replace'],
                array_map(fn (ChartQuestion $question): ?string => $question->suggested, $questions),
            );

            $answered = self::read(
                $table,
                ["mark:{$openSign}" => 'clean', "mark:{$fullSign}" => 'replace', 'far_end' => 'every'],
            );
            self::assertSame([], $answered->questions);
            self::assertSame(
                [
                    'Air cleaner: clean every 100 h',
                    'Air cleaner: replace every 400 h',
                    'Fuel filter: replace every 200 h',
                    'Grease points: lubricate every 100 h',
                ],
                array_map(self::inWords(...), $answered->rows),
                'what a task names itself it keeps',
            );
        }
    }

    #[DataProvider('headings')]
    public function test_headings_are_understood_as_manuals_print_them(string $heading, string $understood): void
    {
        $reading = self::read("Task\t{$heading}\tYearly\nReplace oil\tX\t");

        self::assertSame(
            $understood,
            implode('; ', [...array_map(self::inWords(...), $reading->rows), ...$reading->remarks]),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function headings(): iterable
    {
        foreach ([
            'Every 100 h or yearly' => 'Replace oil: replace every 100 h or 12 months',
            'Every 200 Hrs.' => 'Replace oil: replace every 200 h',
            'Every 100 hours of operation' => 'Replace oil: replace every 100 h',
            'every 250 operating hours' => 'Replace oil: replace every 250 h',
            'First 20-25 h' => 'Replace oil: replace first 20 h; "First 20-25 h" is taken for 20 h, the earlier.',
            'After first 50 h' => 'Replace oil: replace first 50 h',
            'Break-in (50 hours)' => 'Replace oil: replace first 50 h',
            'every 100 h/1600 km' => 'Replace oil: replace every 100 h or 1,600 km',
            'Every 6 months / 100 h' => 'Replace oil: replace every 100 h or 6 months',
            '12 Months or 400 Hours, whichever comes first' => 'Replace oil: replace every 400 h or 12 months',
            'Every 100 h or every 2 years' => 'Replace oil: replace every 100 h or 24 months',
            'As required' => 'Replace oil: replace when as required',
            'when necessary.' => 'Replace oil: replace when when necessary',
        ] as $heading => $understood) {
            yield $heading => [$heading, $understood];
        }
    }

    public function test_hours_and_miles_stand_in_one_heading(): void
    {
        $reading = ChartReader::read(
            WrittenTable::parse("Task\tevery 100 h/1600 mi\nReplace oil\tX"),
            [],
            MeterUnit::Miles,
        );

        self::assertSame(
            'Replace oil: replace every 100 h or 1,600 mi',
            self::inWords($reading->rows[0], MeterUnit::Miles),
        );
    }

    public function test_what_is_done_daily_or_weekly_goes_to_the_walkaround(): void
    {
        $reading = self::read(
            "Task\tDaily\tEvery week\tEvery 10 h or daily\tevery 50 h\nCheck oil level\tX\t\t\t\nTyres\t\tX\t\t\nScreen\t\t\tX\tX",
        );

        self::assertSame(
            ['Screen: clean every 50 h'],
            array_map(
                self::inWords(...),
                self::read("Task\tDaily\tevery 50 h\nClean screen\tX\t\nScreen\t\tC", ['letter:C' => 'clean'])->rows,
            ),
        );
        self::assertSame(
            [
                '"Check oil level" is marked "Daily": that belongs to the walkaround, not to the rulebook.',
                '"Tyres" is marked "Every week": that belongs to the walkaround, not to the rulebook.',
                '"Screen" is marked "Every 10 h or daily": that belongs to the walkaround, not to the rulebook.',
            ],
            $reading->remarks,
        );
    }

    public function test_a_heading_that_can_be_read_two_ways_is_asked(): void
    {
        $table = "Task\tevery 1.000 h\nReplace oil\tX";
        self::assertSame(
            ['heading:0'],
            array_map(fn (ChartQuestion $question): string => $question->id, self::read($table)->questions),
        );
        self::assertSame(['every 1000 h', 'every 1 h'], array_values(self::read($table)->questions[0]->options));

        self::assertSame(
            ['Replace oil: replace every 1,000 h'],
            array_map(self::inWords(...), self::read($table, ['heading:0' => 'thousands'])->rows),
        );
        self::assertSame(
            ['Replace oil: replace every 1 h'],
            array_map(self::inWords(...), self::read($table, ['heading:0' => 'decimal'])->rows),
        );
    }

    /** @param  array<string, string>  $answers */
    #[DataProvider('oddities')]
    public function test_one_odd_cell_never_refuses_the_whole_paste(
        string $odd,
        array $answers,
        string $understood,
    ): void {
        $table = "Task\tWork\tCounted\tevery 50 h\tyearly\nGrease points\t\t\tX\t\n{$odd}\nBrake fluid\treplace\t\t\tX";
        $asked = self::read($table);

        self::assertSame(
            array_keys($answers),
            array_map(fn (ChartQuestion $question): string => $question->id, $asked->questions),
        );
        self::assertContains(
            'Brake fluid: replace every 12 months',
            array_map(self::inWords(...), $asked->rows),
            'the rest is understood',
        );
        $answered = self::read($table, $answers);
        self::assertSame([], $answered->questions);
        self::assertSame(
            array_values(
                array_filter(
                    ['Grease points: lubricate every 50 h', $understood, 'Brake fluid: replace every 12 months'],
                ),
            ),
            array_map(self::inWords(...), $answered->rows),
        );
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function oddities(): iterable
    {
        $long = str_repeat('long ', 30);
        yield 'no such mark beside its work' => [
            "Belt\tinspect\t\tX\tmaybe",
            ['cell:3:3' => 'leave_out'],
            'Belt: inspect every 50 h',
        ];
        yield 'no such mark' => ["Belt\t\t\tmaybe\tI", ['cell:3:2' => 'leave_out'], 'Belt: inspect every 12 months'];
        yield 'a mark that means something' => [
            "Belt\t\t\tmaybe\tI",
            ['cell:3:2' => 'inspect'],
            'Belt: inspect every 50 h or 12 months',
        ];
        yield 'no task' => ["\t\t\tX\t", ['task:3' => 'leave_out'], ''];
        yield 'a task too long' => [
            "{$long}\tinspect\t\tX\t",
            ['task:3' => 'cut'],
            mb_substr($long, 0, 80).': inspect every 50 h',
        ];
        yield 'too many fields' => [
            "Belt\tinspect\t\tX\t\tsee page 12",
            ['fields:3' => 'cut'],
            'Belt: inspect every 50 h',
        ];
        yield 'a line to be left out for its fields' => [
            "Belt\tinspect\t\tX\t\tsee page 12",
            ['fields:3' => 'leave_out'],
            '',
        ];
        yield 'twice, left out' => ["Grease points\t\t\tX\t", ['twice:3' => 'leave_out'], ''];
        yield 'twice, both kept' => [
            "Grease points\t\t\tX\t",
            ['twice:3' => 'both'],
            'Grease points (line 3): lubricate every 50 h',
        ];
        yield 'no such work' => ["Belt\tdance\t\tX\t", ['work:3' => 'adjust'], 'Belt: adjust every 50 h'];
        yield 'no such way of counting' => [
            "Belt\tinspect\tby the moon\tX\t",
            ['counted:3' => 'chart'],
            'Belt: inspect every 50 h, by the chart',
        ];
    }

    public function test_an_answer_that_was_not_offered_is_asked_again(): void
    {
        self::assertSame(
            ['letter:C'],
            array_map(
                fn (ChartQuestion $question): string => $question->id,
                self::read("Task,50,100\nBelt,C,C", ['letter:C' => 'dance'])->questions,
            ),
        );
    }

    public function test_a_table_of_intervals_dates_and_seasons_is_understood_from_csv(): void
    {
        $reading = self::read(
            "\u{FEFF}Item,Work,\"every 1,000 km or 6 months\",first at 25,Every 2 years,Spring,before storage 10-01 to 11-15\r\n\"Oil, and \"\"filter\"\"\",replace,X,X,,,\r\nBrake fluid,replace,,,•,,\r\nBlades,clean,,,,x,x\r\n",
        );

        self::assertSame([], $reading->questions);
        self::assertSame([
            'Oil, and "filter": replace first 25 h, every 1,000 km or 6 months',
            'Brake fluid: replace every 24 months',
            'Blades: clean in spring, 1 March to 15 April and before storage, 1 October to 15 November',
        ], array_map(self::inWords(...), $reading->rows));
    }

    public function test_a_column_that_is_no_interval_can_be_left_out(): void
    {
        $table = "Task\t50\tPage\nGrease\tX\t12";
        self::assertSame(
            ['column:1', 'far_end'],
            array_map(fn (ChartQuestion $question): string => $question->id, self::read($table)->questions),
        );
        self::assertSame(
            ['Grease: lubricate every 50 h'],
            array_map(self::inWords(...), self::read($table, ['column:1' => 'leave_out', 'far_end' => 'every'])->rows),
        );
    }

    public function test_miles_are_read_and_headings_of_a_section_are_told(): void
    {
        $reading = ChartReader::read(
            WrittenTable::parse("Task\tfirst 600 mi\tevery 5,000 mi\tYearly\nENGINE\nReplace oil\tX\tX\tX\n"),
            [],
            MeterUnit::Miles,
        );

        self::assertSame(
            'Replace oil: replace first 600 mi, every 5,000 mi or 12 months',
            self::inWords($reading->rows[0], MeterUnit::Miles),
        );
        self::assertSame(['Line 2, "ENGINE", has no mark and is taken for a heading.'], $reading->remarks);
    }

    #[DataProvider('refused')]
    public function test_what_is_no_chart_is_refused_in_plain_words(string $text, string $message): void
    {
        try {
            self::read($text);
            self::fail('It should have been refused.');
        } catch (NotATable $refused) {
            self::assertStringContainsString($message, $refused->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing' => ["\n \n", 'Nothing was pasted'];
        yield 'one line' => ["Oil\t50\t100", 'Copy the headings too'];
        yield 'no heading is an interval' => ["Task\tapples\tpears\nOil\tX\tX", 'No heading is an interval'];
        yield 'no marks at all' => ["Task\t50\nOil\t", 'No row has a mark'];
        yield 'not text' => ["Task\t50\nOil\t\xFF", 'not text that can be read'];
        yield 'a book' => [str_repeat("Task\t50\n", 20_000), 'far more than a chart'];
    }

    public function test_a_chart_survives_the_way_through_csv(): void
    {
        mt_srand(5);
        for ($round = 0; $round < self::ROUND_TRIPS; $round++) {
            $rows = self::randomRows();
            $csv = ChartCsv::write($rows);
            $back = self::read($csv);
            self::assertSame([], $back->questions, $csv);
            self::assertSame(array_map(self::inWords(...), $rows), array_map(self::inWords(...), $back->rows), $csv);
        }
    }

    public function test_a_task_that_looks_like_a_formula_is_kept_from_the_spreadsheet(): void
    {
        $csv = ChartCsv::write([new ChartRow('=1+1', TaskKind::Clean, [], Interval::ofHours(50))]);

        self::assertStringContainsString("'=1+1,clean", $csv);
        self::assertSame('=1+1', self::read($csv)->rows[0]->task);
    }

    public function test_whatever_is_pasted_is_understood_asked_about_or_refused(): void
    {
        mt_srand(9);
        $scraps = [
            'Task',
            "\t",
            "\t",
            "\n",
            "\n",
            ',',
            ';',
            '"',
            '""',
            '50',
            '100 h',
            'every 2 years',
            'first 25',
            'X',
            'R',
            'C',
            '•',
            'Oil',
            'Air cleaner',
            ' ',
            '-',
            "\r\n",
            "\xC3",
            '½',
            '1e9',
            '-5',
            '0',
            'every',
            'spring',
            '99-99 to 12-31',
            "'",
            '=cmd()',
            '語',
            "\0",
            str_repeat('9', 30),
            'Oil (replace)',
            'work',
        ];
        $read = 0;
        for ($round = 0; $round < self::MALFORMED; $round++) {
            $text = "Task\t50\t100\t200\tYearly\nOil\tR\tR\tR\tX\nBelt\t\tI\tI\t\nGrease\tX\tX\tX\t\n";
            for ($count = mt_rand(1, 6); $count > 0; $count--) {
                $text = substr_replace(
                    $text,
                    $scraps[mt_rand(0, count($scraps) - 1)],
                    mt_rand(0, strlen($text)),
                    mt_rand(0, 4),
                );
            }
            try {
                $reading = self::read($text, ['far_end' => 'once', 'letter:C' => 'clean']);
                $read += count($reading->rows);
            } catch (NotATable $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertGreaterThan(1_000, $read, 'some of it can be read');
    }

    /** @return non-empty-list<ChartRow> */
    private static function randomRows(): array
    {
        $rows = [];
        for ($row = mt_rand(1, 6); $row > 0; $row--) {
            $some = fn (int $odds, int $most): ?BigDecimal => mt_rand(0, $odds) > 0
                ? null
                : BigDecimal::ofUnscaledValue(mt_rand(1, $most), mt_rand(0, 2))->stripTrailingZeros();
            $every = new Interval($some(1, 500), $some(3, 16_000), mt_rand(0, 2) === 0 ? mt_rand(1, 36) : null);
            $first = ($point = new Interval($some(2, 100), $some(5, 900)))->isEmpty() ? [] : [$point];
            $windows = mt_rand(0, 3) === 0
                ? [
                    YearWindow::between(
                        '03-01',
                        sprintf('04-%02d', mt_rand(1, 30)),
                        mt_rand(0, 1) === 1 ? 'Before mowing' : '',
                    ),
                ]
                : [];
            if ($every->isEmpty() && $first === [] && $windows === []) {
                $every = Interval::ofHours(50);
            }
            $container = count($rows) > 0 && mt_rand(0, 3) === 0 ? mt_rand(0, count($rows) - 1) : null;
            $rows[] = new ChartRow(
                ['Oil', 'Belt, "long" one', 'Clean; dry', '=sum', 'Nuts'][mt_rand(0, 4)]." {$row}",
                TaskKind::cases()[mt_rand(0, 6)],
                $first,
                $every,
                Anchor::cases()[mt_rand(0, 1)],
                $windows,
                $container,
            );
        }

        return $rows;
    }

    /** @param  array<string, string>  $answers */
    private static function read(string $text, array $answers = []): ChartReading
    {
        return ChartReader::read(WrittenTable::parse($text), $answers);
    }

    private static function inWords(ChartRow $row, MeterUnit $distance = MeterUnit::Kilometres): string
    {
        $parts = [
            ...array_map(fn (Interval $first): string => 'first '.$first->inWords($distance), $row->first),
            $row->every->isEmpty() ? '' : 'every '.$row->every->inWords($distance),
            $row->windows === []
                ? ''
                : 'in '.implode(
                    ' and ',
                    array_map(fn (YearWindow $window): string => $window->inWords(), $row->windows),
                ),
            $row->condition === null ? '' : "when {$row->condition}",
            $row->anchor === Anchor::Chart ? 'by the chart' : '',
        ];

        return "{$row->task}: {$row->kind->value} ".implode(', ', array_filter($parts));
    }

    public function test_headings_stand_as_in_a_book_and_points_are_told_from_the_rest(): void
    {
        $written = ['yearly', '1.500 h', '250', 'first 50', 'spring', '50', 'first 20 h', '250,5', 'every 100 h'];

        self::assertSame(
            ['first 20 h', 'first 50', '50', '250', '250,5', 'yearly', '1.500 h', 'spring', 'every 100 h'],
            ChartHeadings::inOrder($written, MeterUnit::Hours),
        );
        self::assertSame(['250', '50', '250,5'], ChartHeadings::points($written, MeterUnit::Hours));
    }
}
