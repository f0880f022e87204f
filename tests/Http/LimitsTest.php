<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Contract\FaultReport;
use App\Contract\ProblemOf;
use App\Contract\Unavailable;
use App\Logbook\Acts\Act;
use App\People\Role;
use Illuminate\Database\QueryException;
use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is turned away at once, and what is said of what passes by itself. */
final class LimitsTest extends TestCase
{
    public function test_only_photographs_are_large(): void
    {
        $machine = $this->machine();
        foreach (['/api/session', '/api/notes', "/api/machines/{$machine}/chart"] as $address) {
            foreach (['{"a":['.str_repeat('1,', 150_000).'1]}', '{"a":"'.str_repeat('x', 300_000).'"}'] as $body) {
                $this->raw($address === "/api/machines/{$machine}/chart" ? 'PUT' : 'POST', $address, $body)
                    ->assertStatus(413)
                    ->assertJsonPath('type', '/problems/too-large');
            }
        }
        $this->raw('POST', '/api/notes', '{"a":['.str_repeat('1,', 21_000).'1]}')->assertStatus(413);
        self::assertNotSame(
            413,
            $this->raw(
                'POST',
                "/api/machines/{$machine}/photos",
                str_repeat('x', 300_000),
                'text/plain',
            )->getStatusCode(),
        );
    }

    public function test_a_list_is_measured_before_anything_in_it_is_looked_at(): void
    {
        $machine = $this->machine();
        foreach ([
            ['/notes', ['notes' => array_fill(0, 10_000, [])], 'notes', 'At most 100.'],
            [
                "/machines/{$machine}/rules",
                [
                    'task' => 'Oil',
                    'kind' => 'replace',
                    'spots' => ['engine_oil'],
                    'first' => array_fill(0, 9_000, ['hours' => '1']),
                ],
                'first',
                'At most 10.',
            ],
            ['/machines', ['rules' => [['first' => array_fill(0, 5_000, [])]]], 'rules.0.first', 'At most 10.'],
        ] as [$path, $body, $field, $message]) {
            $this->postJson("/api{$path}", $body)
                ->assertUnprocessable()
                ->assertExactJson(
                    [
                        'type' => '/problems/bad-input',
                        'title' => 'Some of this cannot be used',
                        'status' => 422,
                        'detail' => 'Look at the fields marked; nothing was saved.',
                        'errors' => [$field => [$message]],
                    ],
                );
        }
    }

    #[DataProvider('broken')]
    public function test_a_broken_request_is_told_from_a_right_one(
        string $method,
        string $body,
        string $type,
        int $status,
        ?string $field,
    ): void {
        $machine = $this->machine();
        $answer = $this->raw($method, $method === 'POST' ? '/api/notes' : "/api/machines/{$machine}", $body, $type);
        $answer->assertStatus($status)->assertHeader('Content-Type', 'application/problem+json');
        if ($field !== null) {
            self::assertSame(['This cannot be read as text.'], $answer->json('errors')[$field] ?? null);
        }
        self::assertSame('Arboretum', $this->sheet($machine)['line']['place']);
    }

    /** @return iterable<string, array{string, string, string, int, string|null}> */
    public static function broken(): iterable
    {
        yield 'half a body' => ['PATCH', '{"place": "Nor', 'application/json', 400, null];
        yield 'a number' => ['PATCH', '7', 'application/json', 400, null];
        yield 'endlessly nested' => ['PATCH', str_repeat('[', 400).str_repeat(']', 400), 'application/json', 400, null];
        yield 'no text in a form' => ['POST', 'note=%ff', 'application/x-www-form-urlencoded', 422, 'note'];
        yield 'no text deep in a form' => ['POST', 'a[b][c]=%ff', 'application/x-www-form-urlencoded', 422, 'a.b.c'];
        yield 'nothing in the middle of a text' => ['PATCH', '{"place": "a\u0000b"}', 'application/json', 422, 'place'];
    }

    public function test_whatever_a_device_calls_itself_is_kept_as_text(): void
    {
        $machine = $this->machine();
        $this->tell($machine, 'reading', ['value' => '5'], ['Jardinier-Device' => "pho\xffne"])
            ->assertCreated()
            ->assertJsonPath('entry.device', 'pho?ne');
    }

