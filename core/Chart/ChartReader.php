<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Limit;
use Core\Schedule\TaskKind;

/** Makes rules of the marks in a table, and asks where the marks leave something open. */
final class ChartReader
{
    private const LONGEST_TASK = 80;

    private const LEAVE_OUT = 'leave_out';

    private readonly Questions $questions;

    /** @var list<Heading> */
    private readonly array $headings;

    /** @var list<string> */
    private array $remarks = [];

    /** @var list<ChartRow> */
    private array $rows = [];

    /** @var array<string, int> the row by its task and work */
    private array $rowOf = [];

    /** @var array<int, string> by row: the bigger task that it names */
    private array $named = [];

    /** @param  array<string, string>  $answers  by the id of their question */
    private function __construct(private readonly WrittenTable $table, array $answers, private readonly MeterUnit $unit)
    {
        $this->questions = new Questions($answers);
        $this->headings = $table->understood($unit);
    }

    /**
     * @param  array<string, string>  $answers  by the id of their question
     * @param  MeterUnit  $unit  of bare numbers in the headings
     *
     * @throws NotAChart if something in it can be no part of a chart
     */
    public static function read(WrittenTable $table, array $answers = [], MeterUnit $unit = MeterUnit::Hours): ChartReading
    {
        $reader = new self($table, $answers, $unit);
        $reader->understandHeadings();
        foreach ($table->rows as $row) {
            $reader->readRow($row);
        }
        if ($reader->rows === [] && $reader->questions->open() === []) {
            throw new NotAChart('No row has a mark under a heading that is understood.');
        }

        return new ChartReading($reader->withContainers(), $reader->questions->open(), $reader->remarks);
    }

    private function understandHeadings(): void
    {
        $understood = array_filter($this->headings, fn (Heading $heading): bool => $heading->kind !== HeadingKind::Unknown);
        if ($understood === []) {
            throw new NotAChart('No heading is an interval. Head the columns like 50, every 50 h, first 25 h or yearly.');
        }
        foreach (array_diff_key($this->headings, $understood) as $index => $heading) {
            if (array_filter($this->table->rows, fn (WrittenRow $row): bool => ! MarkWords::isNothing($row->cells[$index])) !== []) {
                $name = $heading->text === '' ? 'Column '.($index + 2) : "\"{$heading->text}\"";
                $this->questions->ask(new Question("column:{$index}", "{$name} is no interval that is understood here. Head it like 50, every 50 h, first 25 h, yearly or spring, or leave the column out.", [self::LEAVE_OUT => 'Leave it out'], self::LEAVE_OUT));
            }
        }
    }

    private function readRow(WrittenRow $row): void
    {
        $marks = array_filter($row->cells, fn (string $cell, int $index): bool => ! MarkWords::isNothing($cell) && $this->headings[$index]->kind->countsTime(), ARRAY_FILTER_USE_BOTH);
        if ($marks === []) {
            $this->remarks[] = $row->task === '' ? "Line {$row->line} has no task and no mark." : "Line {$row->line}, \"{$row->task}\", has no mark and is taken for a heading.";

            return;
        }
        if ($row->task === '' || mb_strlen($row->task) > self::LONGEST_TASK) {
            throw new NotAChart($row->task === '' ? "Line {$row->line} has marks but no task." : "Line {$row->line}: a task is named in at most ".self::LONGEST_TASK.' letters.');
        }
        $this->addRows($row, $this->byKind($row, $marks), $this->anchor($row));
    }

    /**
     * The columns marked for each kind of work; none for what is still asked.
     *
     * @param  array<int, string>  $marks  by column
     * @return array<string, list<int>>
     */
    private function byKind(WrittenRow $row, array $marks): array
    {
        $work = $this->cellUnder(HeadingKind::Work, $row);
        $given = $work === '' ? null : MarkWords::kind($work) ?? throw new NotAChart("Line {$row->line}: \"{$work}\" is no work known here. Use replace, inspect, clean, adjust, lubricate, check level or sample.");
        $said = array_unique(array_filter(array_map(MarkWords::kind(...), $marks)), SORT_REGULAR);
        $alone = count($said) === 1 ? reset($said) : null;
        $byKind = [];
        foreach ($marks as $index => $mark) {
            $kind = $given ?? MarkWords::kind($mark) ?? match (true) {
                MarkWords::mayMean($mark) !== [] => $this->letter($mark),
                MarkWords::isPlain($mark) => $alone ?? MarkWords::kindIn($row->task)
                    ?? $this->questions->askKind("work:{$row->line}", "What is done: {$row->task}?", TaskKind::cases(), MarkWords::guess($row->task)),
                default => throw new NotAChart("Line {$row->line}, under \"{$this->headings[$index]->text}\": \"".mb_substr($mark, 0, 40).'" is no mark. Use X, or a word like replace or inspect.'),
            };
            if ($kind !== null) {
                $byKind[$kind->value][] = $index;
            }
        }

        return $byKind;
    }

    /** @param  array<string, list<int>>  $byKind */
    private function addRows(WrittenRow $written, array $byKind, Anchor $anchor): void
    {
        foreach ($byKind as $value => $columns) {
            $kind = TaskKind::from($value);
            $key = self::key($written->task, $value);
            if (isset($this->rowOf[$key])) {
                throw new NotAChart("Line {$written->line}: \"{$written->task}\" stands there twice.");
            }
            $container = $this->cellUnder(HeadingKind::ContainedIn, $written);
            $row = $this->row($written, $kind, $columns, $anchor);
            $replaced = $byKind[TaskKind::Replace->value] ?? [];
            if ($row === null && $kind !== TaskKind::Replace && $replaced !== []) {
                // Where it is replaced it is not looked at as well: the marks for both together may show the interval.
                $row = $this->row($written, $kind, [...$columns, ...$replaced], $anchor);
                $container = $row === null ? $container : "{$written->task} (".TaskKind::Replace->value.')';
            }
            $row ??= $this->irregular($written, $kind, $columns);
            if ($row !== null) {
                $this->rowOf[$key] = count($this->rows);
                if ($container !== '') {
                    $this->named[count($this->rows)] = $container;
                }
                $this->rows[] = $row;
            }
        }
    }

