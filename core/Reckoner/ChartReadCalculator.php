<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Chart\ChartHeadings;
use Core\Chart\ChartQuestion;
use Core\Chart\ChartReader;
use Core\Chart\ChartReading;
use Core\Chart\ChartRow;
use Core\Chart\WrittenRow;
use Core\Chart\WrittenTable;
use Core\Form\Fields;
use Core\Form\NotATable;
use Core\Machine\TaskKind;
use Core\Measure\Plain;
use Core\Meter\MeterUnit;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\YearWindow;

/** Which rules a pasted table, or the marks set in a grid, amount to. */
final class ChartReadCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $unit = $given->choice('unit', MeterUnit::Hours, 'the unit');
        $text = $given->optionalText('text', 'the table');
        $answers = $given->namedTexts('answers', 'the answers');
        $grid = $this->grid($given);
        if ($text === null && $grid === null) {
            $given->fault('text', 'The table is missing.');
        }
        $given->complete();
        try {
            $table = $grid ?? WrittenTable::parse((string) $text);
            $reading = ChartReader::read($table, $answers, $unit);
        } catch (NotATable $refused) {
            $given->fault('text', $refused->getMessage());
            $given->complete();

            throw $refused;
        }
        $distance = $unit->isDistance() ? $unit : MeterUnit::Kilometres;

        return new Answer([
            'rows' => array_map(fn (ChartRow $row): array => self::row($row, $reading, $distance), $reading->rows),
            'questions' => array_map(fn (ChartQuestion $question): array => [
                'id' => $question->id,
                'ask' => $question->ask,
                'options' => array_map(
                    fn (string $id, string $label): array => ['id' => $id, 'label' => $label],
                    array_keys($question->options),
                    $question->options,
                ),
                'suggested' => $question->suggested,
            ], $reading->questions),
            'remarks' => $reading->remarks,
            'headings' => ChartHeadings::inOrder($table->headings, $unit),
            'points' => ChartHeadings::points($table->headings, $unit),
        ], sprintf(
            '%s understood, %s open.',
            Plain::count(count($reading->rows), 'rule'),
            Plain::count(count($reading->questions), 'question'),
        ), ['common practice']);
    }

    /** Headings and marked fields, as an editor has them. */
    private function grid(Fields $given): ?WrittenTable
    {
        if (! $given->has('headings')) {
            return null;
        }
        $headings = $given->texts('headings', 'the headings');
        $rows = [];
        foreach ($given->rows('rows', 'the rows') as $index => $row) {
            $cells = $row->texts('cells', 'the fields');
            if (count($cells) !== count($headings)) {
                $row->fault('cells', 'A row has a field under each heading.');
            }
            $rows[] = new WrittenRow(
                $index + 1,
                $row->optionalText('task', 'the task') ?? '',
                $cells,
                recurs: $row->flag('recurs', 'whether it recurs'),
            );
        }
        if (count($rows) > WrittenTable::MOST_ROWS || count($headings) > WrittenTable::MOST_COLUMNS) {
            $given->fault(
                'rows',
                'A chart has at most '.WrittenTable::MOST_ROWS.' rows and '.WrittenTable::MOST_COLUMNS.' columns.',
            );
        }

        return new WrittenTable($headings, $rows);
    }

    /** @return array<string, mixed> */
    private static function row(ChartRow $row, ChartReading $reading, MeterUnit $distance): array
    {
        $every = fn (Interval $interval): object => (object) array_filter([
            'hours' => $interval->hours === null ? null : (string) $interval->hours,
            $distance->value => $interval->km === null ? null : (string) $distance
                ->fromReckoned($interval->km)
                ->stripTrailingZeros(),
            'months' => $interval->months,
        ], fn (string|int|null $length): bool => $length !== null);

        return [
            'task' => $row->task,
            'kind' => $row->kind->value,
            'first' => array_map($every, $row->first),
            'every' => $every($row->every),
            'windows' => array_map(
                fn (YearWindow $window): array => [
                    'name' => $window->name,
                    'from' => $window->from(),
                    'to' => $window->to(),
                ],
                $row->windows,
            ),
            'condition' => $row->condition,
            'anchor' => $row->anchor->value,
            'contained_in' => self::replacementOf($row, $reading->rows),
            'line' => $row->line,
            'marks' => array_map($row->isMarkedUnder(...), $reading->headings),
            'in_words' => (new Rule($row->every, $row->first, windows: $row->windows, condition: $row->condition))->inWords($distance),
        ];
    }

    /**
     * A replacement counts as what else is done at the same place.
     *
     * @param  list<ChartRow>  $rows
     */
    private static function replacementOf(ChartRow $row, array $rows): ?int
    {
        $replaced = array_filter(
            $rows,
            fn (ChartRow $other): bool => $other->line === $row->line && $other->kind === TaskKind::Replace,
        );

        return in_array($row->kind, [TaskKind::Inspect, TaskKind::Clean, TaskKind::Adjust], true)
            ? array_key_first($replaced)
            : null;
    }
}