    public function test_a_guarded_address_asks_for_signing_in_whatever_is_accepted(): void
    {
        foreach (Route::getRoutes()->getRoutes() as $route) {
            assert($route instanceof LaravelRoute);
            if (! in_array('auth:sanctum', $route->gatherMiddleware(), true)) {
                continue;
            }
            $address = '/'.preg_replace('/\{[^}]+\}/', '1', $route->uri());
            $answer = \Illuminate\Foundation\Testing\TestCase::call(
                $route->methods()[0],
                $address,
                server: ['HTTP_ORIGIN' => config('app.url'), 'HTTP_ACCEPT' => 'text/html'],
            );
            self::assertSame(401, $answer->getStatusCode(), $address);
        }
    }

    public function test_a_cursor_holds_for_its_own_list_alone(): void
    {
        foreach (['Heron', 'Teal', 'Wren'] as $name) {
            $machine = $this->machine(['name' => $name]);
        }
        $next = $this->getJson('/api/machines?limit=2')->json('next_cursor');
        self::assertCount(
            1,
            $this->getJson('/api/machines?limit=2&cursor='.rawurlencode($next))->assertOk()->json('data'),
        );
        $made = rtrim(
            base64_encode(
                (string) json_encode(
                    ['urgency' => 'x', 'days_left' => [], 'machine_id' => null, '_pointsToNextItems' => true],
                ),
            ),
            '=',
        );
        foreach (['/api/machines' => ['rubbish', $made, "{$made}.", "{$made}.x", substr($next, 0, -1).'!'], '/api/walkaround' => [$next], '/api/entries' => [$next], "/api/machines/{$machine}/entries" => [$next]] as $address => $cursors) {
            foreach ($cursors as $cursor) {
                $this->getJson("{$address}?cursor=".rawurlencode($cursor))
                    ->assertUnprocessable()
                    ->assertJsonPath('errors.cursor.0', 'This is no place in this list. Begin at the first page.');
            }
        }
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('onceBroke')]
    public function test_what_once_broke_is_refused_beside_its_field(
        string $method,
        string $path,
        array $body,
        string $field,
    ): void {
        $machine = $this->machine();
        $path = strtr($path, ['{machine}' => (string) $machine, '{rule}' => (string) $this->ruleId($machine)]);
        $answer = $this->json($method, "/api{$path}", $body, ['If-Match' => '"1"'])->assertUnprocessable();
        self::assertArrayHasKey($field, $answer->json('errors'));
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function onceBroke(): iterable
    {
        yield 'a list for a day of the year' => [
            'PATCH',
            '/machines/{machine}',
            ['severities' => [['severity' => 'heat', 'from' => ['04-01'], 'to' => '09-01']]],
            'severities.0.from',
        ];
        yield 'a list for a window of a rule' => [
            'POST',
            '/machines/{machine}/rules',
            [
                'task' => 'Oil',
                'kind' => 'replace',
                'spots' => ['engine_oil'],
                'windows' => [['from' => '04-01', 'to' => []]],
            ],
            'windows.0.to',
        ];
        yield 'a list for a window of a check' => [
            'PUT',
            '/machines/{machine}/checks/leaks',
            ['for' => 'machine', 'values' => ['window' => ['from' => ['x'], 'to' => '04-01']]],
            'values.window.from',
        ];
        yield 'a large step of the display' => [
            'PATCH',
            '/machines/{machine}',
            ['countdown_step' => '10000'],
            'countdown_step',
        ];
        yield 'a cold night of twenty digits' => [
            'PATCH',
            '/yard',
            ['coldest_night' => '-99999999999999999999'],
            'coldest_night',
        ];
        yield 'a grease gun of twenty-eight digits' => [
            'PATCH',
            '/yard',
            ['grease_guns' => [['name' => 'Gun', 'ten_strokes' => str_repeat('9', 28).' g']]],
            'grease_guns.0.ten_strokes',
        ];
        yield 'a row of the chart without a kind' => [
            'PUT',
            '/machines/{machine}/chart',
            ['rows' => [['task' => 'Oil']]],
            'rows.0.kind',
        ];
        yield 'rows of the chart by name' => [
            'PUT',
            '/machines/{machine}/chart',
            ['rows' => ['a' => ['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil']]]],
            'rows',
        ];
        yield 'a task that goes with nothing there is' => [
            'PATCH',
            '/rules/{rule}',
            ['goes_with' => 987654, 'retired' => true],
            'goes_with',
        ];
        yield 'a calculator with thirty digits' => [
            'POST',
            '/reckon/countdown',
            ['meter' => str_repeat('9', 30), 'next_due' => '50'],
            'meter',
        ];
        yield 'a calculator far beyond any yard' => [
            'POST',
            '/reckon/convert',
            ['quantity' => str_repeat('9', 30).' km', 'to' => 'mm'],
            'quantity',
        ];
    }

