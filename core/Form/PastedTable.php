<?php

declare(strict_types=1);

namespace Core\Form;

/** A table as a spreadsheet or a CSV file has it, pasted as text. */
final readonly class PastedTable
{
    private const LONGEST = 100_000;

    /**
     * @param  non-empty-array<int, non-empty-list<string>>  $lines  by line, counted from 1, without those that have no
     *     word in them
     */
    private function __construct(public array $lines) {}

    /**
     * @param  string  $what  what is expected, with its article: `a chart`
     *
     * @throws NotATable if it cannot be read, is far too long, or empty
     */
    public static function parse(string $text, string $what): self
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new NotATable('That is not text that can be read. Copy the cells again, or save the file as UTF-8.');
        }
        if (strlen($text) > self::LONGEST) {
            throw new NotATable("That is far more than {$what}. Paste one machine's table.");
        }
        $text = preg_replace('/\A\x{FEFF}/u', '', $text) ?? '';
        $lines = self::lines($text, self::separator($text));
        if ($lines === []) {
            throw new NotATable('Nothing was pasted.');
        }

        return new self($lines);
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
