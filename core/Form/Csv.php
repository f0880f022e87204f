<?php

declare(strict_types=1);

namespace Core\Form;

/** Rows of text as a CSV file by RFC 4180. */
final class Csv
{
    /** @param  list<list<string|int>>  $rows */
    public static function of(array $rows): string
    {
        return implode('', array_map(fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n", $rows));
    }

    /**
     * Quoted where it must be. What a table program would take for a formula, in signs of full width too, is kept from it
     * by an apostrophe.
     */
    private static function cell(string|int $cell): string
    {
        $text = preg_match('/^[=+\-@\t\r\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}]/u', (string) $cell) === 1 ? "'{$cell}" : (string) $cell;

        return preg_match('/[",;\t\r\n]|^\s|\s$/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