    public function test_an_id_sent_before_in_other_letters_is_the_same(): void
    {
        $machine = $this->machine();
        $note = [
            'id' => (string) Str::uuid(),
            'kind' => 'look',
            'at' => '2026-05-14T08:00:00Z',
            'machine_id' => $machine,
            'check' => 'leaks',
            'said' => 'fine',
        ];
        $send = fn (array $note) => $this
            ->postJson('/api/notes', ['notes' => [$note]])
            ->assertOk()
            ->json('results.0.status');
        self::assertSame(['written', 'already'], [$send($note), $send([...$note, 'id' => strtoupper($note['id'])])]);
    }

    public function test_a_fault_of_ours_in_one_note_keeps_none_of_the_others_back(): void
    {
        $machine = $this->machine();
        Act::creating(fn (Act $look) => $look->note === 'breaks' ? throw new \LogicException('A fault.') : null);
        $look = fn (string $words): array => [
            'id' => (string) Str::uuid(),
            'kind' => 'look',
            'at' => '2026-05-14T08:00:00Z',
            'machine_id' => $machine,
            'check' => 'leaks',
            'said' => 'fine',
            'note' => $words,
        ];
        $results = $this->postJson('/api/notes', ['notes' => [$look('one'), $look('breaks'), $look('two')]])
            ->assertOk()
            ->json('results');

        self::assertSame(['written', 'refused', 'written'], array_column($results, 'status'));
        self::assertSame('/problems/our-fault', $results[1]['problem']['type']);
        Act::flushEventListeners();
    }

    public function test_what_passes_by_itself_says_when_to_ask_again(): void
    {
        $of = fn (int $code, string $says): QueryException => tap(
            new QueryException(
                'mariadb',
                'insert into people (password) values (?)',
                ['$2y$secret'],
                $pdo = new \PDOException($says),
            ),
            fn (QueryException $thrown) => $thrown->errorInfo = ['HY000', $code, $says],
        );
        foreach ([
            [$of(2006, 'SQLSTATE[HY000] [2006] MySQL server has gone away'), 'database is away'],
            [$of(2002, 'SQLSTATE[HY000] [2002] Connection refused'), 'database is away'],
            [
                $of(1213, 'SQLSTATE[40001]: Deadlock found when trying to get lock; try restarting transaction'),
                'Too many were writing',
            ],
            [$of(1021, 'Disk full'), 'no room left'],
            [$of(1114, 'The table is full'), 'no room left'],
        ] as [$thrown, $says]) {
            $answer = ProblemOf::thrown($thrown)->toResponse(request());
            self::assertSame(
                [503, '5', 'application/problem+json'],
                [$answer->getStatusCode(), $answer->headers->get('Retry-After'), $answer->headers->get('Content-Type')],
            );
            self::assertStringContainsString($says, $answer->getData(true)['detail']);
        }
        self::assertNull(Unavailable::because(new \LogicException('A fault.')));
    }

    public function test_the_log_tells_where_a_fault_is_and_nothing_that_was_typed(): void
    {
        $fault = new QueryException(
            'mariadb',
            'insert into `people` (`name`, `password`) values (?, ?)',
            ['Nell Ashby', '$argon2id$secret'],
            new \PDOException("Duplicate entry 'Nell Ashby' for key"),
        );
        $report = FaultReport::of($fault);

        self::assertStringContainsString('insert into `people`', $report);
        self::assertStringContainsString('LimitsTest.php', $report);
        self::assertDoesNotMatchRegularExpression('/Nell|secret/', $report);
        self::assertLessThanOrEqual(2000, strlen(FaultReport::of(new \LogicException(str_repeat('x', 9000)))));
    }

    public function test_only_the_proxies_of_the_settings_are_believed(): void
    {
        $tries = function (string $from): int {
            for ($try = 0; $try < 31; $try++) {
                $status = $this->postJson('/api/session', [], ['X-Forwarded-For' => "{$from}{$try}"])->getStatusCode();
            }

            return $status;
        };
        self::assertSame(429, $tries('10.1.1.'), 'nobody is believed: all come from one address');
        $this->travel(2)->minutes();
        config(['app.trusted_proxies' => ['127.0.0.1']]);
        self::assertSame(422, $tries('10.2.2.'));
    }

    private function raw(string $method, string $address, string $body, string $type = 'application/json'): TestResponse
    {
        $this->as(Role::Keeper);
        $form = [];
        if (str_contains($type, 'form')) {
            parse_str($body, $form);
        }

        return $this->call(
            $method,
            $address,
            $form,
            server: ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json', 'HTTP_IF_MATCH' => '"1"'],
            content: $body,
        );
    }
}
