<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Machine\TaskKind;

/** What the marks of one chart mean: each letter and each sign the same wherever it stands. */
final readonly class MarkLegend
{
    /** @param  bool  $signsDiffer  different signs stand in one row, so that each stands for an act of its own */
    private function __construct(private ChartQuestions $questions, private bool $signsDiffer) {}

    /** @param  list<WrittenRow>  $rows */
    public static function of(array $rows, ChartQuestions $questions): self
    {
        return new self(
            $questions,
            array_filter($rows, fn (WrittenRow $row): bool => count(self::signs($row->cells)) > 1) !== [],
        );
    }

    /**
     * What a row's marks say is done, by column; null where that is still asked.
     *
     * @param  non-empty-array<int, string>  $marks  by column
     * @param  TaskKind|null  $given  what a column of its own says is done
     * @return array<int, TaskKind|null> without the columns that are left out
     */
    public function kinds(WrittenRow $row, array $marks, ?TaskKind $given): array
    {
        $said = array_unique(array_filter(array_map(MarkWords::kind(...), $marks)), SORT_REGULAR);
        $alone = count($said) === 1 ? reset($said) : null;
        $hasOneSign = count(self::signs($marks)) === 1;
        $kinds = [];
        foreach ($marks as $index => $mark) {
            $sign = MarkWords::sign($mark);
            if (MarkWords::kind($mark) === null && $sign === null && MarkWords::mayMean($mark) === []) {
                $answer = $this->odd($row, $index, $mark);
                if ($answer !== ChartQuestions::LEAVE_OUT) {
                    $kinds[$index] = TaskKind::tryFrom((string) $answer);
                }

                continue;
            }
            $kinds[$index] = $given ?? MarkWords::kind($mark) ?? match (true) {
                $sign === null => $this->letter($mark),
                $hasOneSign && $alone !== null => $alone,
                $hasOneSign && MarkWords::kindIn($row->task) !== null => MarkWords::kindIn($row->task),
                $this->signsDiffer => $this->meaning($sign),
                default => $this->questions->askKind(
                    "work:{$row->line}",
                    "What is done: {$row->task}?",
                    TaskKind::cases(),
                    MarkWords::guess($row->task),
                ),
            };
        }

        return $kinds;
    }

    private function letter(string $mark): ?TaskKind
    {
        $letter = mb_strtoupper(trim($mark));
        $kinds = MarkWords::mayMean($mark);

        return $this->questions->askKind(
            "letter:{$letter}",
            "What does {$letter} mean in this chart?",
            $kinds,
            $kinds[0] ?? TaskKind::Inspect,
        );
    }

    private function meaning(string $sign): ?TaskKind
    {
        return $this->questions->askKind(
            "mark:{$sign}",
            "What does {$sign} mean in this chart?",
            TaskKind::cases(),
            MarkWords::guessSign($sign),
        );
    }

    private function odd(WrittenRow $row, int $index, string $mark): ?string
    {
        $kinds = array_combine(
            array_column(TaskKind::cases(), 'value'),
            array_map(fn (TaskKind $kind): string => $kind->word(), TaskKind::cases()),
        );

        return $this->questions->ask(
            new ChartQuestion(
                "cell:{$row->line}:{$index}",
                "Line {$row->line}, {$row->task}: \"".mb_substr($mark, 0, 40).'" is no mark known here. What is meant?',
                [ChartQuestions::LEAVE_OUT => 'Nothing, leave it out', ...$kinds],
                ChartQuestions::LEAVE_OUT,
            ),
        );
    }

    /**
     * @param  array<int, string>  $cells
     * @return list<string>
     */
    private static function signs(array $cells): array
    {
        return array_values(array_unique(array_filter(array_map(MarkWords::sign(...), $cells))));
    }
}
