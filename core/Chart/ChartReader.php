<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Form\NotATable;
use Core\Machine\TaskKind;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;

/** Makes rules of the marks in a table, and asks where the marks leave something open. */
final class ChartReader
{
    private const LONGEST_TASK = 80;

    /** What replacing a part does for it at the same time. */
    private const MET_BY_REPLACING = [TaskKind::Inspect, TaskKind::Clean, TaskKind::Adjust];

    private readonly ChartQuestions $questions;

    private readonly ChartHeadings $headings;

    private readonly MarkLegend $legend;

    /** @var list<string> */
    private array $remarks;

    /** @var list<ChartRow> */
    private array $rows = [];

    /** @var array<string, int> the row by its task and work */
    private array $rowOf = [];

    /**
     * @param  array<string, string>  $answers  by the id of their question
     *
     * @throws NotATable
     */
    private function __construct(WrittenTable $table, array $answers, private readonly MeterUnit $unit)
    {
        $this->questions = new ChartQuestions($answers);
        $this->headings = ChartHeadings::of($table, $unit, $this->questions);
        $this->legend = MarkLegend::of($table->rows, $this->questions);
        $this->remarks = $this->headings->remarks;
    }

    /**
     * @param  array<string, string>  $answers  by the id of their question
     * @param  MeterUnit  $unit  of bare numbers in the headings
     *
     * @throws NotATable if no part of it can be a chart
     */
    public static function read(
        WrittenTable $table,
        array $answers = [],
        MeterUnit $unit = MeterUnit::Hours,
    ): ChartReading {
        $reader = new self($table, $answers, $unit);
        foreach ($table->rows as $row) {
            $reader->readRow($row);
        }
        if ($reader->rows === [] && $reader->questions->open() === []) {
            throw new NotATable('No row has a mark under a heading that is understood.');
        }

        return new ChartReading($reader->rows, $reader->questions->open(), $reader->remarks, $reader->headings->all);
    }

    private function readRow(WrittenRow $row): void
    {
        $under = fn (\Closure $counts): array => array_filter(
            $row->cells,
            fn (string $cell, int $index): bool => ! MarkWords::isNothing($cell)
                && $counts($this->headings->all[$index]->kind),
            ARRAY_FILTER_USE_BOTH,
        );
        $marks = $under(fn (HeadingKind $kind): bool => $kind->countsTime());
        foreach (array_keys($under(fn (HeadingKind $kind): bool => $kind === HeadingKind::Walkaround)) as $index) {
            $this->remarks[] = "\"{$row->task}\" is marked {$this->headings->all[$index]->name($index)}: that belongs to the walkaround, not to the rulebook.";
        }
        if ($marks === []) {
            $this->remarkUnmarked($row);

            return;
        }
        $task = $this->task($row);
        if ($task !== null) {
            $row = new WrittenRow($row->line, $task, $row->cells, $row->surplus, $row->recurs);
            $this->addRows($row, $this->byKind($row, $marks), $this->anchor($row));
        }
    }

    private function remarkUnmarked(WrittenRow $row): void
    {
        $hasAny = array_filter($row->cells, fn (string $cell): bool => ! MarkWords::isNothing($cell)) !== [];
        if ($row->task === '') {
            $this->remarks[] = "Line {$row->line} has no task and no mark.";
        } elseif (! $hasAny) {
            $this->remarks[] = "Line {$row->line}, \"".mb_substr(
                $row->task,
                0,
                self::LONGEST_TASK,
            ).'", has no mark and is taken for a heading.';
        }
    }

    /** What the row is called; null where it is left out, or that is still asked. */
    private function task(WrittenRow $row): ?string
    {
        $cut = mb_substr($row->task, 0, self::LONGEST_TASK);
        $answers = array_filter([
            $row->task === ''
                ? $this->questions->ask(
                    new ChartQuestion(
                        "task:{$row->line}",
                        "Line {$row->line} has marks but no task. Name it in the table and paste it again, or leave it out.",
                        [ChartQuestions::LEAVE_OUT => 'Leave the line out'],
                        ChartQuestions::LEAVE_OUT,
                    ),
                )
                ?? ''
                : null,
            $cut === $row->task
                ? null
                : $this->questions->ask(
                    new ChartQuestion(
                        "task:{$row->line}",
                        "Line {$row->line}: a task is named in at most ".self::LONGEST_TASK.' letters.',
                        ['cut' => "Call it \"{$cut}\"", ChartQuestions::LEAVE_OUT => 'Leave the line out'],
                        'cut',
                    ),
                )
                ?? '',
            $row->surplus === 0
                ? null
                : $this->questions->ask(
                    new ChartQuestion(
                        "fields:{$row->line}",
                        "Line {$row->line} has {$row->surplus} more fields than there are headings.",
                        ['cut' => 'Leave the last ones out', ChartQuestions::LEAVE_OUT => 'Leave the line out'],
                        'cut',
                    ),
                )
                ?? '',
        ], fn (?string $answer): bool => $answer !== null);

        return array_diff($answers, ['cut']) === [] ? $cut : null;
    }

