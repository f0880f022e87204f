<?php

declare(strict_types=1);

namespace Tests;

use PHPUnit\Framework\Assert;

/** A yard that `./jardinier start` serves on ports of its own, beside whatever else runs. */
final class Started
{
    /** The first of four that are its own: the database has the next, the door for phones the one after or what it is given. */
    public readonly int $port;

    /** @var list<int> process groups that were seen to run */
    private array $groups = [];

    public function __construct(private readonly string $scheme = 'http')
    {
        $this->port = Ports::free(4);
    }

    /** Ends it, and all that it wrote. */
    public function end(): void
    {
        $this->jardinier('stop', '--port', (string) $this->port);
        exec('rm -rf '.escapeshellarg($this->state()));
    }

    /** Starts it and comes back when it answers. */
    public function start(string ...$options): string
    {
        [$code, $out] = $this->jardinier('start', '--detach', '--port', (string) $this->port, ...$options);
        Assert::assertSame(0, $code, $out);

        return $out;
    }

    public function address(): string
    {
        return "{$this->scheme}://127.0.0.1:{$this->port}";
    }

    /** @return list<int> of everything that this start runs, or has run */
    public function processes(): array
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

    public function master(string $program): int
    {
        return (int) file_get_contents($this->state()."/run/{$program}.group");
    }

    /** @return array<int, true> the statuses seen before it answered again */
    public function statusesUntilItAnswers(): array
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
    public function ask(string $path = '/api/session'): array
    {
        $request = curl_init("{$this->address()}{$path}");
        curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_TIMEOUT => 10, CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0]);
        [$headers, $body] = [...explode("\r\n\r\n", (string) curl_exec($request), 2), '', ''];

        return [(int) curl_getinfo($request, CURLINFO_RESPONSE_CODE), $headers, $body];
    }

    /** @param  \Closure(): bool  $holds */
    public function until(\Closure $holds): void
    {
        for ($deadline = microtime(true) + 40; microtime(true) < $deadline; usleep(100_000)) {
            if ($holds()) {
                return;
            }
        }
        Assert::fail('Waited in vain. '.(string) @file_get_contents($this->state().'/log/supervisord.log'));
    }

    public function state(): string
    {
        return dirname(__DIR__)."/var/yard-{$this->port}";
    }

    /**
     * @param  list<string>  $command
     * @return resource
     */
    public function begin(array $command, string $log = '/dev/null')
    {
        return proc_open(
            [dirname(__DIR__).'/jardinier', ...$command],
            [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
            $pipes,
        )
            ?: throw new \RuntimeException('It did not start.');
    }

    /** @return array{int, string} exit code, and all it said */
    public function jardinier(string ...$command): array
    {
        $log = (string) tempnam(sys_get_temp_dir(), 'jardinier');
        $code = proc_close($this->begin($command, $log));
        $out = (string) file_get_contents($log);
        unlink($log);

        return [$code, $out];
    }

    /** @return list<string> the first row that its database answers with */
    public function row(string $statements): array
    {
        exec(sprintf(
            'mariadb --no-defaults --socket=%s --user=%s --batch --skip-column-names jardinier --execute %s 2>&1',
            escapeshellarg($this->state().'/run/db.sock'),
            escapeshellarg(posix_getpwuid(posix_geteuid())['name'] ?? ''),
            escapeshellarg($statements),
        ), $rows, $code);
        Assert::assertSame(0, $code, implode("\n", $rows));

        return explode("\t", $rows[0] ?? '');
    }
}
