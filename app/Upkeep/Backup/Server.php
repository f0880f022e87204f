<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/** A database server of its own in a folder, reached over its socket alone. */
final class Server
{
    private const STARTS_WITHIN = 30;

    private const LOADER = 'loader';

    private readonly Process $process;

    private readonly string $sockets;

    /** Of the account that reads what came from elsewhere. */
    private readonly string $password;

    private function __construct(private readonly string $folder)
    {
        // The path of a socket is short by nature, and a state folder may lie deep.
        $this->sockets = sys_get_temp_dir().'/jardinier-'.bin2hex(random_bytes(6));
        mkdir("{$this->sockets}/files", 0700, recursive: true);
        $this->password = bin2hex(random_bytes(16));
        // Nothing that is written here counts before the server has ended well: it is flushed then.
        $this->process = Programs::process('mariadbd', [
            '--no-defaults', "--datadir={$folder}", "--tmpdir={$folder}-tmp", '--user='.Programs::me(), '--skip-networking', "--socket={$this->socket()}", "--pid-file={$this->sockets}/pid",
            '--character-set-server=utf8mb4', '--collation-server=utf8mb4_unicode_ci', '--innodb-buffer-pool-size=64M', '--innodb-flush-log-at-trx-commit=0', '--max-allowed-packet=64M',
            // Statements that came from elsewhere neither write nor read a file.
            "--secure-file-priv={$this->sockets}/files", '--local-infile=0',
        ]);
        $this->process->start();
    }

    /** Makes a database in a folder that is not there yet, and serves it. */
    public static function in(string $folder): self
    {
        // Servers that share a place for what a query needs for a moment throw each other's away.
        mkdir("{$folder}-tmp", 0700);
        Programs::run('mariadb-install-db', ['--no-defaults', "--datadir={$folder}", "--tmpdir={$folder}-tmp", '--user='.Programs::me(), '--skip-test-db', '--auth-root-authentication-method=socket', '--auth-root-socket-user='.Programs::me()]);
        $server = new self($folder);
        $server->awaitAnswer();

        return $server;
    }

    public function socket(): string
    {
        return "{$this->sockets}/db.sock";
    }

    public function connection(): \PDO
    {
        return new \PDO("mysql:unix_socket={$this->socket()};charset=utf8mb4", Programs::me());
    }

    /** Reads statements that came from elsewhere into a database, as an account that may do nothing besides. */
    public function load(string $file, string $database): void
    {
        $this->connection()->exec("create database if not exists `{$database}` character set utf8mb4 collate utf8mb4_unicode_ci");
        $this->connection()->exec('create user '.self::LOADER."@localhost identified by '{$this->password}'");
        $this->connection()->exec("grant all on `{$database}`.* to ".self::LOADER.'@localhost');
        try {
            $this->run(fopen($file, 'r'), $database, self::LOADER, ['MYSQL_PWD' => $this->password]);
        } finally {
            $this->connection()->exec('drop user '.self::LOADER.'@localhost');
        }
    }

    /**
     * What the yard itself wrote.
     *
     * @param  resource|false|iterable<string>  $statements
     */
    public function execute(mixed $statements, string $database): void
    {
        $this->run($statements, $database, Programs::me());
    }

    /**
     * @param  resource|false|iterable<string>  $statements
     * @param  array<string, string>  $environment
     */
    private function run(mixed $statements, string $database, string $as, array $environment = []): void
    {
        Programs::run('mariadb', ['--no-defaults', "--socket={$this->socket()}", "--user={$as}", '--max-allowed-packet=64M', '--binary-mode', '--local-infile=0', $database], $statements, $environment);
    }

    /** Ends it; what was written is then on the disk. */
    public function end(): void
    {
        $this->process->signal(SIGTERM);
        $this->process->wait();
        array_map(File::deleteDirectory(...), [$this->sockets, "{$this->folder}-tmp"]);
        if ($this->process->getExitCode() !== 0) {
            throw new Unusable("The database in {$this->folder} did not end well: ".mb_substr($this->process->getErrorOutput(), -300));
        }
    }

    private function awaitAnswer(): void
    {
        for ($try = 0; $try < self::STARTS_WITHIN * 20; $try++) {
            try {
                $this->connection();

                return;
            } catch (\PDOException) {
                usleep(50_000);
            }
        }
        throw new Unusable('A database to try the backup in did not start: '.mb_substr($this->process->getErrorOutput(), -300));
    }
}
