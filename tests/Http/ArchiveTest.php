<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Upkeep\Backup\Archive;
use App\Upkeep\Backup\BackupFile;
use App\Upkeep\Backup\Manifest;
use App\Upkeep\Backup\PutBack;
use App\Upkeep\Backup\Server;
use App\Upkeep\Backup\Unusable;
use Illuminate\Support\Facades\File;
use PHPUnit\Framework\Attributes\DataProvider;

/** Backups that somebody made or changed so that they do more than hold a yard. Checksums are remade: who changes one remakes them. */
final class ArchiveTest extends TestCase
{
    private const PHOTO = 'photos/ab/abcd.jpg';

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = (string) realpath(sys_get_temp_dir()).'/archive-'.bin2hex(random_bytes(4));
        mkdir("{$this->folder}/in", recursive: true);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_what_was_packed_comes_out_as_it_was(): void
    {
        $files = ['database.sql' => 'select 1;', 'keys/app.key' => 'k', self::PHOTO => random_bytes(3000)];
        $this->write($files);
        BackupFile::pack("{$this->folder}/in", "{$this->folder}/yard.backup", null);

        $manifest = Archive::unpack("{$this->folder}/yard.backup", $this->out());
        self::assertSame('Coldbrook', $manifest->yard);
        foreach ($files as $path => $content) {
            self::assertSame($content, file_get_contents("{$this->out()}/{$path}"));
        }
    }

    /** @param  \Closure(self): string  $make  a file */
    #[DataProvider('tampered')]
    public function test_what_is_more_than_a_backup_is_refused_before_anything_of_it_is_written(\Closure $make, string $says): void
    {
        $file = $make($this);
        $began = hrtime(true);
        try {
            Archive::unpack($file, $this->out());
            self::fail('taken');
        } catch (Unusable $refused) {
            self::assertStringContainsString($says, $refused->getMessage());
        }
        self::assertLessThan(1.0, (hrtime(true) - $began) / 1e9);
        $written = array_map(fn ($file): string => $file->getRelativePathname(), File::allFiles($this->out()));
        $named = $says === 'not as it was' ? [self::PHOTO] : [];
        self::assertSame([], array_diff($written, [Manifest::FILE, 'database.sql', ...$named]));
        self::assertLessThan(10_000, array_sum(array_map(fn ($file): int => (int) $file->getSize(), File::allFiles($this->out()))));
    }

    /** @return iterable<string, array{\Closure(self): string, string}> */
    public static function tampered(): iterable
    {
        yield 'a link' => [fn (self $test): string => $test->packed([self::PHOTO => ['2', '', '/etc/hostname']]), 'neither a file nor a folder'];
        yield 'a hard link' => [fn (self $test): string => $test->packed([self::PHOTO => ['1', '', 'keys/app.key']]), 'neither a file nor a folder'];
        yield 'a device' => [fn (self $test): string => $test->packed([self::PHOTO => ['3', '', '']]), 'neither a file nor a folder'];
        yield 'a path that leads out' => [fn (self $test): string => $test->packed(['photos/../../evil' => ['0', 'x', '']]), 'does not name'];
        yield 'a path from the root' => [fn (self $test): string => $test->packed(['/tmp/evil' => ['0', 'x', '']]), 'does not name'];
        yield 'what is named, but is none of a backup' => [fn (self $test): string => $test->packed(['keys/authorized_keys' => ['0', 'x', '']]), 'does not name'];
        yield 'what is not named' => [fn (self $test): string => $test->packed([self::PHOTO => ['0', 'x', '']], named: []), 'does not name'];
        yield 'the same twice' => [fn (self $test): string => $test->packed(['database.sql' => ['0', 'x', '']]), 'does not name'];
        yield 'another content' => [fn (self $test): string => $test->packed([self::PHOTO => ['0', 'x', '']], named: [self::PHOTO => ['bytes' => 1, 'sha256' => hash('sha256', 'y')]]), 'not as it was'];
        yield 'something missing' => [fn (self $test): string => $test->packed([], named: [self::PHOTO => ['bytes' => 1, 'sha256' => hash('sha256', 'x')]]), 'is missing'];
        yield '400 MB of zeros in a megabyte' => [fn (self $test): string => $test->bomb(), 'not as large as its manifest says'];
        yield 'a manifest of an older form, which named no sizes' => [fn (self $test): string => $test->older(), 'an older Jardinier'];
        yield 'a folder with a name of its own' => [fn (self $test): string => $test->packed(['etc/' => ['5', '', '']]), 'neither a file nor a folder'];
    }

    public function test_keys_are_what_they_are_called(): void
    {
        foreach ([
            ["base64:x|;1e touch /tmp/x\n#", null, null],
            ['base64:'.base64_encode(random_bytes(31)), null, null],
            ['base64:'.base64_encode(random_bytes(32))."\n", null, null],
            ['base64:'.base64_encode(random_bytes(32)), 'no certificate', 'no key'],
            ['base64:'.base64_encode(random_bytes(32)), null, 'half'],
        ] as [$app, $certificate, $key]) {
            $keys = "{$this->folder}/keys";
            File::deleteDirectory($keys);
            mkdir($keys);
            foreach (array_filter(['app.key' => $app, 'authority.crt' => $certificate, 'authority.key' => $key]) as $name => $content) {
                file_put_contents("{$keys}/{$name}", $content);
            }
            try {
                PutBack::refuseWrongKeys($keys);
                self::fail((string) $app);
            } catch (Unusable) {
                self::assertTrue(true);
            }
        }
        File::deleteDirectory($keys);
        mkdir($keys);
        file_put_contents("{$keys}/app.key", 'base64:'.base64_encode(random_bytes(32)));
        PutBack::refuseWrongKeys($keys);
    }

