<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use Illuminate\Support\Facades\File;

/** Another place for the same backups, a stick or a share: it holds what the yard's own folder holds, when it is there. */
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

    public static function follow(): void
    {
        if (! self::isThere()) {
            return;
        }
        $kept = [];
        foreach (Kept::all() as $one) {
            $copy = self::path().'/'.basename($one->file);
            $kept[] = $copy;
            if (! is_file($copy) || filesize($copy) !== $one->bytes) {
                copy($one->file, "{$copy}.part");
                rename("{$copy}.part", $copy);
            }
        }
        File::delete(array_diff(glob(self::path().'/jardinier-*') ?: [], $kept));
    }
}
