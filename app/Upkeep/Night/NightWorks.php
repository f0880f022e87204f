<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

/** All works of the night. */
final readonly class NightWorks
{
    /** In the order in which they are done where several are due. */
    private const ALL = [
        ReckonTheDay::class,
        BackUpTheYard::class,
        ProveTheBackup::class,
        ThrowAway::class,
    ];

    /** @return list<NightWork> */
    public static function all(): array
    {
        return array_map(fn (string $work): NightWork => app($work), self::ALL);
    }

    public static function named(string $name): NightWork
    {
        return array_column(array_map(fn (NightWork $work): array => [$work->name(), $work], self::all()), 1, 0)[$name];
    }
}
