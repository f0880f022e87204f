<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Upkeep\StateFolder;
use Illuminate\Support\Facades\File;

/** One file that holds a yard: its manifest, its database as statements, its photographs and its keys. */
final class BackupFile
{
    public const STATEMENTS = 'database.sql';

    public const KEYS = 'keys';

    /** Packs a folder into a file, sealed where there is a passphrase. A file that is there is whole. */
    public static function pack(string $folder, string $file, #[\SensitiveParameter] ?string $passphrase): void
    {
        $parts = ["{$file}.part", "{$file}.sealed.part"];
        try {
            Programs::run('tar', ['--create', '--gzip', "--file={$parts[0]}", "--directory={$folder}", Manifest::FILE, self::STATEMENTS, self::KEYS, Archive::PHOTOS]);
            if ($passphrase !== null) {
                PassphraseSeal::put($parts[0], $parts[1], $passphrase);
                rename($parts[1], $parts[0]);
            }
            Programs::run('sync', [$parts[0]]);
            rename($parts[0], $file);
        } finally {
            File::delete($parts);
        }
    }

    /**
     * Unpacks it into a new folder, each file held against its checksum.
     *
     * @param  bool  $takesUnsealed  whether an open one is taken where backups are sealed: anybody could have made it
     *
     * @throws Unusable if it does not open, is no backup, or anything in it is not as it was
     */
    public static function unpack(string $file, string $folder, #[\SensitiveParameter] ?string $passphrase, bool $takesUnsealed = false): Manifest
    {
        if (! is_readable($file)) {
            throw new Unusable("{$file} cannot be read.");
        }
        $isSealed = PassphraseSeal::isOn($file);
        if ($passphrase !== null && ! $isSealed && ! $takesUnsealed) {
            throw new Unusable('It is not sealed, and this yard seals its backups: anybody could have put it in the place of one. --unsealed takes it all the same.');
        }
        File::ensureDirectoryExists($folder, 0700);
        if (! $isSealed) {
            return Archive::unpack($file, $folder);
        }
        $opened = "{$folder}.opened";
        try {
            PassphraseSeal::take($file, $opened, $passphrase ?? throw new Unusable('It is sealed: set its passphrase with ./jardinier backup --passphrase.'));

            return Archive::unpack($opened, $folder);
        } finally {
            File::delete($opened);
        }
    }

    /** @return array<string, array{bytes: int, sha256: string}> by path, all that lies in a folder */
    public static function contents(string $folder): array
    {
        $contents = [];
        foreach (File::allFiles($folder, hidden: true) as $found) {
            $contents[$found->getRelativePathname()] = ['bytes' => (int) $found->getSize(), 'sha256' => (string) hash_file('sha256', $found->getPathname())];
        }
        ksort($contents);

        return $contents;
    }

    public static function folder(): string
    {
        return StateFolder::path('backups');
    }
}
