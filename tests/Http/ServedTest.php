<?php

declare(strict_types=1);

namespace Tests\Http;

use PHPUnit\Framework\TestCase as PlainTestCase;
use Tests\ServedClock;

/** What only shows with several people at once, on the served application: nginx, several PHP processes, MariaDB. */
final class ServedTest extends PlainTestCase
{
    private const ROUNDS = 20;

    private static Visitor $keeper;

    private static Visitor $mechanic;

    public static function setUpBeforeClass(): void
    {
        $address = (string) getenv('JARDINIER_URL');
        self::$keeper = new Visitor($address, 'rosa', 'coldbrook-rosa');
        self::$mechanic = new Visitor($address, 'tamsin', 'coldbrook-tamsin');
    }

    public function test_two_people_logging_the_same_machine_at_once_lose_nothing(): void
    {
        $machine = self::machine();
        $start = ServedClock::now('-30 days 10:00');
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $log = fn (Visitor $who, int $step): \CurlHandle => $who->request('POST', "/machines/{$machine}/readings", [
                'value' => (string) ($round * 0.4 + $step / 10), 'at' => $start->modify('+'.($round * 60 + $step * 20).' minutes')->format(DATE_ATOM),
            ]);
            $answers = Visitor::together([$log(self::$keeper, 1), $log(self::$mechanic, 2)]);
            self::assertSame([201, 201], array_column($answers, 'status'), (string) json_encode($answers));
        }
        $entries = self::$keeper->ask('GET', "/machines/{$machine}/entries?kind=reading&limit=200")['body']['data'] ?? [];
        $sheet = self::$keeper->ask('GET', "/machines/{$machine}")['body'];

        self::assertCount(1 + 2 * self::ROUNDS, $entries);
        self::assertSame('7.8', $sheet['line']['meters'][0]['value']);
        self::assertSame($sheet['line'], self::lineOnTheYardsSheet($sheet['name']), 'the kept line is the one that follows from the facts');
    }

    public function test_the_same_key_sent_by_several_connections_at_once_writes_once(): void
    {
        $machine = self::machine();
        $send = fn (): \CurlHandle => self::$keeper->request('POST', "/machines/{$machine}/readings", ['value' => '3'], ['Idempotency-Key: together']);
        $answers = Visitor::together([$send(), $send(), $send(), $send()]);

        self::assertSame([201], array_values(array_unique(array_column($answers, 'status'))), (string) json_encode($answers));
        self::assertCount(1, array_unique(array_map(fn (array $answer): int => $answer['body']['entry']['id'], $answers)));
        self::assertCount(2, self::$keeper->ask('GET', "/machines/{$machine}/entries?kind=reading")['body']['data']);
    }

    public function test_two_people_changing_one_record_at_once_do_not_overwrite_each_other(): void
    {
        $machine = self::machine();
        $change = fn (Visitor $who, string $place): \CurlHandle => $who->request('PATCH', "/machines/{$machine}", ['place' => $place], ['If-Match: "1"']);
        $answers = Visitor::together([$change(self::$keeper, 'North'), $change(self::$keeper, 'South')]);
        $statuses = array_column($answers, 'status');
        sort($statuses);

        self::assertSame([200, 412], $statuses);
    }

    public function test_a_write_from_another_page_is_refused(): void
    {
        $machine = self::machine();
        foreach (['http://127.0.0.1:1', 'http://elsewhere.example', 'null', ''] as $origin) {
            $forged = Visitor::together([self::$keeper->request('POST', "/machines/{$machine}/readings", ['value' => '3'], origin: $origin)])[0];
            self::assertSame([403, '/problems/foreign-origin'], [$forged['status'], $forged['body']['type'] ?? null], $origin);
        }
        $other = Visitor::together([self::$keeper->request('POST', "/machines/{$machine}/readings", ['value' => '3'], ['Sec-Fetch-Site: same-site'])])[0];
        self::assertSame(403, $other['status'], 'another port of the same computer is another site to write from');
    }

    private static function machine(): int
    {
        $machine = self::$keeper->ask('POST', '/machines', ['name' => 'Served '.bin2hex(random_bytes(4)), 'class' => 'rider_mower', 'place' => 'Test field', 'history' => 'new',
            'at' => ServedClock::now('-40 days')->format('Y-m-d'), 'meters' => [['unit' => 'h', 'value' => '0']], 'rules' => [['task' => 'Oil', 'kind' => 'replace', 'every' => ['hours' => 50]]]]);
        self::assertSame(201, $machine['status'], (string) json_encode($machine));

        return $machine['body']['id'];
    }

    /** @return array<string, mixed> */
    private static function lineOnTheYardsSheet(string $name): array
    {
        return self::$keeper->ask('GET', '/machines?name='.rawurlencode($name))['body']['data'][0];
    }
}
