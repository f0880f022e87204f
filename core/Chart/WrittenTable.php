<?php

declare(strict_types=1);

namespace Core\Chart;

/** A table as a spreadsheet or a CSV file has it: headings above, a task at the beginning of every row. */
final readonly class WrittenTable
{
    public const MOST_ROWS = 200;

    public const MOST_COLUMNS = 80;

    private const LONGEST = 100_000;

    /**
     * @param  list<string>  $headings  without the one above the tasks
     * @param  list<WrittenRow>  $rows
     */
    public function __construct(public array $headings, public array $rows)
    {
    }

    /**
     * @throws NotAChart if it is no table, or larger than any chart
     */
    public static function parse(string $text): self
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new NotAChart('That is not text that can be read. Copy the cells again, or save the file as UTF-8.');
        }
        if (strlen($text) > self::LONGEST) {
            throw new NotAChart('That is far more than a chart. Paste one machine\'s table.');
        }
        $text = preg_replace('/\A\x{FEFF}/u', '', $text) ?? '';
        $lines = self::lines($text, self::separator($text));
        if ($lines === []) {
            throw new NotAChart('Nothing was pasted.');
        }
        if (count($lines) < 2 || max(array_map(count(...), $lines)) < 2) {
            throw new NotAChart(
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
            throw new NotAChart('A chart has at most '.self::MOST_ROWS.' rows and '.self::MOST_COLUMNS.' columns.');
        }

        return new self($headings->cells, $rows);
    }

    private static function separator(string $text): string
    {
        $head = strtok($text, "\n") ?: '';
        $counts = array_map(
            fn (string $mark): int => substr_count($head, $mark),
            ["\t" => "\t", ';' => ';', ',' => ','],
        );
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /**
     * RFC 4180 fields: quoted ones may hold separators, line ends and doubled quotes.
     *
     * @return array<int, non-empty-list<string>> by line, counted from 1; lines without any word are left out
     */
    private static function lines(string $text, string $separator): array
    {
        $lines = [];
        $number = 1;
        $quoted = '"(?:[^"]|"")*"';
        preg_match_all('/(?:'.$quoted.'|[^"\r\n]|")*+(?:\r\n|\r|\n|\z)/', $text, $found);
        foreach ($found[0] as $line) {
            $cells = array_map(
                fn (?string $cell): string => self::bare((string) $cell),
                str_getcsv(rtrim($line, "\r\n"), $separator, '"', ''),
            );
            if (implode('', $cells) !== '') {
                $lines[$number] = $cells;
            }
            $number += max(1, preg_match_all('/\r\n|\r|\n/', $line));
        }

        return $lines;
    }

    /** Without the spaces about it, and without the apostrophe that keeps a spreadsheet from reckoning it. */
    private static function bare(string $cell): string
    {
        return preg_replace("/^'(?=[=+\\-@])/", '', trim(preg_replace('/\s+/u', ' ', $cell) ?? '')) ?? '';
    }
}
