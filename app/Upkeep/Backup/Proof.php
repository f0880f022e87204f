<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Upkeep\StateFolder;
use Illuminate\Support\Facades\File;

/** That a backup can be put back: it is, into a server that is thrown away, and every table counted and hashed again. */
final class Proof
{
    private const DATABASE = 'jardinier';

    /**
     * @return Manifest what was proved
     *
     * @throws Unusable if anything is not as it was
     */
    public static function of(string $file): Manifest
    {
        $folder = StateFolder::temporary('proof');
        try {
            $manifest = BackupFile::unpack($file, "{$folder}/unpacked", Passphrase::get(), takesUnsealed: true);
            $server = Server::in("{$folder}/db");
            try {
                self::load($server, "{$folder}/unpacked", $manifest);
            } finally {
                $server->end();
            }

            return $manifest;
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** Loads what was unpacked into a server, and holds every table against what it held. */
    public static function load(Server $server, string $unpacked, Manifest $manifest): void
    {
        $server->load("{$unpacked}/".BackupFile::STATEMENTS, self::DATABASE);
        $now = TableHashes::of($server->connection(), self::DATABASE);
        foreach ($manifest->tables as $table => $then) {
            if (($now[$table] ?? null) !== $then) {
                throw new Unusable("The table {$table} came back otherwise: {$then['rows']} rows were written, ".($now[$table]['rows'] ?? 'none').' came back.');
            }
        }
    }
}
