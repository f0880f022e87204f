<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Form\NotATable;
use Core\Form\PastedTable;

/** A table as a spreadsheet or a CSV file has it: headings above, a task at the beginning of every row. */
final readonly class WrittenTable
{
    public const MOST_ROWS = 200;

    public const MOST_COLUMNS = 80;

    /**
     * @param  list<string>  $headings  without the one above the tasks
     * @param  list<WrittenRow>  $rows
     */
    public function __construct(public array $headings, public array $rows) {}

    /** @throws NotATable if it is no table, or larger than any chart */
    public static function parse(string $text): self
    {
        $lines = PastedTable::parse($text, 'a chart')->lines;
        if (count($lines) < 2 || max(array_map(count(...), $lines)) < 2) {
            throw new NotATable(
                'A chart has headings above, like 50, 100, 200, and a row for each task. Copy the headings too.',
            );
        }
        $width = count($lines[array_key_first($lines)]);
        $rows = [];
        foreach ($lines as $line => $cells) {
            $surplus = count(array_filter(array_slice($cells, $width), fn (string $cell): bool => $cell !== ''));
            $rows[] = new WrittenRow(
                $line,
                $cells[0],
                array_pad(array_slice($cells, 1, $width - 1), $width - 1, ''),
                $surplus,
            );
        }
        $headings = array_shift($rows);
        if (count($rows) > self::MOST_ROWS || $width > self::MOST_COLUMNS) {
            throw new NotATable('A chart has at most '.self::MOST_ROWS.' rows and '.self::MOST_COLUMNS.' columns.');
        }

        return new self($headings->cells, $rows);
    }
}
