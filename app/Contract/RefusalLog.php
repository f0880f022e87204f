<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\Request;

/**
 * The last requests that were refused, for whoever helps: when, what was asked for by its route, what the problem was.
 * Nothing of what was sent.
 */
final class RefusalLog
{
    private const FILE = 'logs/refusals.log';

    private const LONGEST = 100_000;

    public static function note(Request $request, Problem $problem): void
    {
        $file = storage_path(self::FILE);
        $line = sprintf("%s %d %s %s %s\n", now()->toAtomString(), $problem->status, $problem->name, $request->method(), $request->route()?->uri() ?? 'unknown');
        // Where it cannot be written nobody is refused for it.
        @file_put_contents($file, $line, FILE_APPEND);
        if (@filesize($file) > self::LONGEST) {
            @rename($file, "{$file}.1");
        }
    }

    /** @return list<string> the newest last */
    public static function last(int $count): array
    {
        $lines = [];
        foreach (['.1', ''] as $older) {
            $lines = [...$lines, ...@file(storage_path(self::FILE.$older), FILE_IGNORE_NEW_LINES) ?: []];
        }

        return array_slice($lines, -$count);
    }
}
