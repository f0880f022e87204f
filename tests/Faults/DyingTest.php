<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\Started;

/** What is killed is started again, and what was answered is not lost by it. */
final class DyingTest extends TestCase
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

    public function test_what_dies_is_started_again_and_meanwhile_requests_are_told_when_to_ask_again(): void
    {
        $start = ['start', '--empty', '--detach', '--port', (string) $this->yard->port];
        $settings = fn (): string => (string) file_get_contents($this->yard->state().'/.env');
        [$code, $out] = $this->yard->jardinier(...$start);
        self::assertSame(0, $code, $out);
        $this->oneFirstKeeperAndNeverNone();
        foreach (['nginx' => [0], 'fpm' => [503], 'database' => [503]] as $program => $expected) {
            posix_kill($this->yard->master($program), SIGKILL);
            $seen = $this->yard->statusesUntilItAnswers();
            self::assertSame(
                [],
                array_diff(array_keys($seen), [200, 0, ...$expected]),
                "{$program} ".json_encode($seen),
            );
        }
        posix_kill($this->yard->master('database'), SIGSTOP);
        posix_kill($this->yard->master('database'), SIGKILL);
        [$status, $headers, $body] = $this->yard->ask();
        self::assertSame([503, '/problems/unavailable'], [$status, json_decode($body, true)['type'] ?? ''], $body);
        self::assertStringContainsString('Retry-After: 5', $headers);
        $this->yard->statusesUntilItAnswers();

        // The supervisor itself is killed: what it watched dies with it, and workers that live on hold up no later
        // start.
        file_put_contents($this->yard->state().'/.env', "TRUSTED_PROXIES=10.0.0.1\n", FILE_APPEND);
        posix_kill((int) file_get_contents($this->yard->state().'/run/supervisord.pid'), SIGKILL);
        $this->yard->until(
            fn (): bool => str_contains(
                $this->yard->jardinier('status', '--port', (string) $this->yard->port)[1],
                'Nothing is running.',
            ),
        );
        [$one, $other] = [$this->yard->begin($start), $this->yard->begin($start)];
        self::assertSame(
            [0, 0],
            [proc_close($one), proc_close($other)],
            'two starts at once do not take each other down',
        );
        $this->yard->statusesUntilItAnswers();
        self::assertStringContainsString("TRUSTED_PROXIES=10.0.0.1\n", $settings());
        self::assertSame(1, substr_count($settings(), 'DB_PASSWORD='));
    }

    public function test_a_killed_start_is_taken_up_again(): void
    {
        [$code, $out] = $this->yard->jardinier('start', '--empty', '--detach', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $out);
        $pid = (int) file_get_contents($this->yard->state().'/run/start.pid');
        self::assertGreaterThan(1, $pid);
        // As if it had been interrupted between making the tables and noting that they are made.
        exec(
            sprintf(
                'mariadb --no-defaults --socket=%s --user=%s jardinier --execute "delete from migrations"',
                escapeshellarg($this->yard->state().'/run/db.sock'),
                escapeshellarg(posix_getpwuid(posix_geteuid())['name'] ?? ''),
            ),
            $out,
            $code,
        );
        self::assertSame(0, $code);
        posix_kill($pid, SIGKILL);
        $this->yard->until(fn (): bool => $this->yard->processes() === []);
        self::assertStringContainsString(
            'Nothing is running.',
            $this->yard->jardinier('status', '--port', (string) $this->yard->port)[1],
        );

        [$code, $out] = $this->yard->jardinier('start', '--empty', '--detach', '--port', (string) $this->yard->port);
        self::assertSame(0, $code, $out);
    }

    /** Six who would be first make one, and two keepers who demote each other at once leave one. */
    private function oneFirstKeeperAndNeverNone(): void
    {
        $address = "http://127.0.0.1:{$this->yard->port}";
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
}
