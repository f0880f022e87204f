<?php

declare(strict_types=1);

namespace Tests\Core\Chart;

use Brick\Math\BigDecimal;
use Core\Chart\ChartGrid;
use Core\Chart\ChartReader;
use Core\Chart\WrittenRow;
use Core\Chart\WrittenTable;
use Core\Machine\MachineClass;
use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Starter\StarterRule;
use Core\Starter\StarterRulebook;
use Core\Starter\Starters;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ChartGridTest extends TestCase
{
    public function test_the_points_run_up_to_the_longest_interval_and_first_services_stand_in_front(): void
    {
        $grid = ChartGrid::of(
            [new Rule(Interval::ofHours(100)), new Rule(Interval::ofHours(250), [Interval::ofHours(50)])],
        );

        self::assertSame(['first 50 h', '100 h', '200 h', '250 h'], $grid->headings);
        self::assertSame([[false, true, true, false], [true, false, false, true]], $grid->marks);
    }

    public function test_an_interval_too_long_for_the_page_stands_in_a_column_of_its_own(): void
    {
        $grid = ChartGrid::of([new Rule(Interval::ofHours(10)), new Rule(Interval::ofHours(2_000))]);

        self::assertSame(['10 h', 'every 2,000 h'], $grid->headings);
    }

    public function test_what_recurs_by_other_measures_stands_behind(): void
    {
        $grid = ChartGrid::of([new Rule(new Interval(BigDecimal::of(25), BigDecimal::of(400), 12))]);

        self::assertSame(['25 h', 'every 400 km', 'every 12 months'], $grid->headings);
        self::assertSame([], ChartGrid::of([])->headings);
    }

    public function test_a_truck_s_chart_runs_in_miles_where_the_yard_does(): void
    {
        $grid = ChartGrid::of(
            [
                new Rule(new Interval(km: MeterUnit::Miles->toReckoned(BigDecimal::of(5000)))),
                new Rule(new Interval(km: MeterUnit::Miles->toReckoned(BigDecimal::of(10_000)))),
            ],
            MeterUnit::Miles,
        );

        self::assertSame(['5,000 mi', '10,000 mi'], $grid->headings);
    }

    /** Every starter rulebook, drawn as a chart and read back from its marks, is the same rulebook. */
    #[DataProvider('starters')]
    public function test_a_chart_read_back_from_its_marks_is_the_same_rulebook(
        StarterRulebook $rulebook,
        MeterUnit $unit,
    ): void {
        $charted = array_values(
            array_filter($rulebook->rules, fn (StarterRule $rule): bool => $rule->rule->comesByItself()),
        );
        $rules = array_map(
            fn (StarterRule $rule): Rule => $rule->rule,
            $charted,
        );
        $grid = ChartGrid::of($rules, $unit);
        $rows = array_map(fn (StarterRule $rule, array $marks, int $line): WrittenRow => new WrittenRow(
            $line,
            "{$rule->task} {$line}",
            array_map(fn (bool $mark): string => $mark ? $rule->kind->value : '', $marks),
        ),
            $charted, $grid->marks, array_keys($charted));
        $reading = ChartReader::read(new WrittenTable($grid->headings, $rows), ['far_end' => 'every'], $unit);

        self::assertSame([], $reading->questions);
        foreach ($reading->rows as $index => $row) {
            self::assertSame(
                $rules[$index]->inWords(),
                (new Rule($row->every, $row->first, windows: $row->windows))->inWords(),
            );
            // Where an interval has no mark but a column of its own, only the column beside it says how it is counted.
            $isMarked = ! in_array("every {$rules[$index]->every->inWords()}", $grid->headings, true);
            self::assertTrue(
                $rules[$index]->anchor === Anchor::FromDone
                    || $row->anchor === Anchor::Chart
                    || $row->first === []
                    || ! $isMarked,
            );
        }
    }

    /** @return iterable<string, array{StarterRulebook, MeterUnit}> */
    public static function starters(): iterable
    {
        foreach (MachineClass::cases() as $class) {
            foreach (Starters::for($class)->rulebooks() as $rulebook) {
                yield "{$class->value}, {$rulebook->name}" => [$rulebook, $class->usualMeters()[0]];
            }
        }
    }
}