    /**
     * The columns marked for each kind of work; none for what is still asked.
     *
     * @param  non-empty-array<int, string>  $marks  by column
     * @return array<string, list<int>>
     */
    private function byKind(WrittenRow $row, array $marks): array
    {
        $work = $this->headings->cell(HeadingKind::Work, $row);
        $given = $work === ''
            ? null
            : MarkWords::kind($work)
            ?? $this->questions->askKind(
                "work:{$row->line}",
                "Line {$row->line}: \"".mb_substr($work, 0, 40)."\" is no work known here. What is done: {$row->task}?",
                TaskKind::cases(),
                MarkWords::guess($row->task),
            );
        if ($work !== '' && $given === null) {
            return [];
        }
        $byKind = [];
        foreach ($this->legend->kinds($row, $marks, $given) as $index => $kind) {
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
            $task = $this->ownName($written, $value);
            if ($task === null) {
                continue;
            }
            $replaced = in_array($kind, self::MET_BY_REPLACING, true) ? $byKind[TaskKind::Replace->value] ?? [] : [];
            $row = $this->row($written, $kind, $columns, $replaced, $anchor);
            if ($row !== null) {
                $this->rowOf[self::key($task, $value)] = count($this->rows);
                $this->rows[] = $task === $written->task ? $row : $row->called($task);
            }
        }
    }

    /**
     * The task's name, told apart from one that stands there already; null where it is left out, or that is still
     * asked.
     */
    private function ownName(WrittenRow $row, string $kind): ?string
    {
        if (! isset($this->rowOf[self::key($row->task, $kind)])) {
            return $row->task;
        }
        $answer = $this->questions->ask(
            new ChartQuestion(
                "twice:{$row->line}",
                "Line {$row->line}: \"{$row->task}\" stands there twice.",
                [ChartQuestions::LEAVE_OUT => 'Leave the second out', 'both' => 'Keep both'],
                ChartQuestions::LEAVE_OUT,
            ),
        );

        return $answer === 'both' ? mb_substr($row->task, 0, self::LONGEST_TASK - 11)." (line {$row->line})" : null;
    }

    /**
     * The row that some columns amount to; null where it is left out, or something is still asked.
     *
     * @param  list<int>  $columns
     * @param  list<int>  $replaced  those where it is replaced, and so not looked at as well: the marks for both
     *     together may show the interval
     */
    private function row(WrittenRow $written, TaskKind $kind, array $columns, array $replaced, Anchor $anchor): ?ChartRow
    {
        $marked = $this->headings->under($columns);
        [$first, $every] = [$marked->first(), $marked->every()];
        foreach ([Limit::Hours, Limit::Distance] as $limit) {
            $marks = $marked->positions($limit);
            if ($marks === []) {
                continue;
            }
            $after = $marked->lastFirst($limit);
            $inference = $this->infer(
                $written,
                $marks,
                $this->headings->under($replaced)->positions($limit),
                $limit,
                $after,
            );
            if ($inference === null) {
                return $this->irregular($written, $kind, $marks, $limit);
            }
            $again = $this->comesAgain($written, $kind, $inference, $marks, $limit);
            if ($again === null) {
                return null;
            }
            $inference = $again && $inference->every === null ? Inference::recurring($marks[0]) : $inference;
            foreach ([...$inference->first, ...($again || $inference->every === null ? [] : [$inference->every])] as $point) {
                $first[] = MarkedColumns::interval($limit, $point);
            }
            if ($again && $inference->every !== null) {
                $every = $every->shorter(MarkedColumns::interval($limit, $inference->every));
            }
            $anchor = match (true) {
                $inference->fromDone => Anchor::FromDone,
                $inference->every !== null
                    && $again
                    && max([0, $after, ...$inference->first]) % $inference->every !== 0 => Anchor::Chart,
                default => $anchor,
            };
        }

        return new ChartRow(
            $written->task,
            $kind,
            $first,
            $every,
            $anchor,
            $marked->windows(),
            line: $written->line,
            condition: $marked->condition(),
        );
    }

