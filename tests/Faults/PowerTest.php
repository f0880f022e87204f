<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Started;

/** Programs are killed, the power goes, the disk fills, the clock jumps: what was answered is not lost. */
final class PowerTest extends TestCase
{
    /** It must answer again by itself within so many seconds. */
    private const BACK_WITHIN = 10.0;

    private Started $yard;

    private ?Started $elsewhere = null;

    protected function setUp(): void
    {
        $this->yard = new Started;
    }

    protected function tearDown(): void
    {
        $this->elsewhere?->end();
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        exec('umount '.escapeshellarg($this->yard->state()).' 2>/dev/null');
        $this->yard->end();
    }

    public function test_each_program_is_killed_under_load_and_nothing_that_was_answered_is_lost(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        foreach (['nginx', 'fpm', 'database', 'clock', 'night'] as $program) {
            $killer = proc_open(['sh', '-c', "sleep 0.15; kill -9 -{$this->yard->master($program)}"], [], $pipes);
            self::assertIsResource($killer);
            for ($batch = 0; $batch < 4; $batch++) {
                $book->log(...$book->next(4));
            }
            proc_close($killer);
            $killed = microtime(true);
            while ($book->log(...$book->next()) === []) {
                self::assertLessThan(self::BACK_WITHIN, microtime(true) - $killed, "{$program} is back");
                usleep(200_000);
            }
        }
        // Of four at once the highest is written at least, for a lower one that comes after it is asked about: of the clock's
        // and the night's batches, which hold nothing up, and of each program when it is back.
        self::assertGreaterThanOrEqual(2 * 4 + 5, count($book->answered));
        self::assertSame([], $book->lost());
    }

    public function test_a_copy_of_a_running_yard_as_a_power_cut_leaves_it_starts_elsewhere_with_all_that_was_answered(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        for ($batch = 0; $batch < 10; $batch++) {
            $book->log(...$book->next(4));
        }
        $this->elsewhere = new Started;
        exec(sprintf('cp --archive %s %s', escapeshellarg($this->yard->state()), escapeshellarg($this->elsewhere->state())), $out, $code);
        self::assertSame(0, $code);
        $this->elsewhere->start();
        self::assertSame([], $book->lost($this->elsewhere));
        self::assertSame([200, true], [$this->yard->ask()[0], $book->log(...$book->next()) !== []], 'the one that was copied goes on');
    }

    public function test_a_restore_that_is_killed_half_way_leaves_the_old_state_or_the_new_one_whole(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        $book->log('11');
        $file = $this->yard->state().'/one.backup';
        self::assertSame(0, $this->yard->jardinier('backup', $file, '--port', (string) $this->yard->port)[0]);
        $book->log('12');
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        foreach ([1.0, 3.5, 5.0, 6.0] as $seconds) {
            $restore = proc_open(['setsid', dirname(__DIR__, 2).'/jardinier', 'restore', $file, '--replace', '--port', (string) $this->yard->port], [
                ['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w'],
            ], $pipes);
            self::assertIsResource($restore);
            usleep((int) ($seconds * 1_000_000));
            $isOver = ! proc_get_status($restore)['running'];
            posix_kill(-proc_get_status($restore)['pid'], SIGKILL);
            proc_close($restore);
            $this->yard->start();
            self::assertContains($book->hours(), $isOver ? ['11'] : ['11', '12'], "killed after {$seconds} s");
            $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        }
    }

    public function test_a_disk_that_fills_refuses_photographs_first_and_loses_nothing_when_it_is_full(): void
    {
        mkdir($this->yard->state(), recursive: true);
        exec('mount -t tmpfs -o size=900m tmpfs '.escapeshellarg($this->yard->state()).' 2>&1', $out, $code);
        if ($code !== 0) {
            self::markTestSkipped('Only root can make a small disk.');
        }
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        $book->log(...$book->next(4));
        self::assertNotSame([507], [$book->photo()]);

        $free = (int) disk_free_space($this->yard->state());
        exec(sprintf('fallocate --length %d %s', $free - 30_000_000, escapeshellarg($this->yard->state().'/ballast')));
        self::assertSame(507, $book->photo(), 'photographs are refused first');
        self::assertNotSame([], $book->log(...$book->next()), 'readings still go in');
        self::assertStringContainsString('"wanting"', $this->yard->ask('/api/health')[2]);

        exec(sprintf('dd if=/dev/zero of=%s bs=1M 2>/dev/null', escapeshellarg($this->yard->state().'/more')));
        self::assertStringContainsString('no room left on its disk', (string) json_encode($book->refusal()));
        for ($batch = 0; $batch < 5; $batch++) {
            $book->log(...$book->next(2));
        }
        exec(sprintf('rm %s %s', escapeshellarg($this->yard->state().'/ballast'), escapeshellarg($this->yard->state().'/more')));
        $freed = microtime(true);
        while ($book->log(...$book->next()) === []) {
            self::assertLessThan(self::BACK_WITHIN, microtime(true) - $freed, 'it goes on when there is room');
            usleep(200_000);
        }
        self::assertSame([], $book->lost());
    }

    public function test_a_clock_that_stands_before_the_last_entry_is_said_and_loses_nothing(): void
    {
        putenv('EXTRA_SETTINGS=APP_ENV=testing'."\n".'CLOCK_AHEAD_SECONDS='. 30 * 86400);
        try {
            $this->yard->start('--empty');
            $book = Book::begunIn($this->yard, 30 * 86400);
            $book->log(...$book->next(2));
        } finally {
            putenv('EXTRA_SETTINGS');
        }
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        $settings = $this->yard->state().'/.env';
        file_put_contents($settings, preg_replace('/^CLOCK_AHEAD_SECONDS=.*$/m', 'CLOCK_AHEAD_SECONDS=0', (string) file_get_contents($settings)));
        $out = $this->yard->start();
        self::assertStringContainsString('before the last entry in the book', $out);
        self::assertStringContainsString('"clock_right":false', $this->yard->ask('/api/health')[2]);
        self::assertSame([], $book->lost());
    }
}