    /**
     * The row that some columns amount to, or null where no interval fits.
     *
     * @param  list<int>  $columns
     */
    private function row(WrittenRow $written, TaskKind $kind, array $columns, Anchor $anchor): ?ChartRow
    {
        $marked = $this->columns($columns);
        [$first, $every] = [$marked->first(), $marked->every()];
        foreach ([Limit::Hours, Limit::Distance] as $limit) {
            $marks = $marked->positions($limit);
            if ($marks === []) {
                continue;
            }
            $after = $marked->lastFirst($limit);
            $inference = $written->recurs && count($marks) === 1 ? Inference::recurring($marks[0]) : Inference::of((new MarkedColumns($this->headings))->positions($limit), $marks, $after);
            if ($inference === null) {
                return null;
            }
            $again = ! $inference->open || $this->farEnd($written->task, $marks[count($marks) - 1], $limit) !== 'once';
            foreach ([...$inference->first, ...($again || $inference->every === null ? [] : [$inference->every])] as $point) {
                $first[] = MarkedColumns::interval($limit, $point);
            }
            if ($again && $inference->every !== null) {
                $every = $every->shorter(MarkedColumns::interval($limit, $inference->every));
            }
            $anchor = match (true) {
                $inference->fromDone => Anchor::FromDone,
                $inference->every !== null && $again && max([0, $after, ...$inference->first]) % $inference->every !== 0 => Anchor::Chart,
                default => $anchor,
            };
        }

        return new ChartRow($written->task, $kind, $first, $every, $anchor, $marked->windows(), line: $written->line);
    }

    /** @param  list<int>  $columns */
    private function irregular(WrittenRow $row, TaskKind $kind, array $columns): ?ChartRow
    {
        $marked = $this->columns($columns);
        $limit = $marked->positions(Limit::Hours) === [] ? Limit::Distance : Limit::Hours;
        $marks = $marked->positions($limit);
        $at = implode(', ', array_map(fn (int $mark): string => $this->inWords($mark, $limit), $marks));
        $answer = $this->questions->ask(new Question("row:{$row->line}:{$kind->value}", "{$row->task} is marked at {$at}, which is no regular interval. What is meant?",
            ['once_each' => 'Once at each of these', self::LEAVE_OUT => 'Leave the row out']));

        return $answer !== 'once_each' ? null
            : new ChartRow($row->task, $kind, array_map(fn (int $mark): Interval => MarkedColumns::interval($limit, $mark), $marks), new Interval, line: $row->line);
    }

    private function farEnd(string $task, int $mark, Limit $limit): ?string
    {
        return $this->questions->ask(new Question('far_end', "{$task} is marked at {$this->inWords($mark, $limit)}, and the chart ends before that could show again. What do such marks mean?",
            ['every' => 'Again and again after as many', 'once' => 'Once only'], 'every'));
    }

    private function letter(string $mark): ?TaskKind
    {
        $letter = mb_strtoupper(trim($mark));
        $kinds = MarkWords::mayMean($mark);

        return $this->questions->askKind("letter:{$letter}", "What does {$letter} mean in this chart?", $kinds, $kinds[0] ?? TaskKind::Inspect);
    }

    private function anchor(WrittenRow $row): Anchor
    {
        $counted = mb_strtolower($this->cellUnder(HeadingKind::Counted, $row));

        return match ($counted) {
            '', 'from_done', 'from the day it was done' => Anchor::FromDone,
            'chart', 'by the chart' => Anchor::Chart,
            default => throw new NotAChart("Line {$row->line}: \"{$counted}\" is no way of counting. Write \"by the chart\" or \"from the day it was done\"."),
        };
    }

    /** @return list<ChartRow> */
    private function withContainers(): array
    {
        $rows = $this->rows;
        foreach ($this->named as $index => $bigger) {
            $at = preg_match('/^(.*) \((\w+)\)$/', $bigger, $part) ? $this->rowOf[self::key($part[1], $part[2])] ?? null : null;
            if ($at === null || $at === $index) {
                $this->remarks[] = "\"{$rows[$index]->task}\" counts with \"{$bigger}\", which is not in the chart.";
            } else {
                $rows[$index] = $rows[$index]->containedIn($at);
            }
        }

        return array_values($rows);
    }

    private function cellUnder(HeadingKind $kind, WrittenRow $row): string
    {
        foreach ($this->headings as $index => $heading) {
            if ($heading->kind === $kind) {
                return $row->cells[$index];
            }
        }

        return '';
    }

    /** @param  list<int>  $columns */
    private function columns(array $columns): MarkedColumns
    {
        return new MarkedColumns(array_map(fn (int $index): Heading => $this->headings[$index], $columns));
    }

    private function inWords(int $position, Limit $limit): string
    {
        return MarkedColumns::interval($limit, $position)->inWords($this->unit->isDistance() ? $this->unit : MeterUnit::Kilometres);
    }

    private static function key(string $task, string $kind): string
    {
        return mb_strtolower($task)."|{$kind}";
    }
}
