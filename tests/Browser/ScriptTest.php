<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;

/** `./jardinier start` as a stranger would use it: an empty yard on ports of its own, beside whatever else runs. */
final class ScriptTest extends TestCase
{
    private int $port;

    /** @var list<int> process groups that were seen to run */
    private array $groups = [];

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

        [$code, $kept] = $this->jardinier('demo', '--reset', '--port', (string) $this->port);
        self::assertSame(
            [1, true],
            [$code, str_contains($kept, 'This yard is not the demo: nothing of it is thrown away.')],
            $kept,
        );
        self::assertStringContainsString(
            'Nobody here signs in as "nobody".',
            $this->jardinier('keeper', '--reset', '--name', 'nobody', '--port', (string) $this->port)[1],
        );
        [$code, $reset] = $this->jardinier('keeper', '--reset', '--port', (string) $this->port);
        self::assertSame(
            [0, 1],
            [$code, preg_match('/^Ida Holm is keeper and signs in as ida with (\S+)$/m', $reset, $found)],
            $reset,
        );
        $ida = new Visitor("http://127.0.0.1:{$this->port}", 'ida', $found[1]);
        self::assertSame('Ida Holm', $ida->ask('GET', '/session')['body']['person']['name']);

        $this->assertNobodyElseReads();
        $pids = $this->processes();
        self::assertGreaterThan(8, count($pids));
        self::assertStringContainsString(
            "Stopped the one on port {$this->port}.",
            $this->jardinier('stop', '--port', (string) $this->port)[1],
        );
        self::assertSame([], $this->processes());
    }

    public function test_what_dies_is_started_again_and_meanwhile_requests_are_told_when_to_ask_again(): void
    {
        $start = ['start', '--empty', '--detach', '--port', (string) $this->port];
        $settings = fn (): string => (string) file_get_contents($this->state().'/.env');
        [$code, $out] = $this->jardinier(...$start);
        self::assertSame(0, $code, $out);
        $this->oneFirstKeeperAndNeverNone();
        foreach (['nginx' => [0], 'fpm' => [503], 'database' => [503]] as $program => $expected) {
            posix_kill($this->master($program), SIGKILL);
            $seen = $this->statusesUntilItAnswers();
            self::assertSame(
                [],
                array_diff(array_keys($seen), [200, 0, ...$expected]),
                "{$program} ".json_encode($seen),
            );
        }
        posix_kill($this->master('database'), SIGSTOP);
        posix_kill($this->master('database'), SIGKILL);
        [$status, $headers, $body] = $this->ask();
        self::assertSame([503, '/problems/unavailable'], [$status, json_decode($body, true)['type'] ?? ''], $body);
        self::assertStringContainsString('Retry-After: 5', $headers);
        $this->statusesUntilItAnswers();

        // The supervisor itself is killed: what it watched dies with it, and workers that live on hold up no later
        // start.
        file_put_contents($this->state().'/.env', "TRUSTED_PROXIES=10.0.0.1\n", FILE_APPEND);
        posix_kill((int) file_get_contents($this->state().'/run/supervisord.pid'), SIGKILL);
        $this->until(
            fn (): bool => str_contains(
                $this->jardinier('status', '--port', (string) $this->port)[1],
                'Nothing is running.',
            ),
        );
        [$one, $other] = [$this->begin($start), $this->begin($start)];
        self::assertSame(
            [0, 0],
            [proc_close($one), proc_close($other)],
            'two starts at once do not take each other down',
        );
        $this->statusesUntilItAnswers();
        self::assertStringContainsString("TRUSTED_PROXIES=10.0.0.1\n", $settings());
        self::assertSame(1, substr_count($settings(), 'DB_PASSWORD='));
    }

    public function test_a_killed_start_is_taken_up_again(): void
    {
        [$code, $out] = $this->jardinier('start', '--empty', '--detach', '--port', (string) $this->port);
        self::assertSame(0, $code, $out);
        $pid = (int) file_get_contents($this->state().'/run/start.pid');
        self::assertGreaterThan(1, $pid);
        // As if it had been interrupted between making the tables and noting that they are made.
        exec(
            sprintf(
                'mariadb --no-defaults --socket=%s --user=%s jardinier --execute "delete from migrations"',
                escapeshellarg($this->state().'/run/db.sock'),
                escapeshellarg(posix_getpwuid(posix_geteuid())['name'] ?? ''),
            ),
            $out,
            $code,
        );
        self::assertSame(0, $code);
        posix_kill($pid, SIGKILL);
        $this->until(fn (): bool => $this->processes() === []);
        self::assertStringContainsString(
            'Nothing is running.',
            $this->jardinier('status', '--port', (string) $this->port)[1],
        );

        [$code, $out] = $this->jardinier('start', '--empty', '--detach', '--port', (string) $this->port);
        self::assertSame(0, $code, $out);
    }

    public function test_what_cannot_be_done_is_said_in_one_sentence_and_leaves_nothing_behind(): void
    {
        $taken = stream_socket_server("tcp://127.0.0.1:{$this->port}");
        $free = self::freePort();
        foreach ([
            [
                ['start', '--port', (string) $this->port],
                "Port {$this->port} is in use by another program. Choose another with --port.",
            ],
            [
                ['start', '--port', (string) $free, '--db-port', (string) $this->port],
                "Port {$this->port} is in use by another program. Choose another with --db-port.",
            ],
            [
                ['start', '--port', (string) $free, '--db-port', (string) $free],
                "The web and the database cannot both have port {$free}.",
            ],
            [['keeper'], 'Say ./jardinier keeper --reset'],
            [['keeper', '--reset', '--port', (string) $this->port], "Nothing runs on port {$this->port}."],
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

    /** Six who would be first make one, and two keepers who demote each other at once leave one. */
    private function oneFirstKeeperAndNeverNone(): void
    {
        $address = "http://127.0.0.1:{$this->port}";
        $stranger = new Visitor($address, 'nobody', 'nothing');
        $answers = Visitor::together(
            array_map(
                fn (int $number): \CurlHandle => $stranger->request(
                    'POST',
                    '/first-keeper',
                    [
                        'yard' => "Yard {$number}",
                        'time_zone' => 'Europe/London',
                        'distance_unit' => 'km',
                        'name' => "Keeper {$number}",
                        'sign_in_name' => "keeper{$number}",
                        'password' => 'quite long enough',
                    ],
                ),
                range(1, 6),
            ),
        );
        $statuses = array_column($answers, 'status');
        sort($statuses);
        self::assertSame([201, 409, 409, 409, 409, 409], $statuses);
        $first = array_values(
            array_filter($answers, fn (array $answer): bool => $answer['status'] === 201),
        )[0]['body']['person'];
        $one = new Visitor($address, $first['sign_in_name'], 'quite long enough');
        $second = $one->ask(
            'POST',
            '/people',
            ['name' => 'Other', 'sign_in_name' => 'other', 'password' => 'quite long enough', 'role' => 'keeper'],
        )['body'];
        $other = new Visitor($address, 'other', 'quite long enough');
        $demote = fn (Visitor $by, array $whom): \CurlHandle => $by->request(
            'PATCH',
            "/people/{$whom['id']}",
            ['role' => 'reader'],
            ['If-Match: "1"'],
        );
        Visitor::together([$demote($one, $second), $demote($other, $first)]);
        $roles = array_map(
            fn (array $who): string => (string) (new Visitor($address, $who['sign_in_name'], 'quite long enough'))->ask('GET', '/session')['body']['person']['role'],
            [$first, $second],
        );
        sort($roles);
        self::assertSame(['keeper', 'reader'], $roles);
    }

    private function assertNobodyElseReads(): void
    {
        foreach ([$this->state(), ...array_filter(glob($this->state().'/{.env,cache/*,run/*,log/*,storage/*}', GLOB_BRACE) ?: [], fn (string $path): bool => filetype($path) !== 'socket')] as $path) {
            self::assertSame(0, fileperms($path) & 0077, $path);
        }
        preg_match('/^DB_PASSWORD=(\S+)$/m', (string) file_get_contents($this->state().'/.env'), $password);
        self::assertStringNotContainsString($password[1], (string) shell_exec('ps -eo args'));
    }

    /** @return list<int> of everything that this start runs, or has run */
    private function processes(): array
    {
        foreach (glob($this->state().'/run/{*.group,*.pid}', GLOB_BRACE) ?: [] as $note) {
            $this->groups[] = (int) file_get_contents($note);
        }
        $found = [];
        foreach (glob('/proc/[0-9]*/stat') ?: [] as $file) {
            // After the name, which may hold anything: state, parent, process group.
            [$state, , $group] = [
                ...explode(' ', substr((string) strrchr((string) @file_get_contents($file), ')'), 2)),
                '',
                '',
                '',
            ];
            $pid = (int) basename(dirname($file));
            if ($state !== 'Z' && $state !== '' && array_intersect([$pid, (int) $group], $this->groups) !== []) {
                $found[] = $pid;
            }
        }

        return $found;
    }

    private function master(string $program): int
    {
        return (int) file_get_contents($this->state()."/run/{$program}.group");
    }

    /** @return array<int, true> the statuses seen before it answered again */
    private function statusesUntilItAnswers(): array
    {
        $seen = [];
        $this->until(function () use (&$seen): bool {
            [$status] = $this->ask();
            $seen[$status] = true;

            return $status === 200;
        });

        return $seen;
    }

    /** @return array{int, string, string} status (0 where nobody answers), headers, body */
    private function ask(): array
    {
        $request = curl_init("http://127.0.0.1:{$this->port}/api/session");
        curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_TIMEOUT => 10]);
        [$headers, $body] = [...explode("\r\n\r\n", (string) curl_exec($request), 2), '', ''];

        return [(int) curl_getinfo($request, CURLINFO_RESPONSE_CODE), $headers, $body];
    }

    /** @param  \Closure(): bool  $holds */
    private function until(\Closure $holds): void
    {
        for ($deadline = microtime(true) + 40; microtime(true) < $deadline; usleep(100_000)) {
            if ($holds()) {
                return;
            }
        }
        self::fail('Waited in vain. '.(string) @file_get_contents($this->state().'/log/supervisord.log'));
    }

    private static function freePort(): int
    {
        return (int) explode(':', (string) stream_socket_get_name(stream_socket_server('tcp://127.0.0.1:0'), false))[1];
    }

    private function state(): string
    {
        return dirname(__DIR__, 2)."/var/yard-{$this->port}";
    }

    /**
     * @param  list<string>  $command
     * @return resource
     */
    private function begin(array $command, string $log = '/dev/null')
    {
        return proc_open(
            [dirname(__DIR__, 2).'/jardinier', ...$command],
            [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
            $pipes,
        )
            ?: throw new \RuntimeException('It did not start.');
    }

    /** @return array{int, string} exit code, and all it said */
    private function jardinier(string ...$command): array
    {
        $log = (string) tempnam(sys_get_temp_dir(), 'jardinier');
        $code = proc_close($this->begin($command, $log));
        $out = (string) file_get_contents($log);
        unlink($log);

        return [$code, $out];
    }
}
