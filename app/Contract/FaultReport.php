<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Database\QueryException;

/**
 * What is logged of a fault: what it was and where, never what people typed. A statement's values, and the database's
 * own words, which repeat them, stay out.
 */
final class FaultReport
{
    private const LONGEST = 2000;

    public static function of(\Throwable $fault): string
    {
        $what = match (true) {
            $fault instanceof QueryException => "SQL {$fault->getCode()} in {$fault->getSql()}",
            // Whatever the framework made of it, its message carries the statement with its values.
            $fault instanceof \PDOException => "SQL {$fault->getCode()}",
            default => self::withoutQuoted($fault->getMessage()),
        };
        $line = sprintf(
            "%s: %s at %s:%d\n%s",
            $fault::class,
            $what,
            $fault->getFile(),
            $fault->getLine(),
            $fault->getTraceAsString(),
        );

        return mb_strcut(mb_scrub($line), 0, self::LONGEST);
    }

    /** What stands in quotes may have been typed. */
    private static function withoutQuoted(string $message): string
    {
        return (string) preg_replace('/"[^"]*"?|\'[^\']*\'?|`[^`]*`?/u', '"…"', mb_scrub($message));
    }
}
