<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Machines\Yard;
use App\Upkeep\StateFolder;
use Carbon\CarbonImmutable;
use Carbon\Exceptions\InvalidFormatException;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\File;

/** Makes a yard of a backup, in a folder beside the one that is served: nothing of that is touched. */
final class PutBack
{
    public const FOLDER = 'restored';

    private const APP_KEY = '~^base64:[A-Za-z0-9+/]{43}=$~D';

    /**
     * @param  string|null  $over  the name of the yard here, where another's takes its place
     * @param  string|null  $to  a moment of the yard's time up to which what was written after the backup is written again
     *
     * @throws Unusable if it is no backup, is damaged, comes back otherwise, or is of a newer Jardinier
     */
    public static function from(string $file, ?string $to, bool $takesUnsealed, ?string $over): Manifest
    {
        $folder = StateFolder::path(self::FOLDER);
        File::deleteDirectory($folder);
        $manifest = BackupFile::unpack($file, "{$folder}/unpacked", Passphrase::get(), $takesUnsealed);
        self::refuseWrongKeys("{$folder}/unpacked/".BackupFile::KEYS);
        self::refuseNewer($manifest);
        self::refuseAnothers($manifest, $over);
        $moment = $to === null ? null : self::moment($to, $manifest);
        $server = Server::in("{$folder}/db");
        try {
            Proof::load($server, "{$folder}/unpacked", $manifest);
            if ($moment !== null) {
                self::repeat($server, $manifest, $moment);
            }
        } finally {
            $server->end();
        }
        rename("{$folder}/unpacked/".Archive::PHOTOS, "{$folder}/photos");
        rename("{$folder}/unpacked/".BackupFile::KEYS, "{$folder}/keys");
        File::deleteDirectory("{$folder}/unpacked");

        return $manifest;
    }

    /**
     * The keys that came out of a backup are what they are called, or it is not believed.
     *
     * @throws Unusable
     */
    public static function refuseWrongKeys(string $folder): void
    {
        if (preg_match(self::APP_KEY, (string) @file_get_contents("{$folder}/app.key")) !== 1) {
            throw new Unusable('The key in the backup is not a key.');
        }
        [$certificate, $key] = ["{$folder}/authority.crt", "{$folder}/authority.key"];
        if (is_file($certificate) !== is_file($key)) {
            throw new Unusable('The backup holds half of an authority.');
        }
        if (is_file($key) && ! @openssl_x509_check_private_key((string) file_get_contents($certificate), (string) file_get_contents($key))) {
            throw new Unusable('The key in the backup is not that of its authority.');
        }
    }

    private static function refuseNewer(Manifest $manifest): void
    {
        $known = array_map(fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        if (array_diff($manifest->migrations, $known) !== []) {
            throw new Unusable('That backup was made by a newer Jardinier. Install that one.');
        }
    }

    /** The one takes the place of the other for good: whoever does so has both before their eyes. */
    private static function refuseAnothers(Manifest $manifest, ?string $over): void
    {
        try {
            $here = Yard::query()->first();
        } catch (QueryException) {
            // Nothing is served here yet.
            return;
        }
        if ($here !== null && $here->uuid !== $manifest->yardId && $over !== $here->name) {
            throw new Unusable("That is a backup of {$manifest->yard}, and here is {$here->name}. To put {$manifest->yard} in the place of {$here->name}, say --over '{$here->name}'.");
        }
    }

    private static function moment(string $to, Manifest $manifest): CarbonImmutable
    {
        try {
            $moment = CarbonImmutable::parse($to, $manifest->timeZone);
        } catch (InvalidFormatException) {
            throw new Unusable("\"{$to}\" is no moment. Write it like '2026-11-25 14:00'.");
        }
        $madeAt = CarbonImmutable::instance($manifest->madeAt)->setTimezone($manifest->timeZone);
        if ($moment <= $madeAt) {
            throw new Unusable("That backup is of {$madeAt->format('j F Y H:i')}: nothing earlier can be made of it. Take an older one.");
        }

        return $moment;
    }

    /** Writes again what was written after the backup, from the yard's own log of changes. */
    private static function repeat(Server $server, Manifest $manifest, CarbonImmutable $to): void
    {
        $logs = array_filter(
            glob(StateFolder::path('binlog/changes.[0-9]*')) ?: [],
            fn (string $log): bool => strcmp(basename($log), $manifest->changes['file']) >= 0,
        );
        if (basename((string) reset($logs)) !== $manifest->changes['file']) {
            throw new Unusable('What was written after that backup is not kept any more: take a newer one, or leave --to out.');
        }
        $statements = StateFolder::path(self::FOLDER.'/changes.sql');
        Programs::run('mariadb-binlog', [
            '--no-defaults', '--database=jardinier', '--disable-log-bin', "--start-position={$manifest->changes['position']}",
            '--stop-datetime='.$to->utc()->format('Y-m-d H:i:s'), "--result-file={$statements}", ...array_values($logs),
        ]);
        $server->execute(fopen($statements, 'r'), 'jardinier');
        File::delete($statements);
    }
}
