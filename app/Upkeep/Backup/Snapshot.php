<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Upkeep\StateFolder;

/** The database as it stood at one moment: its statements in a file, what each table held, where its changes went on. */
final readonly class Snapshot
{
    private const HEADER_WITHIN = 60;

    /**
     * @param  array<string, array{rows: int, hash: string}>  $tables
     * @param  array{file: string, position: int}  $changes  of the binary log
     */
    private function __construct(public array $tables, public array $changes) {}

    /** Nobody waits for it but in the instant in which two readers are brought to the same moment. */
    public static function into(string $file, string $database): self
    {
        [$gate, $reader] = [self::connection(), self::connection()];
        $gate->exec('flush tables with read lock');
        try {
            $dump = Programs::process('mariadb-dump', [
                '--no-defaults', '--socket='.StateFolder::path('run/db.sock'), '--user='.Programs::me(), '--single-transaction', '--master-data=2', '--skip-dump-date',
                '--hex-blob', '--max-allowed-packet=64M', "--result-file={$file}", $database,
            ]);
            $dump->start();
            $changes = self::position($file, fn (): bool => $dump->isRunning());
            $reader->exec('set session transaction isolation level repeatable read');
            $reader->exec('start transaction with consistent snapshot');
        } finally {
            $gate->exec('unlock tables');
        }
        $tables = TableHashes::of($reader, $database);
        if ($dump->wait() !== 0 || $changes === null) {
            throw new Unusable('The database could not be written out: '.trim(mb_substr($dump->getErrorOutput(), -300)));
        }

        return new self($tables, $changes);
    }

    private static function connection(): \PDO
    {
        return new \PDO('mysql:unix_socket='.StateFolder::path('run/db.sock').';charset=utf8mb4', Programs::me());
    }

    /**
     * The dump has its moment as soon as it has written this down.
     *
     * @param  \Closure(): bool  $isRunning
     * @return array{file: string, position: int}|null
     */
    private static function position(string $file, \Closure $isRunning): ?array
    {
        for ($try = 0; $try < self::HEADER_WITHIN * 100; $try++) {
            $goesOn = $isRunning();
            $head = is_file($file) ? (string) file_get_contents($file, length: 4096) : '';
            if (preg_match("/MASTER_LOG_FILE='([^']+)', MASTER_LOG_POS=(\d+);/", $head, $found)) {
                return ['file' => $found[1], 'position' => (int) $found[2]];
            }
            if (! $goesOn) {
                return null;
            }
            usleep(10_000);
        }

        return null;
    }
}
