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
        $what = $fault instanceof QueryException
            ? "SQL {$fault->getCode()} in {$fault->getSql()}"
            : $fault->getMessage();
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
}
