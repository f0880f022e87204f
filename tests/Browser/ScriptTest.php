<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\Ports;
use Tests\Started;

/** `./jardinier start` as a stranger would use it: an empty yard on ports of its own, beside whatever else runs. */
final class ScriptTest extends TestCase
{
    private Started $yard;

    protected function setUp(): void
    {
        $this->yard = new Started;
    }

    protected function tearDown(): void
    {
        $this->yard->end();
    }

    public function test_an_empty_yard_is_started_gets_its_first_keeper_and_is_stopped(): void
    {
        [$code, $out] = $this->yard->jardinier('start', '--empty', '--detach', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $out);
        self::assertStringContainsString("Jardinier is at http://127.0.0.1:{$this->yard->port}", $out);
        self::assertStringContainsString('the first visit makes the first keeper', $out);
        self::assertStringContainsString((string) $this->yard->port, $this->yard->jardinier('status')[1]);

        $browser = new Browser($this->yard->address());
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

        [$code, $again] = $this->yard->jardinier('start', '--port', (string) $this->yard->port);
        self::assertSame([0, true], [$code, str_contains($again, 'Already running.')]);

        [$code, $kept] = $this->yard->jardinier('demo', '--reset', '--port', (string) $this->yard->port);
        self::assertSame(
            [1, true],
            [$code, str_contains($kept, 'This yard is not the demo: nothing of it is thrown away.')],
            $kept,
        );
        self::assertStringContainsString(
            'Nobody here signs in as "nobody".',
            $this->yard->jardinier('keeper', '--reset', '--name', 'nobody', '--port', (string) $this->yard->port)[1],
        );
        [$code, $reset] = $this->yard->jardinier('keeper', '--reset', '--port', (string) $this->yard->port);
        self::assertSame(
            [0, 1],
            [$code, preg_match('/^Ida Holm is keeper and signs in as ida with (\S+)$/m', $reset, $found)],
            $reset,
        );
        $ida = new Visitor("http://127.0.0.1:{$this->yard->port}", 'ida', $found[1]);
        self::assertSame('Ida Holm', $ida->ask('GET', '/session')['body']['person']['name']);

        $backup = $this->yard->state().'/longacre.backup';
        [$code, $backed] = $this->yard->jardinier('backup', $backup, '--verify', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $backed);
        self::assertStringContainsString('all as they were.', $backed);
        self::assertStringContainsString('It runs. Stop it first', $this->yard->jardinier('restore', $backup, '--port', (string) $this->yard->port)[1]);
        self::assertStringContainsString('Jardinier itself           runs for', $this->yard->jardinier('status')[1]);

        $this->assertNobodyElseReads();
        $pids = $this->yard->processes();
        self::assertGreaterThan(8, count($pids));
        self::assertStringContainsString(
            "Stopped the one on port {$this->yard->port}.",
            $this->yard->jardinier('stop', '--port', (string) $this->yard->port)[1],
        );
        self::assertSame([], $this->yard->processes());
    }

