<?php

declare(strict_types=1);

namespace App\Contract;

/** How much room is left where the yard writes. */
final class Disk
{
    /** Below so many hundredths its keeper is told. */
    private const LOW = 10;

    /** Below so many photographs are refused: what was read must always be taken in. */
    private const NO_PHOTOS = 4;

    /** Below so many bytes nothing is written any more: a database that meets a full disk waits a minute before it looks again. */
    private const FULL = 24 * 1024 * 1024;

    public static function isFull(): bool
    {
        $free = @disk_free_space(storage_path());

        return $free !== false && $free < self::FULL;
    }

    /** @return array{free: int, total: int, percent: int} in bytes, and hundredths that are free */
    public static function room(): array
    {
        $folder = storage_path();
        $free = (int) disk_free_space($folder);
        $total = max(1, (int) disk_total_space($folder));

        return ['free' => $free, 'total' => $total, 'percent' => (int) floor($free * 100 / $total)];
    }

    public static function isLow(): bool
    {
        return self::room()['percent'] < self::limit('low', self::LOW);
    }

    public static function takesNoPhotos(): bool
    {
        return self::room()['percent'] < self::limit('no_photos', self::NO_PHOTOS);
    }

    private static function limit(string $name, int $usual): int
    {
        return (int) (config("upkeep.disk.{$name}") ?? $usual);
    }
}
