<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Machines\Yard;
use Carbon\CarbonImmutable;
use Core\Upkeep\Rotation;
use Illuminate\Support\Facades\File;

/**
 * A second place for backups, a stick or a share. Each yard has a folder of its own there, which is thinned by what lies
 * in it and by nothing else: what the computer itself holds may have begun yesterday.
 */
final class SecondFolder
{
    public static function path(): ?string
    {
        return config('upkeep.second_folder');
    }

    /** Whether one is wished for and can be written to. */
    public static function isThere(): bool
    {
        return self::path() !== null && is_dir(self::path()) && is_writable(self::path());
    }

    /** The yard's own, the same after it was put back on another computer. */
    public static function own(Yard $yard): string
    {
        return self::path().'/jardinier-'.substr($yard->uuid, 0, 8);
    }

    /** @return array<string, CarbonImmutable> when each backup of the yard that lies there was made, by file, the newest first */
    public static function all(Yard $yard): array
    {
        $made = [];
        foreach (self::isThere() ? glob(self::own($yard).'/*') ?: [] : [] as $file) {
            $made[$file] = is_file($file) && ! is_link($file) ? Kept::madeAt($file) : null;
        }
        $made = array_filter($made);
        arsort($made);

        return $made;
    }

    /** @throws Unusable if there is no room */
    public static function follow(Yard $yard): void
    {
        if (! self::isThere()) {
            return;
        }
        File::ensureDirectoryExists(self::own($yard), 0700);
        $there = self::all($yard);
        $here = [];
        foreach (Kept::all() as $one) {
            $here[self::own($yard).'/'.basename($one->file)] = $one;
        }
        $ages = array_map(fn (CarbonImmutable $at): CarbonImmutable => $at->setTimezone($yard->time_zone), [
            ...$there,
            ...array_map(fn (Kept $one): CarbonImmutable => $one->madeAt, $here),
        ]);
        $kept = array_flip(Rotation::kept($ages));
        foreach (array_intersect_key($here, $kept) as $copy => $one) {
            if (! is_file($copy) || filesize($copy) !== $one->bytes) {
                self::copy($one->file, $copy);
            }
        }
        File::delete(array_keys(array_diff_key($there, $kept)));
    }

    private static function copy(string $from, string $to): void
    {
        if (! @copy($from, "{$to}.part")) {
            File::delete("{$to}.part");
            throw new Unusable('The second folder took no copy: is it full?');
        }
        rename("{$to}.part", $to);
    }
}
