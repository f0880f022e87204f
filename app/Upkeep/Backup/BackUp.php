<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Contract\Disk;
use App\Machines\Yard;
use App\Upkeep\StateFolder;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Puts a yard into one file while it goes on: its database as of one moment, its photographs, its keys. */
final readonly class BackUp
{
    private const LEAST_ROOM = 50_000_000;

    /** Statements as they are written take some eight times what they take packed. */
    private const TIMES_THE_LAST = 12;

    /** Without which phones would have to trust the yard anew. */
    private const AUTHORITY = ['tls/authority.key', 'tls/authority.crt'];

    /** @return string the file */
    public function make(?string $to = null): string
    {
        $yard = Yard::query()->first() ?? throw new Unusable('There is no yard yet to back up.');
        self::refuseWithoutRoom();
        $lock = fopen(StateFolder::path('run/backup.lock'), 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            throw new Unusable('Another backup is under way.');
        }
        $madeAt = CarbonImmutable::now();
        $passphrase = Passphrase::get();
        $file = $to ?? Kept::name($madeAt, $passphrase !== null);
        File::ensureDirectoryExists(dirname($file), 0700);
        $folder = StateFolder::temporary('backup');
        $before = umask(0077);
        try {
            $this->gather($folder, $yard, $madeAt, isSealed: $passphrase !== null);
            BackupFile::pack($folder, $file, $passphrase);
        } finally {
            umask($before);
            File::deleteDirectory($folder);
        }
        if ($to === null) {
            Kept::note($file, $madeAt, null);
            Kept::rotate($yard);
            SecondFolder::follow($yard);
        }

        return $file;
    }

    /** A backup is written out, then packed: for a while it takes several times what it takes in the end. */
    private static function refuseWithoutRoom(): void
    {
        $needs = self::LEAST_ROOM + self::TIMES_THE_LAST * (Kept::newest()->bytes ?? 0);
        if (Disk::room()['free'] < $needs) {
            throw new Unusable('There is no room for a backup on the disk: it would take '.number_format($needs / 1e6).' MB for a while.');
        }
    }

    private function gather(string $folder, Yard $yard, CarbonImmutable $madeAt, bool $isSealed): void
    {
        $snapshot = Snapshot::into("{$folder}/".BackupFile::STATEMENTS, (string) DB::connection()->getDatabaseName());
        File::ensureDirectoryExists("{$folder}/".BackupFile::KEYS, 0700);
        file_put_contents("{$folder}/".BackupFile::KEYS.'/app.key', (string) config('app.key'));
        // Whoever holds the authority's key is believed by every phone of the house: it never lies about in plain.
        foreach ($isSealed ? self::AUTHORITY : [] as $key) {
            if (is_file(StateFolder::path($key))) {
                copy(StateFolder::path($key), "{$folder}/".BackupFile::KEYS.'/'.basename($key));
            }
        }
        // A photograph is written before its row and never changed: all that the snapshot names are there by now.
        File::ensureDirectoryExists("{$folder}/".Archive::PHOTOS, 0700);
        if (is_dir(storage_path('photos'))) {
            Programs::run('cp', ['--recursive', '--link', storage_path('photos').'/.', "{$folder}/".Archive::PHOTOS]);
        }
        $manifest = new Manifest(
            $madeAt,
            $yard->uuid,
            $yard->name,
            $yard->time_zone,
            array_values(DB::table('migrations')->orderBy('id')->pluck('migration')->map(strval(...))->all()),
            $snapshot->changes,
            $snapshot->tables,
            BackupFile::contents($folder),
        );
        $manifest->write($folder);
    }
}
