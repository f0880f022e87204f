<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Started;

/** A yard is backed up while it goes on, and put back: as it was, or as it stood at a moment after. */
final class BackupTest extends TestCase
{
    private Started $yard;

    private string $folder;

    protected function setUp(): void
    {
        $this->yard = new Started;
        $this->folder = sys_get_temp_dir().'/jardinier-backup-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        $this->yard->end();
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    public function test_a_yard_is_backed_up_proved_and_put_back_as_it_stood_at_a_moment(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        $book->log('11');
        $photo = $this->yard->state().'/storage/photos/ab/abcd.jpg';
        mkdir(dirname($photo), recursive: true);
        file_put_contents($photo, $taken = random_bytes(5000));
        [$code, $out] = $this->yard->jardinier('backup', $file = "{$this->folder}/yard.backup", '--verify', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $out);
        self::assertMatchesRegularExpression('/Put back into a server of its own: \d+ tables, \d+ rows, \d+ files, all as they were\./', $out);
        self::assertSame(0, fileperms($file) & 0077, 'nobody else reads it');
        $book->log('12');
        unlink($photo);
        sleep(2);
        $moment = gmdate('Y-m-d H:i:s');
        sleep(2);
        $book->log('13');

        self::assertSame([1, "jardinier: It runs. Stop it first: ./jardinier stop --port {$this->yard->port}\n"], $this->restore($file));
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        self::assertStringContainsString('There is a yard here already.', $this->restore($file)[1]);

        // Damaged, it takes nobody's place.
        $damaged = "{$this->folder}/damaged";
        $bytes = (string) file_get_contents($file);
        file_put_contents($damaged, substr_replace($bytes, chr(ord($bytes[2000]) ^ 1), 2000, 1));
        [$code, $out] = $this->restore($damaged, '--replace');
        self::assertSame(1, $code, $out);
        self::assertMatchesRegularExpression('/damaged|not as it was/', $out);
        [$code, $out] = $this->restore($file, '--replace', '--to', 'when it rained');
        self::assertStringContainsString('"when it rained" is no moment.', $out);
        [$code, $out] = $this->restore($file, '--replace', '--to', '2020-01-01 12:00');
        self::assertStringContainsString('nothing earlier can be made of it', $out);
        $this->yard->start();
        self::assertSame('13', $book->hours(), 'the old state stands');

        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        [$code, $out] = $this->restore($file, '--replace', '--to', $moment);
        self::assertSame(0, $code, $out);
        $this->yard->start();
        self::assertSame('12', $book->hours(), 'what was written up to the moment, and nothing after it');
        self::assertSame($taken, file_get_contents($photo), 'its photographs too');
        $elsewhere = new Started;
        try {
            [$code, $out] = $elsewhere->jardinier('restore', $file, '--port', (string) $elsewhere->port);
            self::assertSame(0, $code, $out);
            $elsewhere->start();
            self::assertSame('11', $book->hours($elsewhere), 'and on another computer, where there is no yard yet');
        } finally {
            $elsewhere->end();
        }
        self::assertNotEmpty(glob($this->yard->state().'/backups/before-restore-*'), 'after a backup of what was there');
    }

    /** Whoever has an open backup in their hands changes what they like, and remakes what it says of itself. */
    public function test_twelve_tampered_backups_take_nobodys_place(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        $book->log('11');
        $port = ['--port', (string) $this->yard->port];
        $this->yard->jardinier('backup', $good = "{$this->folder}/good.backup", ...$port);
        $this->yard->jardinier('stop', ...$port);
        $out = "{$this->folder}/came-out";
        $sql = fn (string $statement): \Closure => fn (string $in): int|false => file_put_contents("{$in}/database.sql", "{$statement};\n".file_get_contents("{$in}/database.sql"));
        $photo = fn (string $command): \Closure => function (string $in) use ($command): void {
            mkdir("{$in}/photos/ab");
            exec("cd {$in} && {$command}");
        };
        foreach ([
            'a key that is a program' => [fn (string $in) => file_put_contents("{$in}/keys/app.key", "x|;1e touch {$out}\n#"), 'The key in the backup is not a key.'],
            'a key with a line more' => [fn (string $in) => file_put_contents("{$in}/keys/app.key", "\nDB_PASSWORD=x", FILE_APPEND), 'The key in the backup is not a key.'],
            'half an authority' => [fn (string $in) => file_put_contents("{$in}/keys/authority.crt", 'x'), 'half of an authority'],
            'statements that write a file' => [$sql("select 'x' into outfile '{$out}'"), 'failed'],
            'statements that make an account' => [$sql('create user evil@localhost'), 'failed'],
            'statements that read a file of the client' => [$sql("create table l (x text); load data local infile '/etc/hostname' into table l"), 'failed'],
            'statements that run a program of the client' => [$sql("\\! touch {$out}"), 'failed'],
            'a link' => [$photo('ln -s /etc/hostname photos/ab/abcd.jpg'), 'neither a file nor a folder'],
            'a pipe' => [$photo('mkfifo photos/ab/abcd.jpg'), 'neither a file nor a folder'],
            'a file of another name' => [$photo('echo x >photos/ab/evil.php'), 'does not name'],
            'another number of rows' => [fn (string $in) => file_put_contents("{$in}/database.sql", "\ndelete from readings;\n", FILE_APPEND), 'came back otherwise'],
            'cut off' => [null, 'damaged or cut off'],
        ] as $name => [$change, $says]) {
            [$code, $said] = $this->restore($change === null ? $this->cut($good) : $this->tampered($good, $change), '--replace');
            self::assertSame(1, $code, "{$name}: {$said}");
            self::assertStringContainsString($says, $said, $name);
            self::assertFileDoesNotExist($out, $name);
        }
        $this->yard->start();
        self::assertSame('11', $book->hours(), 'what was there stands');
        $this->yard->jardinier('stop', ...$port);
        foreach (['first', 'straight after it'] as $time) {
            [$code, $said] = $this->restore($good, '--replace');
            self::assertSame(0, $code, "{$time}: {$said}");
            self::assertStringContainsString('whoever had it in their hands could have changed it', $said);
        }
    }

    public function test_a_line_that_nobody_can_read_stops_neither_start_nor_restore(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        $port = ['--port', (string) $this->yard->port];
        $this->yard->jardinier('backup', $open = "{$this->folder}/open.backup", ...$port);
        $this->yard->jardinier('stop', ...$port);
        $settings = $this->yard->state().'/.env';
        file_put_contents($settings, "BACKUP_PASSPHRASE=nine swans on the lower pond\nFOO=a b \"c\n\xFF\xFE=1\n\${X\n", FILE_APPEND);
        [$code, $said] = $this->restore($open, '--replace');
        self::assertSame(1, $code);
        self::assertStringContainsString('the passphrase lies in a file of its own now', $said);
        self::assertMatchesRegularExpression('/Line \d+ of \S+ cannot be read and was set aside: FOO=a b "c/', $said);
        self::assertStringContainsString('It is not sealed, and this yard seals its backups', $said);
        self::assertSame("nine swans on the lower pond\n", file_get_contents($this->yard->state().'/backup-passphrase'));
        self::assertSame(0, fileperms($this->yard->state().'/backup-passphrase') & 0077);
        self::assertStringNotContainsString('swans', (string) file_get_contents($settings));
        [$code, $said] = $this->restore($open, '--replace', '--unsealed');
        self::assertSame(0, $code, $said);
        file_put_contents($settings, "another bad line\n", FILE_APPEND);
        self::assertStringContainsString('another bad line', $this->yard->start());
        $this->yard->jardinier('backup', $sealed = "{$this->folder}/sealed.backup", ...$port);
        self::assertStringStartsWith('JARDINIER-SEALED-1', (string) file_get_contents($sealed));

        // Another yard's asks by both names.
        $elsewhere = new Started;
        try {
            $elsewhere->start('--empty');
            Book::begunIn($elsewhere);
            $elsewhere->jardinier('stop', '--port', (string) $elsewhere->port);
            [$code, $said] = $elsewhere->jardinier('restore', $open, '--replace', '--port', (string) $elsewhere->port);
            self::assertSame(1, $code);
            self::assertStringContainsString("That is a backup of Longacre, and here is Longacre. To put Longacre in the place of Longacre, say --over 'Longacre'.", $said);
            [$code, $said] = $elsewhere->jardinier('restore', $open, '--replace', '--over', 'Longacre', '--port', (string) $elsewhere->port);
            self::assertSame(0, $code, $said);
        } finally {
            $elsewhere->end();
        }
    }

    /** @param  \Closure(string): mixed  $change  of what lies in a folder */
    private function tampered(string $good, \Closure $change): string
    {
        $in = "{$this->folder}/in";
        exec("rm -rf {$in} && mkdir {$in} && tar -xzf {$good} -C {$in}");
        $change($in);
        $manifest = json_decode((string) file_get_contents("{$in}/manifest.json"), true);
        foreach (['database.sql', 'keys/app.key', 'keys/authority.crt'] as $path) {
            if (is_file("{$in}/{$path}")) {
                $manifest['files'][$path] = ['bytes' => filesize("{$in}/{$path}"), 'sha256' => hash_file('sha256', "{$in}/{$path}")];
            }
        }
        foreach (glob("{$in}/photos/ab/*") ?: [] as $path) {
            $manifest['files'][substr($path, strlen("{$in}/"))] = ['bytes' => 2, 'sha256' => hash('sha256', "x\n")];
        }
        file_put_contents("{$in}/manifest.json", json_encode($manifest));
        exec("cd {$in} && tar -czf {$this->folder}/tampered manifest.json database.sql keys photos");

        return "{$this->folder}/tampered";
    }

    private function cut(string $good): string
    {
        file_put_contents($cut = "{$this->folder}/cut", substr((string) file_get_contents($good), 0, -500));

        return $cut;
    }

    /** @return array{int, string} */
    private function restore(string $file, string ...$options): array
    {
        return $this->yard->jardinier('restore', $file, '--port', (string) $this->yard->port, ...$options);
    }
}
