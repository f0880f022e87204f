<?php

declare(strict_types=1);

namespace Tests\Reference;

/** A published table as a file beside this one, its source named on top. */
final class Table
{
    /** @return list<array<string, string>> each row by its headings */
    public static function rows(string $name): array
    {
        $lines = array_filter(
            file(__DIR__."/{$name}.csv", FILE_IGNORE_NEW_LINES) ?: [],
            fn (string $line): bool => $line !== '' && ! str_starts_with($line, '#'),
        );
        $rows = array_map(
            fn (string $line): array => array_map(strval(...), str_getcsv($line, ',', '"', '')),
            array_values($lines),
        );
        $headings = array_shift($rows) ?? [];

        return array_map(fn (array $row): array => array_combine($headings, $row), $rows);
    }
}
