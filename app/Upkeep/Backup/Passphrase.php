<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Upkeep\StateFolder;

/** What backups are sealed with: a line in a file of its own that nobody else reads. Who loses it loses them. */
final class Passphrase
{
    private const FILE = 'backup-passphrase';

    public static function isSet(): bool
    {
        return is_file(StateFolder::path(self::FILE));
    }

    public static function get(): ?string
    {
        return self::isSet() ? (rtrim((string) file_get_contents(StateFolder::path(self::FILE)), "\r\n") ?: null) : null;
    }
}
