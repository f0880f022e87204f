<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Machine\TaskKind;

/** What a chart leaves open, and what was answered. */
final class ChartQuestions
{
    public const LEAVE_OUT = 'leave_out';

    /** @var array<string, ChartQuestion> by id */
    private array $open = [];

    /** @param  array<string, string>  $answers  by the id of their question */
    public function __construct(private readonly array $answers) {}

    /** The answer to a question, or null where it is still to be asked. */
    public function ask(ChartQuestion $question): ?string
    {
        $answer = $this->answers[$question->id] ?? null;
        if ($answer === null || ! isset($question->options[$answer])) {
            $this->open[$question->id] ??= $question;

            return null;
        }

        return $answer;
    }

    /** @param  list<TaskKind>  $kinds */
    public function askKind(string $id, string $ask, array $kinds, TaskKind $suggested): ?TaskKind
    {
        $options = array_combine(
            array_map(fn (TaskKind $kind): string => $kind->value, $kinds),
            array_map(fn (TaskKind $kind): string => $kind->word(), $kinds),
        );

        return TaskKind::tryFrom($this->ask(new ChartQuestion($id, $ask, $options, $suggested->value)) ?? '');
    }

    /** @return list<ChartQuestion> */
    public function open(): array
    {
        return array_values($this->open);
    }
}
