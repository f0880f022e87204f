<?php

declare(strict_types=1);

namespace App\Upkeep\Computer;

use App\Contract\Disk;
use App\Logbook\Entry;
use App\Machines\Yard;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Night\NightRun;
use App\Upkeep\Night\NightWork;
use App\Upkeep\Night\NightWorks;
use Carbon\CarbonImmutable;

/** What the keeper must know of the computer in the morning. */
final class Warnings
{
    /** A backup older than this is none to rely on. */
    private const HOURS_OF_A_BACKUP = 48;

    /** A clock may be put back by so much without anybody minding. */
    private const MINUTES_PUT_BACK = 5;

    /** @return list<string> */
    public static function of(Yard $yard): array
    {
        return array_values(array_filter([
            self::clock($yard),
            self::backup($yard),
            self::disk(),
            ...array_map(self::failed(...), NightWorks::all()),
        ]));
    }

    /** Where the computer found no time on the network, its clock may stand where it was switched off, or years back. */
    public static function clock(Yard $yard): ?string
    {
        $last = CarbonImmutable::make(Entry::query()->max('written_at'));
        if ($last === null || CarbonImmutable::now()->addMinutes(self::MINUTES_PUT_BACK) >= $last) {
            return null;
        }

        return "The computer's clock stands at {$yard->now()->format('j F Y H:i')}, before the last entry in the book"
            ." ({$last->setTimezone($yard->time_zone)->format('j F Y H:i')}). Set it before anything is written.";
    }

    private static function backup(Yard $yard): ?string
    {
        $newest = Kept::newest();
        $inYard = fn (CarbonImmutable $at): string => $at->setTimezone($yard->time_zone)->format('l j F');

        return match (true) {
            $newest !== null && $newest->madeAt < CarbonImmutable::now()->subHours(self::HOURS_OF_A_BACKUP) => "The last good backup is of {$inYard($newest->madeAt)}.",
            ComputerState::now($yard)->secondFolder === 'missing' => 'The second folder for backups is not there. Is its stick in?',
            default => null,
        };
    }

    private static function disk(): ?string
    {
        return Disk::isLow()
            ? 'Only '.Disk::room()['percent'].' % of the disk is free. '.(Disk::takesNoPhotos()
                ? 'Photographs are refused until there is room.'
                : 'Photographs are refused when it runs lower.')
            : null;
    }

    private static function failed(NightWork $work): ?string
    {
        $last = NightRun::last($work->name());

        return $last?->succeeded === false ? "{$work->title()} failed: {$last->says}" : null;
    }
}
