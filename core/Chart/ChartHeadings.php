<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Form\NotATable;
use Core\Meter\MeterUnit;

/** The headings of a written table, understood as far as they can be, and asked about where they cannot. */
final readonly class ChartHeadings
{
    /**
     * @param  list<Heading>  $all
     * @param  list<string>  $remarks
     */
    private function __construct(public array $all, public array $remarks) {}

    /**
     * @param  MeterUnit  $unit  of bare numbers
     *
     * @throws NotATable if none of them says when
     */
    public static function of(WrittenTable $table, MeterUnit $unit, ChartQuestions $questions): self
    {
        $headings = array_map(fn (string $text): Heading => Heading::read($text, $unit), $table->headings);
        if (array_filter($headings, fn (Heading $heading): bool => $heading->kind !== HeadingKind::Unknown) === []) {
            throw new NotATable(
                'No heading is an interval. Head the columns like 50, every 50 h, first 25 h or yearly.',
            );
        }
        $remarks = [];
        foreach ($headings as $index => $heading) {
            $hasMarks = array_filter(
                $table->rows,
                fn (WrittenRow $row): bool => ! MarkWords::isNothing($row->cells[$index]),
            ) !== [];
            if ($heading->readings !== null) {
                $headings[$index] = self::asked($heading, $heading->readings, $index, $unit, $questions);
            } elseif ($heading->kind === HeadingKind::Unknown && $hasMarks) {
                $questions->ask(
                    new ChartQuestion(
                        "column:{$index}",
                        "{$heading->name($index)} is no interval that is understood here. Head it like 50, every 50 h, first 25 h, yearly or spring, or leave the column out.",
                        [ChartQuestions::LEAVE_OUT => 'Leave it out'],
                        ChartQuestions::LEAVE_OUT,
                    ),
                );
            }
            if ($heading->remark !== null) {
                $remarks[] = $heading->remark;
            }
        }

        return new self($headings, $remarks);
    }

    /**
     * Those that are points on the way: `100 h`.
     *
     * @param  list<string>  $texts
     * @param  MeterUnit  $unit  of bare numbers
     * @return list<string>
     */
    public static function points(array $texts, MeterUnit $unit): array
    {
        return array_values(array_filter($texts, fn (string $text): bool => Heading::read($text, $unit)->kind === HeadingKind::At));
    }

    /**
     * As a book has them: first services in front, then points by their size, the rest behind as it came.
     *
     * @param  list<string>  $texts
     * @param  MeterUnit  $unit  of bare numbers
     * @return list<string>
     */
    public static function inOrder(array $texts, MeterUnit $unit): array
    {
        $place = function (string $text) use ($unit): array {
            $heading = Heading::read($text, $unit);
            $group = match ($heading->kind) {
                HeadingKind::First => 0,
                HeadingKind::At => 1,
                default => 2,
            };
            $length = $heading->interval->hours ?? $heading->interval->km ?? null;

            return [$group, $group === 2 || $length === null ? 0.0 : $length->toFloat()];
        };
        usort($texts, fn (string $one, string $other): int => $place($one) <=> $place($other));

        return $texts;
    }

    /** @param  list<int>  $columns */
    public function under(array $columns): MarkedColumns
    {
        return new MarkedColumns(array_map(fn (int $index): Heading => $this->all[$index], $columns));
    }

    public function everywhere(): MarkedColumns
    {
        return new MarkedColumns($this->all);
    }

    public function cell(HeadingKind $kind, WrittenRow $row): string
    {
        foreach ($this->all as $index => $heading) {
            if ($heading->kind === $kind) {
                return $row->cells[$index];
            }
        }

        return '';
    }

    /** @param  array{string, string}  $readings */
    private static function asked(
        Heading $heading,
        array $readings,
        int $index,
        MeterUnit $unit,
        ChartQuestions $questions,
    ): Heading {
        $answer = $questions->ask(
            new ChartQuestion(
                "heading:{$index}",
                "{$heading->name($index)} can be read two ways. Which is meant?",
                ['thousands' => $readings[0], 'decimal' => $readings[1]],
                'thousands',
            ),
        );

        return $answer === null ? $heading : Heading::read($readings[$answer === 'thousands' ? 0 : 1], $unit);
    }
}