    public function test_statements_from_elsewhere_write_and_read_no_file_and_see_no_other_database(): void
    {
        $server = Server::in("{$this->folder}/db");
        $file = "{$this->folder}/evil.sql";
        try {
            foreach ([
                "select 'x' into outfile '{$this->folder}/written'",
                "select load_file('/etc/hostname') is not null into @x; create table t (x int); insert into t values (if(@x, 1, 1 / (select 0 from nowhere)))",
                "create table l (x text); load data local infile '/etc/hostname' into table l",
                'create database other',
                'create user evil@localhost',
                "set global general_log_file = '{$this->folder}/written'",
                'update mysql.global_priv set priv = priv',
                'create definer = root@localhost procedure p() select 1',
            ] as $statement) {
                file_put_contents($file, "{$statement};\n");
                try {
                    $server->load($file, 'jardinier');
                    self::fail("done: {$statement}");
                } catch (Unusable) {
                    self::assertFileDoesNotExist("{$this->folder}/written");
                }
            }
            file_put_contents($file, "create table good (x int); insert into good values (1);\n");
            $server->load($file, 'jardinier');
            self::assertSame(1, (int) $server->connection()->query('select count(*) from jardinier.good')?->fetchColumn());
            self::assertSame([], $server->connection()->query("select user from mysql.global_priv where user = 'loader'")?->fetchAll());
        } finally {
            $server->end();
        }
    }

    private function out(): string
    {
        File::ensureDirectoryExists("{$this->folder}/out");

        return "{$this->folder}/out";
    }

    /** @param  array<string, string>  $files */
    private function write(array $files): void
    {
        foreach ($files as $path => $content) {
            File::ensureDirectoryExists(dirname("{$this->folder}/in/{$path}"));
            file_put_contents("{$this->folder}/in/{$path}", $content);
        }
        $this->manifest(BackupFile::contents("{$this->folder}/in"))->write("{$this->folder}/in");
    }

    /** @param  array<string, array{bytes: int, sha256: string}>  $files */
    private function manifest(array $files): Manifest
    {
        return new Manifest(new \DateTimeImmutable('2026-05-14'), '0a0b0c0d-0000-4000-8000-000000000000', 'Coldbrook', 'UTC', [], ['file' => 'x', 'position' => 1], [], $files);
    }

    /**
     * A database, and what somebody put beside it.
     *
     * @param  array<string, array{string, string, string}>  $more  kind, content and target by name
     * @param  array<string, array{bytes: int, sha256: string}>|null  $named  null for all of them, as they are
     */
    private function packed(array $more, ?array $named = null): string
    {
        $named ??= array_map(fn (array $one): array => ['bytes' => strlen($one[1]), 'sha256' => hash('sha256', $one[1])], $more);
        $sql = 'select 1;';
        $this->manifest(['database.sql' => ['bytes' => strlen($sql), 'sha256' => hash('sha256', $sql)], ...array_diff_key($named, ['database.sql' => 0])])->write("{$this->folder}/in");
        $tar = self::member(Manifest::FILE, '0', (string) file_get_contents("{$this->folder}/in/".Manifest::FILE)).self::member('database.sql', '0', $sql);
        foreach ($more as $name => [$kind, $content, $target]) {
            $tar .= self::member($name, $kind, $content, $target);
        }

        return $this->gzipped($tar.str_repeat("\0", 1024));
    }

    private function bomb(): string
    {
        $this->manifest(['database.sql' => ['bytes' => 9, 'sha256' => hash('sha256', 'select 1;')]])->write("{$this->folder}/in");
        $file = "{$this->folder}/bomb";
        $stream = gzopen($file, 'wb9');
        gzwrite($stream, self::member(Manifest::FILE, '0', (string) file_get_contents("{$this->folder}/in/".Manifest::FILE)));
        gzwrite($stream, self::header('database.sql', '0', 400 * 1024 * 1024));
        $zeros = str_repeat("\0", 1024 * 1024);
        for ($megabyte = 0; $megabyte < 400; $megabyte++) {
            gzwrite($stream, $zeros);
        }
        gzclose($stream);

        return $file;
    }

    private function older(): string
    {
        return $this->gzipped(self::member(Manifest::FILE, '0', '{"format": 1}'));
    }

    private function gzipped(string $tar): string
    {
        file_put_contents($file = "{$this->folder}/tampered", gzencode($tar));

        return $file;
    }

    private static function member(string $name, string $kind, string $content, string $target = ''): string
    {
        return self::header($name, $kind, strlen($content), $target).str_pad($content, (int) ceil(strlen($content) / 512) * 512, "\0");
    }

    private static function header(string $name, string $kind, int $size, string $target = ''): string
    {
        $header = pack('a100a8a8a8a12a12', $name, '0000600', '0000000', '0000000', sprintf('%011o', $size), '00000000000').'        '.$kind.pack('a100a8', $target, "ustar\x0000");
        $header = str_pad($header, 512, "\0");

        return substr_replace($header, sprintf("%06o\0 ", array_sum(array_map(ord(...), str_split($header)))), 148, 8);
    }
}
