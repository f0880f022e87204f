<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;

/** `./jardinier start` as a stranger would use it: an empty yard on ports of its own, beside whatever else runs. */
final class ScriptTest extends TestCase
{
    private int $port;

    protected function setUp(): void
    {
        $this->port = self::freePort();
    }

    protected function tearDown(): void
    {
        $this->jardinier('stop', '--port', (string) $this->port);
        exec('rm -rf '.escapeshellarg($this->state()));
    }

    public function test_an_empty_yard_is_started_gets_its_first_keeper_and_is_stopped(): void
    {
        [$code, $out] = $this->jardinier('start', '--empty', '--detach', '--port', (string) $this->port);
        self::assertSame(0, $code, $out);
        self::assertStringContainsString("Jardinier is at http://127.0.0.1:{$this->port}", $out);
        self::assertStringContainsString('the first visit makes the first keeper', $out);
        self::assertStringContainsString((string) $this->port, $this->jardinier('status')[1]);

        $browser = new Browser("http://127.0.0.1:{$this->port}");
        try {
            $browser->open('/');
            $browser->see('A new yard');
            $browser->type('The yard\'s name', 'Longacre');
            $browser->type('Your name', 'Ida Holm');
            $browser->type('Sign-in name', 'ida');
            $browser->type('Password', 'short');
            $browser->press('Make the yard and its keeper');
            $browser->see('At least 10 characters.');
            $browser->type('Password', 'quite long enough');
            $browser->press('Make the yard and its keeper');
            $browser->see('No machine is in the book yet.');
            $browser->press('Add the first machine');
            $browser->see('A rulebook to begin with');
        } finally {
            $browser->quit();
        }

        [$code, $again] = $this->jardinier('start', '--port', (string) $this->port);
        self::assertSame([0, true], [$code, str_contains($again, 'Already running.')]);
        $pids = array_map(fn (string $file): int => (int) file_get_contents($file), glob($this->state().'/run/*.pid') ?: []);
        self::assertCount(4, $pids);
        self::assertStringContainsString("Stopped the one on port {$this->port}.", $this->jardinier('stop', '--port', (string) $this->port)[1]);
        foreach ($pids as $pid) {
            self::assertFalse(posix_kill($pid, 0) && ! str_contains((string) @file_get_contents("/proc/{$pid}/status"), 'zombie'), "process {$pid} goes on");
        }
    }

    public function test_a_killed_start_is_taken_up_again(): void
    {
        [$code, $out] = $this->jardinier('start', '--empty', '--detach', '--port', (string) $this->port);
        self::assertSame(0, $code, $out);
        $pid = (int) file_get_contents($this->state().'/run/start.pid');
        self::assertGreaterThan(1, $pid);
        posix_kill($pid, SIGKILL);
        usleep(200_000);
        self::assertStringContainsString('Nothing is running.', $this->jardinier('status', '--port', (string) $this->port)[1]);

        [$code, $out] = $this->jardinier('start', '--empty', '--detach', '--port', (string) $this->port);
        self::assertSame(0, $code, $out);
    }

    public function test_what_cannot_be_done_is_said_in_one_sentence_and_leaves_nothing_behind(): void
    {
        $taken = stream_socket_server("tcp://127.0.0.1:{$this->port}");
        $free = self::freePort();
        foreach ([
            [['start', '--port', (string) $this->port], "Port {$this->port} is in use by another program. Choose another with --port."],
            [['start', '--port', (string) $free, '--db-port', (string) $this->port], "Port {$this->port} is in use by another program. Choose another with --db-port."],
            [['start', '--port', 'eighty'], '"eighty" is no port.'],
            [['start', '--port', '80'], '"80" is no port to use.'],
            [['start', '--port'], '--port needs a number.'],
            [['start', '--fast'], 'start does not know "--fast".'],
            [['demo'], 'Say ./jardinier demo --reset'],
            [['demo', '--reset', '--port', (string) $this->port], "Nothing runs on port {$this->port}."],
            [['test', 'everything'], 'There is no suite "everything".'],
            [['dance'], 'There is no command "dance".'],
        ] as [$command, $says]) {
            [$code, $out] = $this->jardinier(...$command);
            self::assertSame(1, $code, $out);
            self::assertStringContainsString($says, $out);
        }
        fclose($taken);
        self::assertDirectoryDoesNotExist($this->state());
        self::assertDirectoryDoesNotExist(dirname($this->state()).'/yard-'.$free);
    }

    private static function freePort(): int
    {
        return (int) explode(':', (string) stream_socket_get_name(stream_socket_server('tcp://127.0.0.1:0'), false))[1];
    }

    private function state(): string
    {
        return dirname(__DIR__, 2)."/var/yard-{$this->port}";
    }

    /** @return array{int, string} exit code, and all it said */
    private function jardinier(string ...$command): array
    {
        $log = (string) tempnam(sys_get_temp_dir(), 'jardinier');
        $process = proc_open([dirname(__DIR__, 2).'/jardinier', ...$command], [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']], $pipes);
        $code = proc_close($process);
        $out = (string) file_get_contents($log);
        unlink($log);

        return [$code, $out];
    }
}
