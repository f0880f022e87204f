<?php

declare(strict_types=1);

namespace Tests\Core\Chart;

use Brick\Math\BigDecimal;
use Core\Chart\ChartCsv;
use Core\Chart\ChartReader;
use Core\Chart\ChartReading;
use Core\Chart\ChartRow;
use Core\Chart\Column;
use Core\Chart\ColumnChart;
use Core\Chart\NotAChart;
use Core\Chart\Question;
use Core\Chart\WrittenTable;
use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Limit;
use Core\Schedule\Rule;
use Core\Schedule\TaskKind;
use Core\Schedule\YearWindow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ChartTest extends TestCase
{
    private const ROUND_TRIPS = 400;

    private const MALFORMED = 3_000;

    /** Handbook, section 4: at 400 all that divides 400 falls due together. */
    public function test_columns_hold_all_that_falls_due_together(): void
    {
        $rules = ['Grease' => new Rule(Interval::ofHours(50)), 'Oil' => new Rule(Interval::ofHours(200), [Interval::ofHours(50)], Anchor::Chart), 'Every filter' => new Rule(Interval::ofHours(400))];
        $columns = ColumnChart::between($rules, BigDecimal::of(50), BigDecimal::of(400));

        self::assertSame(['50', '100', '150', '200', '250', '300', '350', '400'], array_map(fn (Column $column): string => (string) $column->at, $columns));
        self::assertSame([['Grease', 'Oil'], ['Grease', 'Oil'], ['Grease', 'Oil', 'Every filter']], [$columns[0]->tasks, $columns[3]->tasks, $columns[7]->tasks]);
    }

    public function test_counted_from_the_day_it_was_done_the_points_follow_each_other(): void
    {
        $at = fn (Anchor $anchor): array => array_map(fn (BigDecimal $point): int => $point->toInt(), iterator_to_array(ColumnChart::points(new Rule(Interval::ofHours(200), [Interval::ofHours(50)], $anchor), BigDecimal::of(0), BigDecimal::of(700), Limit::Hours), false));

        self::assertSame([50, 250, 450, 650], $at(Anchor::FromDone));
        self::assertSame([50, 200, 400, 600], $at(Anchor::Chart));
    }

    public function test_a_chart_that_nobody_could_read_is_refused(): void
    {
        $this->expectException(\LengthException::class);
        ColumnChart::between(['Grease' => new Rule(new Interval(BigDecimal::of('0.1')))], BigDecimal::zero(), BigDecimal::of(1_000_000));
    }

    #[DataProvider('tables')]
    public function test_intervals_are_inferred_from_the_marks(string $row, string $understood): void
    {
        $reading = self::read("Task\tfirst 50\t50\t100\t150\t200\t250\t300\t350\t400\tYearly\n{$row}", ['far_end' => 'every']);

        self::assertSame([], $reading->questions);
        self::assertSame($understood, implode('; ', array_map(self::inWords(...), $reading->rows)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function tables(): iterable
    {
        yield 'every column' => ["Grease all points\t\tX\tX\tX\tX\tX\tX\tX\tX", 'Grease all points: lubricate every 50 h'];
        yield 'every second' => ["Replace oil\t\t\tx\t\tx\t\tx\t\tx", 'Replace oil: replace every 100 h'];
        yield 'the far end alone' => ["Fuel filter\t\t\t\t\t\t\t\t\tR", 'Fuel filter: replace every 400 h'];
        yield 'a first service in its own column' => ["Engine oil\tR\t\t\t\tR\t\t\t\tR", 'Engine oil: replace first 50 h, every 200 h, by the chart'];
        yield 'a first service among the points' => ["Gear oil\t\tR\t\t\tR\t\t\t\tR", 'Gear oil: replace first 50 h, every 200 h, by the chart'];
        yield 'a first service off the multiples shows the chart' => ["Gear oil\t\t\t\tR\tR\t\t\t\tR", 'Gear oil: replace first 150 h, every 200 h, by the chart'];
        yield 'counted on from the first' => ["Belt\t\tI\t\t\tI\t\t\tI", 'Belt: inspect first 50 h, every 150 h'];
        yield 'once only' => ["Nuts\t\tA", 'Nuts: adjust first 50 h'];
        yield 'hours and a year' => ["Engine oil\t\t\tR\t\tR\t\tR\t\tR\tX", 'Engine oil: replace every 100 h or 12 months'];
        yield 'inspected, and replaced at the fourth' => ["Air cleaner\t\tinspect\tinspect\tinspect\treplace\tinspect\tinspect\tinspect\treplace", 'Air cleaner: inspect every 50 h, counts with row 1; Air cleaner: replace every 200 h'];
    }

    public function test_what_is_unclear_is_asked_and_the_answer_makes_the_rule(): void
    {
        $table = "Task;50 h;100 h;150 h;200 h\nAir cleaner;C;C;C;C\nFilter bowl;X;;;X\nPivots;G;;G;G\nCoolant;;;;R";
        $reading = self::read($table);
        self::assertSame(['letter:C', 'work:3', 'row:4:lubricate', 'far_end'], array_map(fn (Question $question): string => $question->id, $reading->questions));
        self::assertSame('Pivots is marked at 50 h, 150 h, 200 h, which is no regular interval. What is meant?', $reading->questions[2]->ask);

        $answered = self::read($table, ['letter:C' => 'clean', 'work:3' => 'inspect', 'row:3:inspect' => 'once_each', 'row:4:lubricate' => 'leave_out', 'far_end' => 'once']);
        self::assertSame([], $answered->questions);
        self::assertSame(['Air cleaner: clean every 50 h', 'Filter bowl: inspect first 50 h, first 200 h', 'Coolant: replace first 200 h'], array_map(self::inWords(...), $answered->rows));
    }

    public function test_an_answer_that_was_not_offered_is_asked_again(): void
    {
        self::assertSame(['letter:C'], array_map(fn (Question $question): string => $question->id, self::read("Task,50,100\nBelt,C,C", ['letter:C' => 'dance'])->questions));
    }

    public function test_a_table_of_intervals_dates_and_seasons_is_understood_from_csv(): void
    {
        $reading = self::read("\u{FEFF}Item,Work,\"every 1,000 km or 6 months\",first at 25,Every 2 years,Spring,before storage 10-01 to 11-15\r\n\"Oil, and \"\"filter\"\"\",replace,X,X,,,\r\nBrake fluid,replace,,,•,,\r\nBlades,clean,,,,x,x\r\n");

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
        self::assertSame(['column:1', 'far_end'], array_map(fn (Question $question): string => $question->id, self::read($table)->questions));
        self::assertSame(['Grease: lubricate every 50 h'], array_map(self::inWords(...), self::read($table, ['column:1' => 'leave_out', 'far_end' => 'every'])->rows));
    }

    public function test_miles_are_read_and_headings_of_a_section_are_told(): void
    {
        $reading = ChartReader::read(WrittenTable::parse("Task\tfirst 600 mi\tevery 5,000 mi\tYearly\nENGINE\nReplace oil\tX\tX\tX\n"), [], MeterUnit::Miles);

        self::assertSame('Replace oil: replace first 600 mi, every 5,000 mi or 12 months', self::inWords($reading->rows[0], MeterUnit::Miles));
        self::assertSame(['Line 2, "ENGINE", has no mark and is taken for a heading.'], $reading->remarks);
    }

    #[DataProvider('refused')]
    public function test_what_is_no_chart_is_refused_in_plain_words(string $text, string $message): void
    {
        try {
            self::read($text);
            self::fail('It should have been refused.');
        } catch (NotAChart $refused) {
            self::assertStringContainsString($message, $refused->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing' => ["\n \n", 'Nothing was pasted'];
        yield 'one line' => ["Oil\t50\t100", 'Copy the headings too'];
        yield 'no heading is an interval' => ["Task\tapples\tpears\nOil\tX\tX", 'No heading is an interval'];
        yield 'too many fields' => ["Task\t50\nOil\tX\tX", 'Line 2 has 3 fields, the headings have 2'];
        yield 'no such mark' => ["Task\t50\t100\nOil\tX\tmaybe", 'Line 2, under "100": "maybe" is no mark'];
        yield 'no task' => ["Task\t50\n\tX", 'Line 2 has marks but no task'];
        yield 'twice' => ["Task\t50\nOil\tR\noil\tR", 'Line 3: "oil" stands there twice'];
        yield 'no marks at all' => ["Task\t50\nOil\t", 'No row has a mark'];
        yield 'not text' => ["Task\t50\nOil\t\xFF", 'not text that can be read'];
        yield 'no such work' => ["Task\tWork\t50\nOil\tdance\tX", '"dance" is no work known here'];
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
        $scraps = ['Task', "\t", "\t", "\n", "\n", ',', ';', '"', '""', '50', '100 h', 'every 2 years', 'first 25', 'X', 'R', 'C', '•', 'Oil', 'Air cleaner', ' ', '-', "\r\n", "\xC3", '½', '1e9', '-5', '0', 'every', 'spring', '99-99 to 12-31', "'", '=cmd()', '語', "\0", str_repeat('9', 30), 'counts with', 'Oil (replace)', 'work'];
        $read = 0;
        for ($round = 0; $round < self::MALFORMED; $round++) {
            $text = "Task\t50\t100\t200\tYearly\nOil\tR\tR\tR\tX\nBelt\t\tI\tI\t\nGrease\tX\tX\tX\t\n";
            for ($count = mt_rand(1, 6); $count > 0; $count--) {
                $text = substr_replace($text, $scraps[mt_rand(0, count($scraps) - 1)], mt_rand(0, strlen($text)), mt_rand(0, 4));
            }
            try {
                $reading = self::read($text, ['far_end' => 'once', 'letter:C' => 'clean']);
                $read += count($reading->rows);
            } catch (NotAChart $refused) {
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
            $some = fn (int $odds, int $most): ?BigDecimal => mt_rand(0, $odds) > 0 ? null : BigDecimal::ofUnscaledValue(mt_rand(1, $most), mt_rand(0, 2))->stripTrailingZeros();
            $every = new Interval($some(1, 500), $some(3, 16_000), mt_rand(0, 2) === 0 ? mt_rand(1, 36) : null);
            $first = ($point = new Interval($some(2, 100), $some(5, 900)))->isEmpty() ? [] : [$point];
            $windows = mt_rand(0, 3) === 0 ? [YearWindow::between('03-01', sprintf('04-%02d', mt_rand(1, 30)), mt_rand(0, 1) === 1 ? 'Before mowing' : '')] : [];
            if ($every->isEmpty() && $first === [] && $windows === []) {
                $every = Interval::ofHours(50);
            }
            $container = count($rows) > 0 && mt_rand(0, 3) === 0 ? mt_rand(0, count($rows) - 1) : null;
            $rows[] = new ChartRow(['Oil', 'Belt, "long" one', 'Clean; dry', '=sum', 'Nuts'][mt_rand(0, 4)]." {$row}", TaskKind::cases()[mt_rand(0, 6)], $first, $every, Anchor::cases()[mt_rand(0, 1)], $windows, $container);
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
            $row->windows === [] ? '' : 'in '.implode(' and ', array_map(fn (YearWindow $window): string => $window->inWords(), $row->windows)),
            $row->anchor === Anchor::Chart ? 'by the chart' : '',
            $row->containedIn === null ? '' : "counts with row {$row->containedIn}",
        ];

        return "{$row->task}: {$row->kind->value} ".implode(', ', array_filter($parts));
    }
}
