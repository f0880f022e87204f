<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Calendar\CalendarFeed;
use App\Machines\GreasePoint;
use App\Machines\Spot;
use App\People\AccessToken;
use App\People\Person;
use App\People\Role;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

/** Who is let in, by what, and for how long. */
final class AccessTest extends TestCase
{
    /** @param  array<string, mixed>  $change  by a keeper */
    #[DataProvider('ends')]
    public function test_what_let_somebody_in_ends_at_once_and_does_not_come_back(array $change): void
    {
        $keeper = $this->person(Role::Keeper);
        $mechanic = $this->person(Role::Mechanic);
        $this->postJson('/api/session', ['sign_in_name' => 'mechanic', 'password' => 'a good password'])->assertOk();
        $token = $this->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['read'], 'days' => 30])
            ->assertCreated()
            ->json('token');
        $feed = $this->postJson('/api/calendar-feeds', ['whole_yard' => false, 'remind_days' => 2])
            ->assertCreated()
            ->json('path');
        $signedIn = session()->all();
        $this->getJson($feed)->assertOk();
        self::assertSame(['session' => 204, 'token' => 204], $this->stillIn($signedIn, $token));

        $change === []
            ? $this->artisan('keeper:reset', ['name' => 'mechanic'])->assertSuccessful()
            : $this->as($keeper)->patchJson("/api/people/{$mechanic->id}", $change, ['If-Match' => '"1"'])->assertOk();
        self::assertSame(['session' => 401, 'token' => 401], $this->stillIn($signedIn, $token));
        $this->getJson($feed)->assertNotFound();

        Person::query()->whereKey($mechanic->id)->update(['active' => true, 'role' => Role::Mechanic]);
        self::assertSame(['session' => 401, 'token' => 401], $this->stillIn($signedIn, $token));
        self::assertSame(0, CalendarFeed::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function ends(): iterable
    {
        yield 'another role' => [['role' => 'operator']];
        yield 'may no longer sign in' => [['active' => false]];
        yield 'a new password' => [['password' => 'another good one']];
        yield 'made keeper on the computer itself' => [[]];
    }

    public function test_changing_ones_password_ends_every_other_session_and_keeps_this_one(): void
    {
        $this->person(Role::Mechanic);
        $signIn = fn () => $this->postJson(
            '/api/session',
            ['sign_in_name' => 'mechanic', 'password' => 'a good password'],
        )->assertOk();
        $signIn();
        $elsewhere = session()->all();
        $this->flushSession();
        $signIn();
        $this->putJson('/api/password', ['present' => 'a good password', 'password' => 'another good one'])->assertOk();

        $this->app['auth']->forgetGuards();
        $this->getJson('/api/pulse')->assertNoContent();
        self::assertSame(401, $this->stillIn($elsewhere, 'none')['session']);
    }

    public function test_passwords_are_read_to_their_end_and_are_not_the_sign_in_name(): void
    {
        $this->as(Role::Keeper);
        $long = str_repeat('a goat ', 14);
        $person = fn (string $name, string $password) => $this->postJson(
            '/api/people',
            ['name' => 'P', 'sign_in_name' => $name, 'password' => $password, 'role' => 'operator'],
        );
        $person('pia', "{$long}1")->assertCreated();
        $person('pia.thornfield', 'PIA.Thornfield')->assertJsonPath(
            'errors.password.0',
            'Not the sign-in name: everybody knows it.',
        );
        $person('pium', "ten letters\0")->assertJsonPath('errors.password.0', 'This cannot be read as text.');

        $this->postJson('/api/session', ['sign_in_name' => 'pia', 'password' => "{$long}2"])->assertUnprocessable();
        $this->postJson('/api/session', ['sign_in_name' => 'pia', 'password' => "{$long}1"])->assertOk();
    }

    public function test_a_name_nobody_has_is_as_much_work_as_one_somebody_has(): void
    {
        $this->person(Role::Keeper, 'rosa');
        $this->person(Role::Operator, 'gone')->update(['active' => false]);
        $hasher = $this->app->make('hash');
        $checks = 0;
        $counting = $this->mock(Hasher::class);
        $counting->shouldReceive('make')->andReturnUsing($hasher->make(...));
        $counting->shouldReceive('check')->andReturnUsing(function (
            string $password,
            string $hash,
        ) use ($hasher, &$checks): bool {
            $checks += $hasher->info($hash)['algoName'] === 'argon2id' ? 1 : 0;

            return $hasher->check($password, $hash);
        });
        foreach (['rosa', 'gone', 'nobody'] as $already => $name) {
            $this->postJson('/api/session', ['sign_in_name' => $name, 'password' => 'wrong'])->assertUnprocessable();
            self::assertSame($already + 1, $checks, $name);
        }
    }

    public function test_trying_ones_present_password_is_throttled(): void
    {
        $this->as(Role::Operator);
        for ($try = 0; $try < 5; $try++) {
            $this->putJson(
                '/api/password',
                ['present' => 'wrong', 'password' => 'another good one'],
            )->assertUnprocessable();
        }
        $this->putJson(
            '/api/password',
            ['present' => 'a good password', 'password' => 'another good one'],
        )->assertStatus(429);
    }

    public function test_strangers_are_counted_before_their_body_is_read(): void
    {
        for ($try = 0; $try < 30; $try++) {
            $this->postJson('/api/session', []);
        }
        $broken = $this->call('POST', '/api/session', server: ['CONTENT_TYPE' => 'application/json'], content: '{"a":');
        self::assertSame(429, $broken->getStatusCode());
    }

    public function test_a_stranger_leaves_no_session_behind_and_each_yard_has_a_cookie_of_its_own(): void
    {
        $this->person(Role::Keeper);
        self::assertSame([], $this->getJson('/api/session')->headers->getCookies());
        self::assertSame(
            [],
            $this->postJson('/api/session', ['sign_in_name' => 'keeper', 'password' => 'wrong'])->headers->getCookies(),
        );
        $cookies = $this->postJson('/api/session', ['sign_in_name' => 'keeper', 'password' => 'a good password'])
            ->assertOk()->headers
            ->getCookies();
        self::assertSame(
            ['jardinier_'.($own = substr(hash('sha256', (string) config('app.key')), 0, 10)), "jardinier_known_{$own}"],
            array_map(fn ($cookie): string => $cookie->getName(), $cookies),
        );
        foreach ($cookies as $cookie) {
            self::assertSame([true, 'lax'], [$cookie->isHttpOnly(), $cookie->getSameSite()]);
        }
    }

    public function test_when_a_token_was_last_used_is_written_to_the_minute(): void
    {
        $this->as(Role::Keeper);
        $token = $this->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['read'], 'days' => 30])->json('token');
        $use = function () use ($token): string {
            $this->app['auth']->forgetGuards();
            $this->getJson('/api/pulse', ['Authorization' => "Bearer {$token}"])->assertNoContent();

            return (string) AccessToken::query()->latest('id')->value('last_used_at');
        };
        $first = $use();
        $this->travel(40)->seconds();
        self::assertSame($first, $use());
        $this->travel(30)->seconds();
        self::assertNotSame($first, $use());
    }

    public function test_a_token_does_what_it_was_made_for_and_ends(): void
    {
        $machine = $this->machine();
        $task = $this->taskId($machine);
        $tokens = [];
        foreach ([['read'], ['log'], ['read', 'log', 'service']] as $abilities) {
            $tokens[implode('+', $abilities)] = $this->postJson(
                '/api/tokens',
                ['name' => 'x', 'abilities' => $abilities, 'days' => 30],
            )->assertCreated()->json('token');
        }
        $try = fn (
            string $token,
            string $method,
            string $path,
            array $body = [],
        ): int => $this->by($token)->json($method, "/api{$path}", $body)->getStatusCode();
        $tell = function (string $token, string $kind, array $given) use ($machine): string {
            $note = [
                'id' => (string) Str::uuid(),
                'kind' => $kind,
                'at' => '2026-05-14T09:00:00Z',
                'machine_id' => $machine,
                ...$given,
            ];

            return $this->by($token)
                ->postJson('/api/notes', ['notes' => [$note]])
                ->json('results.0.status') ?? 'turned away';
        };
        foreach ([
            ['GET', '/machines', [], [200, 403, 200]],
            ['PATCH', "/machines/{$machine}", ['place' => 'X'], [403, 403, 403]],
            ['GET', '/people', [], [403, 403, 403]],
            ['GET', '/tokens', [], [403, 403, 403]],
            ['POST', '/calendar-feeds', ['whole_yard' => false, 'remind_days' => 1], [403, 403, 403]],
            ['PUT', '/password', ['present' => 'a good password', 'password' => 'another good one'], [403, 403, 403]],
            ['DELETE', '/session', [], [403, 403, 403]],
        ] as [$method, $path, $body, $expected]) {
            self::assertSame(
                $expected,
                array_map(fn (string $token): int => $try($token, $method, $path, $body), array_values($tokens)),
                "{$method} {$path}",
            );
        }
        self::assertSame(
            ['turned away', 'written', 'written'],
            array_map(fn (string $token): string => $tell($token, 'reading', ['value' => '12']), array_values($tokens)),
        );
        self::assertSame(
            ['turned away', 'refused', 'written'],
            array_map(
                fn (string $token): string => $tell($token, 'service', ['hours' => '12', 'tasks' => [$task]]),
                array_values($tokens),
            ),
        );
        $this->by($tokens['read'])
            ->postJson('/api/session', ['sign_in_name' => 'keeper', 'password' => 'a good password'])
            ->assertOk();
        $this->travel(31)->days();
        self::assertSame(401, $try($tokens['read'], 'GET', '/machines'));
    }

    public function test_no_kept_answer_holds_a_secret_and_none_is_given_before_asking_whether_it_is_allowed(): void
    {
        $this->as(Role::Mechanic);
        $make = fn () => $this->postJson(
            '/api/tokens',
            ['name' => 'x', 'abilities' => ['read'], 'days' => 30],
            ['Idempotency-Key' => 'k'],
        );
        $token = $make()->assertCreated()->json('token');
        $make()->assertConflict()->assertJsonPath(
            'detail',
            'This was done already under that key. What it gave out was shown once and is not kept.',
        );
        $this->postJson(
            '/api/calendar-feeds',
            ['whole_yard' => false, 'remind_days' => 2],
            ['Idempotency-Key' => 'f'],
        )->assertCreated();
        self::assertSame([null], DB::table('idempotency_keys')->distinct()->pluck('body')->all());
        self::assertNotSame('', $token);

        $machine = $this->machine();
        $this->as(Role::Mechanic);
        $note = [
            'id' => (string) Str::uuid(),
            'kind' => 'remark',
            'at' => '2026-05-14T09:00:00Z',
            'machine_id' => $machine,
            'note' => 'Parked by the barn',
        ];
        $tell = fn (string $key) => $this->postJson('/api/notes', ['notes' => [$note]], ['Idempotency-Key' => $key]);
        $tell('k2')->assertOk();
        $tell('K2')->assertOk()->assertHeaderMissing('Idempotent-Replay');
        $this->person(Role::Mechanic)->update(['role' => Role::Reader]);
        $this->as($this->person(Role::Mechanic)->refresh());
        $tell('k2')->assertForbidden();
    }

    public function test_an_operator_lifts_no_stand_down_by_striking_or_by_saying_otherwise_of_something_else(): void
    {
        $machine = $this->machine();
        $this->as(Role::Operator);
        $note = fn (string $subject, array $more, string $round = 'daily'): array => [
            'id' => (string) Str::uuid(),
            'kind' => 'look',
            'at' => '2026-05-14T09:00:00Z',
            'machine_id' => $machine,
            'check' => $subject,
            'round' => ['kind' => $round, 'started_at' => '2026-05-14T08:50:00Z'],
            ...$more,
        ];
        $send = fn (array $look): array => $this->postJson(
            '/api/notes',
            ['notes' => [$look]],
        )->assertOk()->json('results.0');
        $found = $note('seat_switch', ['said' => 'not_fine', 'verdict' => 'stand_down']);
        self::assertSame('written', $send($found)['status']);
        $standsDown = fn (): bool => $this->sheet($machine)['line']['stood_down'] !== null;
        self::assertTrue($standsDown());

        foreach (['round', 'stood_down'] as $kind) {
            $entry = $this->getJson("/api/machines/{$machine}/entries?kind={$kind}")->json('data.0.id');
            $this->tellOf($entry, 'strike', ['because' => 'slip'])->assertForbidden()
                ->assertJsonPath('detail', 'This stood the machine down. Only a keeper or mechanic lifts that.');
        }
        foreach ([$note('leaks', ['said' => 'fine', 'replaces' => $found['id']]), $note('seat_switch', ['said' => 'fine', 'replaces' => strtoupper($found['id'])], 'weekly')] as $otherwise) {
            self::assertSame(
                ['refused', ['Only what you said of the same thing in the same round can be said otherwise.']],
                [($result = $send($otherwise))['status'], $result['problem']['errors']['replaces'] ?? null],
            );
        }
        self::assertTrue($standsDown());
        $stood = $this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data.0.id');
        $this->as(Role::Mechanic)->tellOf($stood, 'strike', ['because' => 'tried again, it works'])->assertCreated();
        self::assertFalse($standsDown());
    }

    public function test_an_old_entry_is_corrected_by_whoever_may_write_it_today(): void
    {
        $machine = $this->machine();
        $was = $this->person(Role::Mechanic);
        $this->as($was);
        $service = $this->tell($machine, 'service', ['hours' => '5', 'tasks' => [$this->taskId($machine)]])
            ->assertCreated()
            ->json('entry.id');
        $reading = $this->log($machine, '6')->json('entry.id');
        $was->update(['role' => Role::Operator, 'may_use_all_machines' => false]);
        $this->as($was->refresh());

        foreach ([[$service, ['hours' => '6', 'tasks' => [$this->taskId($machine)]]], [$reading, ['value' => '7']]] as [$entry, $correct]) {
            $this->tellOf($entry, 'correction', ['because' => 'x', ...$correct])->assertForbidden();
            $this->tellOf($entry, 'strike', ['because' => 'x'])->assertForbidden();
        }
        $was->mayUseOnly([$machine]);
        $this->as($was->refresh())->tellOf($reading, 'correction', ['because' => 'x', 'value' => '7'])->assertCreated();
        $this->tellOf($service, 'strike', ['because' => 'x'])->assertForbidden();
    }

    public function test_a_calendar_address_tells_no_more_than_its_owner_may_see_now(): void
    {
        $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Engine oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['months' => 1],
                    ],
                ],
            ],
        );
        $keeper = $this->person(Role::Keeper);
        $path = $this->postJson('/api/calendar-feeds', ['whole_yard' => 1, 'remind_days' => 2])
            ->assertCreated()
            ->assertJsonPath('whole_yard', true)
            ->json('path');
        self::assertStringContainsString('Heron', (string) $this->get($path)->getContent());
        $keeper->update(['role' => Role::Operator, 'may_use_all_machines' => false]);
        self::assertStringNotContainsString('Heron', (string) $this->get($path)->assertOk()->getContent());
    }

    public function test_grease_points_given_as_text_are_kept_and_shown_as_numbers(): void
    {
        $machine = $this->machine();
        $point = GreasePoint::query()->whereIn(
            'spot_id',
            Spot::query()->where('machine_id', $machine)->select('id'),
        )->firstOrFail();
        $shown = $this->patchJson(
            "/api/spots/{$point->spot_id}",
            ['x' => 8.0, 'grease' => ['strokes' => '7', 'most' => '400']],
            ['If-Match' => '"1"'],
        )->assertOk();
        self::assertSame([7, 400, 8], [$shown->json('grease.strokes'), $shown->json('grease.most'), $shown->json('x')]);
    }

    /**
     * @param  array<string, mixed>  $session
     * @return array{session: int, token: int}
     */
    private function stillIn(array $session, string $token): array
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $bySession = $this->withSession($session)->getJson('/api/pulse')->getStatusCode();
        $byToken = $this->by($token)->getJson('/api/pulse')->getStatusCode();
        $this->withHeader('Authorization', '');

        return ['session' => $bySession, 'token' => $byToken];
    }

    private function by(string $token): static
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();

        return $this->withHeader('Authorization', "Bearer {$token}");
    }
}
