<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Contracts\Database\ConcurrencyErrorDetector;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Database\QueryException;

/**
 * What passes by itself: the database is away or busy, the disk is full. Nothing was written; the same may be sent
 * again.
 */
final class Unavailable
{
    /** When to ask again. */
    public const SECONDS = 5;

    /**
     * MariaDB's numbers for a full disk or table: ER_DISK_FULL, ER_ERROR_ON_WRITE, ER_RECORD_FILE_FULL,
     * ER_IO_WRITE_ERROR.
     */
    private const FULL = [1021, 1026, 1114, 1811];

    public const NO_ROOM = 'The yard\'s computer has no room left on its disk. Nothing was saved; tell whoever looks after it.';

    /** @return string|null in words, null where something else is the matter */
    public static function because(\Throwable $thrown): ?string
    {
        return match (true) {
            $thrown instanceof QueryException
                && in_array($thrown->errorInfo[1] ?? 0, self::FULL, true),
            Disk::isFull() => self::NO_ROOM,
            app(
                LostConnectionDetector::class,
            )->causedByLostConnection($thrown) => 'The yard\'s database is away for a moment. '
                .'Nothing was saved. Try again in a few seconds.',
            app(ConcurrencyErrorDetector::class)->causedByConcurrencyError($thrown) => 'Too many were writing at once. '
                .'Nothing was saved. Try again in a few seconds.',
            default => null,
        };
    }
}
