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

    /** @return array{int, string} */
    private function restore(string $file, string ...$options): array
    {
        return $this->yard->jardinier('restore', $file, '--port', (string) $this->yard->port, ...$options);
    }
}
