<?php

declare(strict_types=1);

namespace App\Upkeep\Night;

use App\Contract\Disk;
use App\Machines\Yard;
use Carbon\CarbonImmutable;

/** All works of the night, and which of them are due. */
final readonly class NightWorks
{
    /** In the order in which they are done where several are due. */
    private const ALL = [
        ReckonTheDay::class,
        BackUpTheYard::class,
        ProveTheBackup::class,
        ThrowAway::class,
    ];

    /** What failed is tried again after so long; what was cut off too. */
    private const MINUTES_UNTIL_TRIED_AGAIN = 60;

    /** @return list<NightWork> */
    public static function all(): array
    {
        return array_map(fn (string $work): NightWork => app($work), self::ALL);
    }

    public static function named(string $name): NightWork
    {
        return array_column(array_map(fn (NightWork $work): array => [$work->name(), $work], self::all()), 1, 0)[$name];
    }

    /** Hands over what is due. Asked every minute. */
    public function __invoke(): void
    {
        $yard = Yard::query()->first();
        if ($yard === null || Disk::isFull()) {
            return;
        }
        foreach (self::all() as $work) {
            if (self::isDue($work, $yard)) {
                DoNightWork::dispatch($work->name());
            }
        }
    }

    private static function isDue(NightWork $work, Yard $yard): bool
    {
        $last = NightRun::last($work->name());
        $isRunningOrFailed = $last !== null && $last->succeeded !== true
            && $last->began_at > CarbonImmutable::now()->subMinutes(self::MINUTES_UNTIL_TRIED_AGAIN);

        return ! $isRunningOrFailed
            && $work->isDue(NightRun::lastDone($work->name())?->began_at->setTimezone($yard->time_zone), $yard->now());
    }
}
