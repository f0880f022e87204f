<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Http\Visitor;
use Tests\Started;

/**
 * Eight phones come back into reach at once, on a yard of their own that is kept as durably as a real one, and its
 * database is killed under them.
 */
final class PhonesTest extends TestCase
{
    private const PHONES = 8;

    private const NOTES = 500;

    /** Of every five notes so many pour out of one drum: 200 of each phone. */
    private const POURS_OF_FIVE = 2;

    private const DRUM = '200 L';

    private const AT_ONCE = 50;

    private const KILLED_AFTER = 3;

    private Started $yard;

    protected function setUp(): void
    {
        $this->yard = new Started;
    }

    protected function tearDown(): void
    {
        $this->yard->end();
    }

    public function test_nothing_is_lost_or_doubled(): void
    {
        $this->yard->start('--empty');
        $address = $this->yard->address();
        $keeper = new Visitor($address, 'ida', 'quite long enough');
        $keeper->ask(
            'POST',
            '/first-keeper',
            [
                'yard' => 'Longacre',
                'time_zone' => 'Europe/London',
                'distance_unit' => 'km',
                'name' => 'Ida',
                'sign_in_name' => 'ida',
                'password' => 'quite long enough',
            ],
        );
        $machines = array_map(
            fn (int $number): int => $keeper->ask(
                'POST',
                '/machines',
                ['name' => "Rail {$number}", 'class' => 'tractor', 'place' => 'Shed', 'history' => 'unknown'],
            )['body']['id'],
            range(1, 4),
        );
        $oil = $keeper->ask('POST', '/supplies', ['name' => 'Oil', 'label' => ['kind' => 'engine_oil']])['body']['id'];
        $bought = ['id' => '00000000-0000-4000-9000-000000000001', 'kind' => 'bought', 'at' => '2026-05-01T08:00:00Z',
            'supply' => $oil, 'size' => self::DRUM, 'count' => 1];
        $keeper->ask('POST', '/notes', ['notes' => [$bought]]);
        $drum = $keeper->ask('GET', "/supplies/{$oil}")['body']['containers'][0]['id'];
        $phones = [];
        $sendings = [];
        for ($phone = 0; $phone < self::PHONES; $phone++) {
            $keeper->ask(
                'POST',
                '/people',
                [
                    'name' => "Phone {$phone}",
                    'sign_in_name' => "phone{$phone}",
                    'password' => 'quite long enough',
                    'role' => 'operator',
                    'may_use_all_machines' => true,
                ],
            );
            $phones[] = new Visitor($address, "phone{$phone}", 'quite long enough');
            $sendings[] = array_chunk(self::notes($phone, $machines, $oil, $drum), self::AT_ONCE);
        }

        $failed = 0;
        foreach (array_keys($sendings[0]) as $turn) {
            if ($turn === self::KILLED_AFTER) {
                exec('(sleep 0.25; kill -9 '.(int) file_get_contents($this->yard->state().'/run/db.pid').') >/dev/null 2>&1 &');
            }
            $answers = Visitor::together(
                array_map(
                    fn (int $phone): \CurlHandle => $phones[$phone]->request(
                        'POST',
                        '/notes',
                        self::unattended($sendings[$phone][$turn]),
                    ),
                    array_keys($phones),
                ),
            );
            $failed += count(array_filter($answers, fn (array $answer): bool => $answer['status'] !== 200));
            if ($turn === self::KILLED_AFTER) {
                $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
                $this->yard->start();
            }
        }
        self::assertGreaterThan(0, $failed, 'the database was killed under somebody');

        // Every phone sends everything again, last first, two phones' worth doubled at the same moment.
        foreach (array_reverse(array_keys($sendings[0])) as $turn) {
            $again = array_map(
                fn (int $phone): \CurlHandle => $phones[$phone]->request(
                    'POST',
                    '/notes',
                    self::unattended($sendings[$phone][$turn]),
                ),
                [...array_keys($phones), 0, 1],
            );
            foreach (Visitor::together($again) as $answer) {
                self::assertSame(200, $answer['status'], (string) json_encode($answer));
                self::assertSame(
                    [],
                    array_values(array_filter($answer['body']['results'], fn (array $result): bool => $result['status'] === 'refused')),
                );
            }
        }
        $sent = array_merge(...array_merge(...$sendings));

        self::assertCount(self::PHONES * self::NOTES, $sent);
        self::assertSame(
            [(string) count($sent), (string) count($sent)],
            $this->yard->row('select count(*), count(distinct uuid) from acts'),
        );
        self::assertSame([(string) (count($sent) + 1)], $this->yard->row('select count(*) from sent_notes'), 'and the drum that was bought');
        self::assertSame(
            ['4'],
            $this->yard->row('select count(*) from rounds'),
            'one round of the day for each machine, whoever walked it',
        );
        self::assertSame(
            [(string) (4 * self::PHONES)],
            $this->yard->row('select count(*) from entries where round_id is not null'),
            'and one entry of it for each who did',
        );
        $poured = array_filter($sent, fn (array $note): bool => $note['kind'] === 'top_up');
        self::assertCount(self::PHONES * 200, $poured);
        self::assertSame(
            [(string) count($poured), sprintf('%.6F', array_sum(array_map(floatval(...), array_column($poured, 'amount'))) / 1000)],
            $this->yard->row("select count(*), sum(amount) from moves where kind = 'poured' and from_container_id = {$drum}"),
            'each pour was taken from the drum once',
        );
        $left = $keeper->ask('GET', "/supplies/{$oil}")['body']['left']['value'];
        self::assertSame($this->yard->row("select trim(trailing '.' from trim(trailing '0' from 200 - sum(amount))) from moves where kind = 'poured'")[0], $left);
        $expected = array_count_values(array_map(
            fn (array $note): string => "{$note['machine_id']} {$note['check']}",
            array_filter($sent, fn (array $note): bool => $note['kind'] === 'look'),
        ));
        $found = [];
        foreach ($machines as $machine) {
            foreach (['leaks', 'engine_oil', 'brakes'] as $subject) {
                $found["{$machine} {$subject}"] = (int) $this->yard->row(
                    "select count(*) from acts where machine_id = {$machine} and check_key = '{$subject}'",
                )[0];
            }
        }
        ksort($expected);
        ksort($found);
        self::assertSame($expected, $found);
    }

