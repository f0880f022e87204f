<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Upkeep\StateFolder;
use Illuminate\Support\Facades\File;

/** One file that holds a yard: its manifest, its database as statements, its photographs and its keys. */
final class BackupFile
{
    public const STATEMENTS = 'database.sql';

    public const PHOTOS = 'photos';

    public const KEYS = 'keys';

    /** Packs a folder into a file, sealed where there is a passphrase. A file that is there is whole. */
    public static function pack(string $folder, string $file, #[\SensitiveParameter] ?string $passphrase): void
    {
        $parts = ["{$file}.part", "{$file}.sealed.part"];
        try {
            Programs::run('tar', ['--create', '--gzip', "--file={$parts[0]}", "--directory={$folder}", Manifest::FILE, self::STATEMENTS, self::KEYS, self::PHOTOS]);
            if ($passphrase !== null) {
                Seal::put($parts[0], $parts[1], $passphrase);
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
     * @throws Unusable if it does not open, is no backup, or anything in it is not as it was
     */
    public static function unpack(string $file, string $folder, #[\SensitiveParameter] ?string $passphrase): Manifest
    {
        if (! is_readable($file)) {
            throw new Unusable("{$file} cannot be read.");
        }
        File::ensureDirectoryExists($folder, 0700);
        $packed = $file;
        if (Seal::isOn($file)) {
            $packed = "{$folder}.opened";
            Seal::take($file, $packed, $passphrase ?? throw new Unusable('It is sealed: set its passphrase, BACKUP_PASSPHRASE.'));
        }
        try {
            Programs::run('tar', ['--extract', '--gzip', "--file={$packed}", "--directory={$folder}", '--no-same-owner', '--no-same-permissions']);
        } catch (Unusable) {
            throw new Unusable("{$file} is no backup, or it is damaged or cut off.");
        } finally {
            $packed === $file || File::delete($packed);
        }
        $manifest = Manifest::read($folder);
        foreach ($manifest->files as $path => $hash) {
            if (@hash_file('sha256', "{$folder}/{$path}") !== $hash) {
                throw new Unusable("{$path} in the backup is not as it was.");
            }
        }

        return $manifest;
    }

    /** @return array<string, string> SHA-256 by path of all that lies in a folder */
    public static function hashes(string $folder): array
    {
        $hashes = [];
        foreach (File::allFiles($folder, hidden: true) as $found) {
            $hashes[$found->getRelativePathname()] = (string) hash_file('sha256', $found->getPathname());
        }
        ksort($hashes);

        return $hashes;
    }

    public static function folder(): string
    {
        return StateFolder::path('backups');
    }
}