    /**
     * By its own marks where these are plain multiples, else by those together with the marks of its replacement, else
     * by a first point and what follows.
     *
     * @param  non-empty-list<int>  $marks
     * @param  list<int>  $replaced
     */
    private function infer(WrittenRow $written, array $marks, array $replaced, Limit $limit, int $after): ?Inference
    {
        if ($written->recurs && count($marks) === 1) {
            return Inference::recurring($marks[0]);
        }
        $columns = $this->headings->everywhere()->positions($limit);
        $own = Inference::of($columns, $marks, $after);
        if ($replaced === [] || $own?->isPlain() === true) {
            return $own;
        }
        $together = array_values(array_unique([...$marks, ...$replaced]));
        sort($together);
        $both = Inference::of($columns, $together, $after);

        return $both?->isPlain() === true ? $both : $own;
    }

    /**
     * Whether it comes again and again; null where that is still asked. A single mark says neither.
     *
     * @param  non-empty-list<int>  $marks
     */
    private function comesAgain(WrittenRow $written, TaskKind $kind, Inference $inference, array $marks, Limit $limit): ?bool
    {
        $at = $this->inWords($marks[count($marks) - 1], $limit);
        if (! $inference->open && $inference->every !== null) {
            return true;
        }
        $answer = $this->questions->ask($inference->open
            ? new ChartQuestion(
                'far_end',
                "{$written->task} is marked at {$at}, and the chart ends before that could show again. What do such marks mean?",
                ['every' => 'Again and again after as many', 'once' => 'Once only'],
                'every',
            )
            : new ChartQuestion(
                "once:{$written->line}:{$kind->value}",
                "{$written->task} is marked at {$at} alone. Once, or again and again?",
                ['every' => "Again and again, every {$at}", 'once' => 'Once only'],
                'every',
            ));

        return $answer === null ? null : $answer === 'every';
    }

    /** @param  non-empty-list<int>  $marks */
    private function irregular(WrittenRow $row, TaskKind $kind, array $marks, Limit $limit): ?ChartRow
    {
        $at = implode(', ', array_map(fn (int $mark): string => $this->inWords($mark, $limit), $marks));
        $answer = $this->questions
            ->ask(new ChartQuestion("row:{$row->line}:{$kind->value}", "{$row->task} is marked at {$at}, which is no regular interval. What is meant?",
                ['once_each' => 'Once at each of these', ChartQuestions::LEAVE_OUT => 'Leave the row out']));

        return $answer !== 'once_each' ? null
            : new ChartRow(
                $row->task,
                $kind,
                array_map(fn (int $mark): Interval => MarkedColumns::interval($limit, $mark), $marks),
                new Interval,
                line: $row->line,
            );
    }

    private function anchor(WrittenRow $row): Anchor
    {
        $counted = mb_strtolower($this->headings->cell(HeadingKind::Counted, $row));

        return match ($counted) {
            '', 'from_done', 'from the day it was done' => Anchor::FromDone,
            'chart', 'by the chart' => Anchor::Chart,
            default => Anchor::tryFrom((string) $this->questions->ask(new ChartQuestion("counted:{$row->line}", "Line {$row->line}: \"".mb_substr($counted, 0, 40).'" is no way of counting known here. From where is the next one counted?',
                [
                    Anchor::FromDone->value => 'From the day it was done',
                    Anchor::Chart->value => 'By the chart',
                ], Anchor::FromDone->value)))
                    ?? Anchor::FromDone,
        };
    }

    private function inWords(int $position, Limit $limit): string
    {
        return MarkedColumns::interval($limit, $position)->inWords(
            $this->unit->isDistance() ? $this->unit : MeterUnit::Kilometres,
        );
    }

    private static function key(string $task, string $kind): string
    {
        return mb_strtolower($task)."|{$kind}";
    }
}