    public function test_what_cannot_be_done_is_said_in_one_sentence_and_leaves_nothing_behind(): void
    {
        $taken = stream_socket_server("tcp://127.0.0.1:{$this->yard->port}");
        $free = Ports::free(2);
        foreach ([
            [
                ['start', '--port', (string) $this->yard->port],
                "Port {$this->yard->port} is in use by another program. Choose another with --port.",
            ],
            [
                ['start', '--port', (string) $free, '--db-port', (string) $this->yard->port],
                "Port {$this->yard->port} is in use by another program. Choose another with --db-port.",
            ],
            [
                ['start', '--port', (string) $free, '--db-port', (string) $free],
                "The web and the database cannot both have port {$free}.",
            ],
            [['keeper'], 'Say ./jardinier keeper --reset'],
            [['keeper', '--reset', '--port', (string) $this->yard->port], "Nothing runs on port {$this->yard->port}."],
            [['start', '--port', 'eighty'], '"eighty" is no port.'],
            [['start', '--port', '80'], '"80" is no port to use.'],
            [['start', '--port'], '--port needs a number.'],
            [['start', '--fast'], 'start does not know "--fast".'],
            [['demo'], 'Say ./jardinier demo --reset'],
            [['restore'], 'Say which backup: ./jardinier restore FILE'],
            [['restore', '/nowhere'], '/nowhere cannot be read.'],
            [['backup', '--port', (string) $this->yard->port], "Nothing runs on port {$this->yard->port}."],
            [['at-boot', '--often'], 'at-boot does not know "--often".'],
            [['start', '--host', 'two words'], '"two words" is no name of a computer.'],
            [['demo', '--reset', '--port', (string) $this->yard->port], "Nothing runs on port {$this->yard->port}."],
            [['test', 'everything'], 'There is no suite "everything".'],
            [['dance'], 'There is no command "dance".'],
        ] as [$command, $says]) {
            [$code, $out] = $this->yard->jardinier(...$command);
            self::assertSame(1, $code, $out);
            self::assertStringContainsString($says, $out);
        }
        fclose($taken);
        self::assertDirectoryDoesNotExist($this->yard->state());
        self::assertDirectoryDoesNotExist(dirname($this->yard->state()).'/yard-'.$free);
    }

    public function test_the_unit_that_starts_it_with_the_computer_is_sound(): void
    {
        $folder = sys_get_temp_dir().'/jardinier-unit-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $unit = "{$folder}/jardinier-{$this->yard->port}.service";
        [$code, $written] = $this->yard->jardinier('at-boot', '--print', '--lan', '--host', 'yard.example', '--port', (string) $this->yard->port);
        file_put_contents($unit, $written);
        exec('systemd-analyze verify '.escapeshellarg($unit).' 2>&1', $out, $sound);
        exec('rm -rf '.escapeshellarg($folder));
        self::assertSame([0, 0, []], [$code, $sound, $out]);
        self::assertStringContainsString("\" start \"--lan\" \"--host\" \"yard.example\" \"--port\" \"{$this->yard->port}\"", $written);
        if (! is_dir('/run/systemd/system')) {
            self::assertStringContainsString('@reboot cd ', $this->yard->jardinier('at-boot', '--port', (string) $this->yard->port)[1]);
        }
    }

    public function test_a_folder_that_cannot_be_written_to_is_named(): void
    {
        $folder = sys_get_temp_dir().'/jardinier-'.bin2hex(random_bytes(4));
        mkdir($folder);
        exec(
            sprintf(
                'cp -r %1$s/jardinier %1$s/script %2$s && touch %2$s/var',
                escapeshellarg(dirname(__DIR__, 2)),
                escapeshellarg($folder),
            ),
        );
        exec(escapeshellarg($folder).'/jardinier start 2>&1', $out, $code);
        exec('rm -rf '.escapeshellarg($folder));

        self::assertSame(
            [
                1,
                [
                    "jardinier: Nothing can be written to {$folder}/var. Give whoever starts this the folder, or put the program elsewhere.",
                ],
            ],
            [$code, $out],
        );
    }

    private function assertNobodyElseReads(): void
    {
        foreach ([$this->yard->state(), ...array_filter(glob($this->yard->state().'/{.env,cache/*,run/*,log/*,storage/*}', GLOB_BRACE) ?: [], fn (string $path): bool => filetype($path) !== 'socket')] as $path) {
            // Where root starts it the web workers are a group of their own, for what they need.
            $isWorkers = posix_geteuid() === 0 && preg_match('~/(cache/[^/]+|storage/[^/]+|run/seen\.json|yard-\d+)$~', $path) === 1;
            self::assertSame(0, fileperms($path) & ($isWorkers ? 0007 : 0077), $path);
        }
        preg_match('/^DB_PASSWORD=(\S+)$/m', (string) file_get_contents($this->yard->state().'/.env'), $password);
        self::assertStringNotContainsString($password[1], (string) shell_exec('ps -eo args'));
    }
}