    /**
     * Nobody waits beside what a phone has kept.
     *
     * @param  list<array<string, mixed>>  $notes
     * @return array<string, mixed>
     */
    private static function unattended(array $notes): array
    {
        return ['attended' => [], 'notes' => $notes];
    }

    /**
     * @param  list<int>  $machines
     * @return list<array<string, mixed>>
     */
    private static function notes(int $phone, array $machines, int $oil, int $drum): array
    {
        $started = new \DateTimeImmutable('-1 hour', new \DateTimeZone('UTC'));

        return array_map(fn (int $number): array => [
            'id' => sprintf(
                '%08x-0000-4000-8000-%012x',
                $phone,
                $number,
            ),
            'machine_id' => $machines[$number % count($machines)],
            'at' => $started->modify("+{$number} seconds")->format('Y-m-d\TH:i:s\Z'),
            ...$number % 5 < self::POURS_OF_FIVE
                ? self::pour($number, $oil, $drum)
                : self::look($number, $started),
        ], range(1, self::NOTES));
    }

    /** @return array<string, mixed> */
    private static function look(int $number, \DateTimeImmutable $started): array
    {
        return [
            'kind' => 'look',
            'round' => ['kind' => 'daily', 'started_at' => $started->format('Y-m-d\TH:i:s\Z')],
            'check' => ['leaks', 'engine_oil', 'brakes'][$number % 3],
            'said' => $number % 7 === 0 ? 'not_fine' : 'fine',
            'verdict' => $number % 7 === 0 ? 'watch' : null,
        ];
    }

    /** Out of the drum by its name, or out of whatever is open: it is the same. */
    private static function pour(int $number, int $oil, int $drum): array
    {
        return [
            'kind' => 'top_up',
            'spot' => 'engine_oil',
            'amount' => (10 + $number % 90).' mL',
            ...$number % 2 === 0 ? ['fluid' => $oil] : ['container' => $drum],
        ];
    }
}
