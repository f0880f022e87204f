<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
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

    /** @var array<string, Question> by id */
    private array $questions = [];

    /** @var list<string> */
    private array $remarks = [];

    /** @var list<ChartRow> */
    private array $rows = [];

    /** @var array<string, int> the row by its task and work */
    private array $rowOf = [];

    /** @var array<int, string> by row: the bigger task that it names */
    private array $named = [];

    /** @var list<Heading> */
    private array $headings;

    /** @param  array<string, string>  $answers  by the id of their question */
    private function __construct(private readonly WrittenTable $table, private readonly array $answers, private readonly MeterUnit $unit)
    {
        $this->headings = array_map(fn (string $text): Heading => Heading::read($text, $unit), $table->headings);
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
            $reader->readRow($row['line'], $row['task'], $row['cells']);
        }
        if ($reader->rows === [] && $reader->questions === []) {
            throw new NotAChart('No row has a mark under a heading that is understood.');
        }

        return new ChartReading($reader->withContainers(), array_values($reader->questions), $reader->remarks);
    }

    private function understandHeadings(): void
    {
        $understood = 0;
        foreach ($this->headings as $index => $heading) {
            if ($heading->kind !== HeadingKind::Unknown) {
                $understood++;
            } elseif ($this->columnHasWords($index)) {
                $name = $heading->text === '' ? 'Column '.($index + 2) : "\"{$heading->text}\"";
                $this->ask(new Question("column:{$index}", "{$name} is no interval that is understood here. Head it like 50, every 50 h, first 25 h, yearly or spring, or leave the column out.", [self::LEAVE_OUT => 'Leave it out'], self::LEAVE_OUT));
            }
        }
        if ($understood === 0) {
            throw new NotAChart('No heading is an interval. Head the columns like 50, every 50 h, first 25 h or yearly.');
        }
    }

    /** @param  list<string>  $cells */
    private function readRow(int $line, string $task, array $cells): void
    {
        $marks = array_filter($cells, fn (string $cell, int $index): bool => ! MarkWords::isNothing($cell) && $this->isInterval($index), ARRAY_FILTER_USE_BOTH);
        if ($marks === []) {
            $this->remarks[] = $task === '' ? "Line {$line} has no task and no mark." : "Line {$line}, \"{$task}\", has no mark and is taken for a heading.";

            return;
        }
        if ($task === '' || mb_strlen($task) > self::LONGEST_TASK) {
            throw new NotAChart($task === '' ? "Line {$line} has marks but no task." : "Line {$line}: a task is named in at most ".self::LONGEST_TASK.' letters.');
        }
        $byKind = $this->byKind($line, $task, $marks, $this->cellUnder(HeadingKind::Work, $cells));
        $this->addRows($line, $task, $byKind, $this->anchor($line, $cells), $this->cellUnder(HeadingKind::ContainedIn, $cells));
    }

    /**
     * The columns marked for each kind of work; none for what is still asked.
     *
     * @param  array<int, string>  $marks  by column
     * @return array<string, list<int>>
     */
    private function byKind(int $line, string $task, array $marks, string $work): array
    {
        $byKind = [];
        $said = array_unique(array_filter(array_map(MarkWords::kind(...), $marks)), SORT_REGULAR);
        $alone = count($said) === 1 ? reset($said) : null;
        $given = $work === '' ? null : MarkWords::kind($work) ?? throw new NotAChart("Line {$line}: \"{$work}\" is no work known here. Use replace, inspect, clean, adjust, lubricate, check level or sample.");
        foreach ($marks as $index => $mark) {
            $kind = $given ?? MarkWords::kind($mark) ?? match (true) {
                MarkWords::mayMean($mark) !== [] => $this->letter($mark),
                MarkWords::isPlain($mark) => $alone ?? MarkWords::kindIn($task) ?? $this->work($line, $task),
                default => throw new NotAChart("Line {$line}, under \"{$this->headings[$index]->text}\": \"".mb_substr($mark, 0, 40).'" is no mark. Use X, or a word like replace or inspect.'),
            };
            if ($kind !== null) {
                $byKind[$kind->value][] = $index;
            }
        }

        return $byKind;
    }

    /** @param  array<string, list<int>>  $byKind */
    private function addRows(int $line, string $task, array $byKind, Anchor $anchor, string $containedIn): void
    {
        foreach ($byKind as $kind => $columns) {
            $key = mb_strtolower($task)."|{$kind}";
            if (isset($this->rowOf[$key])) {
                throw new NotAChart("Line {$line}: \"{$task}\" stands there twice.");
            }
            $row = $this->row($line, $task, TaskKind::from($kind), $columns, $anchor);
            $container = null;
            if ($row === null && $kind !== TaskKind::Replace->value && isset($byKind[TaskKind::Replace->value])) {
                // Where it is replaced it is not looked at as well: the marks for both together may show the interval.
                $row = $this->row($line, $task, TaskKind::from($kind), [...$columns, ...$byKind[TaskKind::Replace->value]], $anchor);
                $container = $row === null ? null : "{$task} (".TaskKind::Replace->value.')';
            }
            $row ??= $this->irregular($line, $task, TaskKind::from($kind), $columns);
            if ($row !== null) {
                $this->rowOf[$key] = count($this->rows);
                if ($container !== null || $containedIn !== '') {
                    $this->named[count($this->rows)] = $container ?? $containedIn;
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
    private function row(int $line, string $task, TaskKind $kind, array $columns, Anchor $anchor): ?ChartRow
    {
        $first = $windows = [];
        $every = ['hours' => null, 'km' => null, 'months' => null];
        foreach ($columns as $index) {
            $heading = $this->headings[$index];
            if ($heading->kind === HeadingKind::First) {
                $first[] = $heading->interval;
            } elseif ($heading->kind === HeadingKind::Season) {
                $windows[] = $heading->season;
            } elseif ($heading->kind === HeadingKind::Every && $heading->interval !== null) {
                $every = self::shorter($every, $heading->interval);
            }
        }
        $first = array_values(array_filter($first));
        foreach ([Limit::Hours, Limit::Distance] as $limit) {
            $marks = $this->positions($limit, $columns);
            if ($marks === []) {
                continue;
            }
            $after = max([0, ...array_map(fn (Interval $point): int => self::hundredths($point->length($limit)), $first)]);
            $inference = Inference::of($this->positions($limit), $marks, $after);
            if ($inference === null) {
                return null;
            }
            $again = ! $inference->open || $this->answer('far_end', $task, $marks[count($marks) - 1], $limit) !== 'once';
            foreach ([...$inference->first, ...($again || $inference->every === null ? [] : [$inference->every])] as $point) {
                $first[] = self::interval($limit, $point);
            }
            if ($again && $inference->every !== null) {
                $every = self::shorter($every, self::interval($limit, $inference->every));
            }
            $anchor = match (true) {
                $inference->fromDone => Anchor::FromDone,
                $inference->every !== null && $again && max([0, $after, ...$inference->first]) % $inference->every !== 0 => Anchor::Chart,
                default => $anchor,
            };
        }

        return new ChartRow($task, $kind, $first, new Interval(...$every), $anchor, array_values(array_filter($windows)));
    }

    /** @param  list<int>  $columns */
    private function irregular(int $line, string $task, TaskKind $kind, array $columns): ?ChartRow
    {
        $limit = $this->positions(Limit::Hours, $columns) === [] ? Limit::Distance : Limit::Hours;
        $marks = $this->positions($limit, $columns);
        $at = implode(', ', array_map(fn (int $mark): string => $this->position($mark, $limit), $marks));
        $id = "row:{$line}:{$kind->value}";
        $answer = $this->answers[$id] ?? null;
        if ($answer === 'once_each') {
            return new ChartRow($task, $kind, array_map(fn (int $mark): Interval => self::interval($limit, $mark), $marks), new Interval);
        }
        if ($answer !== self::LEAVE_OUT) {
            $this->ask(new Question($id, "{$task} is marked at {$at}, which is no regular interval. What is meant?", ['once_each' => 'Once at each of these', self::LEAVE_OUT => 'Leave the row out']));
        }

        return null;
    }

    private function answer(string $id, string $task, int $mark, Limit $limit): ?string
    {
        if (! isset($this->answers[$id])) {
            $this->ask(new Question($id, "{$task} is marked at {$this->position($mark, $limit)}, and the chart ends before that could show again. What do such marks mean?",
                ['every' => 'Again and again after as many', 'once' => 'Once only'], 'every'));
        }

        return $this->answers[$id] ?? null;
    }

    private function letter(string $mark): ?TaskKind
    {
        $letter = mb_strtoupper(trim($mark));
        $kinds = MarkWords::mayMean($mark);

        return $this->kindAnswered("letter:{$letter}", "What does {$letter} mean in this chart?", $kinds, $kinds[0] ?? TaskKind::Inspect);
    }

    private function work(int $line, string $task): ?TaskKind
    {
        return $this->kindAnswered("work:{$line}", "What is done: {$task}?", TaskKind::cases(), MarkWords::guess($task));
    }

    /** @param  list<TaskKind>  $kinds */
    private function kindAnswered(string $id, string $ask, array $kinds, TaskKind $suggested): ?TaskKind
    {
        $answer = TaskKind::tryFrom($this->answers[$id] ?? '');
        if ($answer === null || ! in_array($answer, $kinds, true)) {
            $this->ask(new Question($id, $ask, array_combine(array_map(fn (TaskKind $kind): string => $kind->value, $kinds), array_map(fn (TaskKind $kind): string => $kind->word(), $kinds)), $suggested->value));

            return null;
        }

        return $answer;
    }

    private function ask(Question $question): void
    {
        $answer = $this->answers[$question->id] ?? null;
        if ($answer === null || ! isset($question->options[$answer])) {
            $this->questions[$question->id] ??= $question;
        }
    }

    /** @param  list<string>  $cells */
    private function anchor(int $line, array $cells): Anchor
    {
        $counted = mb_strtolower($this->cellUnder(HeadingKind::Counted, $cells));

        return match ($counted) {
            '', 'from_done', 'from the day it was done' => Anchor::FromDone,
            'chart', 'by the chart' => Anchor::Chart,
            default => throw new NotAChart("Line {$line}: \"{$counted}\" is no way of counting. Write \"by the chart\" or \"from the day it was done\"."),
        };
    }

    /** @return list<ChartRow> */
    private function withContainers(): array
    {
        $rows = $this->rows;
        foreach ($this->named as $index => $bigger) {
            $key = preg_match('/^(.*) \((\w+)\)$/', $bigger, $part) ? mb_strtolower($part[1])."|{$part[2]}" : '';
            $at = $this->rowOf[$key] ?? null;
            if ($at === null || $at === $index) {
                $this->remarks[] = "\"{$rows[$index]->task}\" counts with \"{$bigger}\", which is not in the chart.";
            } else {
                $rows[$index] = new ChartRow($rows[$index]->task, $rows[$index]->kind, $rows[$index]->first, $rows[$index]->every, $rows[$index]->anchor, $rows[$index]->windows, $at);
            }
        }

        return array_values($rows);
    }

    /** @param  list<string>  $cells */
    private function cellUnder(HeadingKind $kind, array $cells): string
    {
        foreach ($this->headings as $index => $heading) {
            if ($heading->kind === $kind) {
                return $cells[$index];
            }
        }

        return '';
    }

    private function isInterval(int $index): bool
    {
        return in_array($this->headings[$index]->kind, [HeadingKind::At, HeadingKind::Every, HeadingKind::First, HeadingKind::Season], true);
    }

    private function columnHasWords(int $index): bool
    {
        return array_filter($this->table->rows, fn (array $row): bool => ! MarkWords::isNothing($row['cells'][$index])) !== [];
    }

    /**
     * Where the columns that count points stand, in hundredths.
     *
     * @param  list<int>|null  $columns  only these
     * @return list<int> rising
     */
    private function positions(Limit $limit, ?array $columns = null): array
    {
        $positions = [];
        foreach ($this->headings as $index => $heading) {
            if ($heading->kind === HeadingKind::At && $heading->interval?->gives($limit) === true && ($columns === null || in_array($index, $columns, true))) {
                $positions[] = self::hundredths($heading->interval->length($limit));
            }
        }
        sort($positions);

        return array_values(array_unique($positions));
    }

    private function position(int $hundredths, Limit $limit): string
    {
        return self::interval($limit, $hundredths)->inWords($this->unit->isDistance() ? $this->unit : MeterUnit::Kilometres);
    }

    /**
     * @param  array{hours: BigDecimal|null, km: BigDecimal|null, months: int|null}  $every
     * @return array{hours: BigDecimal|null, km: BigDecimal|null, months: int|null}
     */
    private static function shorter(array $every, Interval $other): array
    {
        $least = fn (?BigDecimal $one, ?BigDecimal $two): ?BigDecimal => $one === null || ($two !== null && $two->isLessThan($one)) ? $two : $one;

        return [
            'hours' => $least($every['hours'], $other->hours),
            'km' => $least($every['km'], $other->km),
            'months' => $every['months'] === null || ($other->months !== null && $other->months < $every['months']) ? $other->months : $every['months'],
        ];
    }

    private static function hundredths(?BigDecimal $length): int
    {
        return $length === null ? 0 : $length->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    private static function interval(Limit $limit, int $hundredths): Interval
    {
        $length = BigDecimal::of($hundredths)->dividedBy(100, 2, RoundingMode::UNNECESSARY)->stripTrailingZeros();

        return $limit === Limit::Hours ? new Interval(hours: $length) : new Interval(km: $length);
    }
}
