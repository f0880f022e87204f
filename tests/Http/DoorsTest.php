<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Bench\Job;
use App\Logbook\Stock\Supply;
use App\Machines\Spot;
use App\Notes\NoteKinds;
use App\People\Person;
use App\People\Role;
use App\Providers\AppServiceProvider;
use App\Shelf\Ready\GatheringList;
use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\Route;

/** Who may go where. */
final class DoorsTest extends TestCase
{
    private const KEEPER = ['keeper'];

    private const SERVICE = ['keeper', 'mechanic'];

    private const WRITE = ['keeper', 'mechanic', 'operator'];

    private const ALL = ['keeper', 'mechanic', 'operator', 'reader'];

    private const STRANGER = ['stranger', ...self::ALL];

    /** Every operation of the contract, and who is let in. */
    private const WHO = [
        'GET /openapi.yaml' => self::STRANGER,
        'GET /docs' => self::STRANGER,
        'GET /health' => self::STRANGER,
        'GET /computer' => self::KEEPER,
        'GET /computer/morning' => self::KEEPER,
        'GET /session' => self::STRANGER,
        'POST /session' => self::STRANGER,
        'POST /first-keeper' => self::STRANGER,
        'GET /pulse' => self::ALL,
        'DELETE /session' => self::ALL,
        'PUT /password' => self::ALL,
        'GET /tokens' => self::ALL,
        'POST /tokens' => self::ALL,
        'DELETE /tokens/{token}' => self::ALL,
        'GET /reckon' => self::ALL,
        'POST /reckon/{name}' => self::ALL,
        'POST /reckon/{name}/typing' => self::ALL,
        'GET /calendar/{token}.ics' => self::STRANGER,
        'GET /calendar-feeds' => self::ALL,
        'POST /calendar-feeds' => self::ALL,
        'DELETE /calendar-feeds/{feed}' => self::ALL,
        'GET /machines/{machine}/use' => self::ALL,
        'GET /machines/{machine}/chart' => self::ALL,
        'GET /machines/{machine}/chart.csv' => self::ALL,
        'GET /rules/{rule}/consequences' => self::ALL,
        'GET /shared-rulebooks' => self::KEEPER,
        'PUT /machines/{machine}/chart' => self::KEEPER,
        'POST /machines/{machine}/rulebook-copy' => self::KEEPER,
        'POST /machines/{machine}/shared-rulebook' => self::KEEPER,
        'PUT /machines/{machine}/shared-rulebook' => self::KEEPER,
        'DELETE /machines/{machine}/shared-rulebook' => self::KEEPER,
        'GET /people' => self::KEEPER, 'POST /people' => self::KEEPER, 'PATCH /people/{person}' => self::KEEPER,
        'POST /people/{person}/invitation' => self::KEEPER,
        'POST /invitation' => self::STRANGER,
        'GET /sign-ins' => self::ALL, 'DELETE /sign-ins/{signIn}' => self::ALL,
        'GET /yard' => self::ALL,
        'GET /machines' => self::ALL,
        'GET /machines/{machine}' => self::ALL,
        'GET /machines/{machine}/entries' => self::ALL,
        'GET /entries' => self::ALL,
        'PATCH /yard' => self::KEEPER,
        'GET /starter-rulebooks' => self::KEEPER,
        'POST /machines' => self::KEEPER,
        'PATCH /machines/{machine}' => self::KEEPER,
        'POST /machines/{machine}/rules' => self::KEEPER,
        'PATCH /rules/{rule}' => self::KEEPER,
        'POST /notes' => self::WRITE, 'POST /log-line/preview' => self::WRITE,
        'GET /walkaround' => self::ALL,
        'GET /walkaround/morning' => self::ALL,
        'GET /machines/{machine}/walk' => self::ALL,
        'GET /machines/{machine}/spots' => self::ALL,
        'GET /machines/{machine}/spots/{spot}' => self::ALL,
        'GET /machines/{machine}/plate' => self::ALL,
        'GET /machines/{machine}/compartments' => self::ALL,
        'GET /machines/{machine}/compartments/{spot}' => self::ALL,
        'POST /machines/{machine}/compartments/{spot}/will-it-do' => self::ALL,
        'PUT /machines/{machine}/compartments/{spot}' => self::KEEPER,
        'POST /machines/{machine}/capacities' => self::KEEPER,
        'PUT /machines/{machine}/capacities' => self::KEEPER,
        'GET /machines/{machine}/sister-sheets' => self::KEEPER,
        'POST /machines/{machine}/sister-sheets' => self::KEEPER,
        'GET /shelf' => self::ALL,
        'GET /shelf/orders' => self::ALL,
        'POST /supplies' => self::SERVICE,
        'GET /supplies/{supply}' => self::ALL,
        'PATCH /supplies/{supply}' => self::SERVICE,
        'GET /needs' => self::ALL,
        'GET /works' => self::ALL,
        'GET /lists' => self::ALL,
        'POST /lists' => self::SERVICE,
        'GET /lists/{list}' => self::ALL,
        'PATCH /lists/{list}' => self::SERVICE,
        'GET /lists/{list}/list.csv' => self::ALL,
        'POST /lists/{list}/things' => self::SERVICE,
        'DELETE /lists/{list}/things/{thing}' => self::SERVICE,
        'POST /lists/{list}/links' => self::SERVICE,
        'DELETE /lists/{list}/links/{link}' => self::SERVICE,
        'GET /counter/{token}' => self::STRANGER,
        'GET /machines/{machine}/findings/{check}' => self::ALL,
        'GET /machines/{machine}/trends' => self::ALL,
        'GET /jobs' => self::ALL,
        'GET /jobs/{job}' => self::ALL,
        'PATCH /jobs/{job}' => self::SERVICE,
        'DELETE /jobs/{job}' => self::SERVICE,
        'GET /machines/{machine}/job-choices' => self::ALL,
        'POST /machines/{machine}/jobs' => self::SERVICE,
        'GET /machines/{machine}/grease' => self::ALL,
        'GET /photos/{photo}' => self::ALL,
        'POST /machines/{machine}/photos' => self::WRITE,
        'POST /machines/{machine}/checks/{check}/verdict' => self::WRITE,
        'PUT /machines/{machine}/checks/{check}' => self::KEEPER,
        'DELETE /machines/{machine}/checks/{check}' => self::KEEPER,
        'POST /machines/{machine}/spots' => self::KEEPER,
        'POST /machines/{machine}/usual-spots' => self::KEEPER,
        'POST /machines/{machine}/spot-suggestions' => self::KEEPER,
        'PATCH /spots/{spot}' => self::KEEPER,
    ];

    public function test_contract_and_routes_name_the_same_operations_and_each_is_decided_here(): void
    {
        $routes = collect(Route::getRoutes()->getRoutes())->filter(
            fn (LaravelRoute $route): bool => str_starts_with($route->uri(), 'api/')
                && $route->uri() !== 'api/{unknown}',
        )
            ->flatMap(
                fn (LaravelRoute $route): array => array_map(
                    fn (string $method): string => $method.' '.substr($route->uri(), 3),
                    array_diff($route->methods(), ['HEAD']),
                ),
            )->sort()->values()->all();
        $contract = collect(Contract::read()->operations())->sort()->values()->all();

        self::assertSame($contract, $routes);
        self::assertSame($contract, collect(array_keys(self::WHO))->sort()->values()->all());
    }

    public function test_strangers_and_lesser_roles_are_turned_away_from_every_route(): void
    {
        $machine = $this->machine();
        $rule = $this->ruleId($machine);
        foreach (self::WHO as $operation => $allowed) {
            [$method, $path] = explode(' ', $operation);
            foreach (self::STRANGER as $who) {
                // What one has taken away is there again for the next.
                $address = '/api'.strtr(
                    $path,
                    [
                        '{machine}' => $machine,
                        '{rule}' => $rule,
                        '{person}' => $this->person(Role::Keeper)->id,
                        '{token}' => 1,
                        '{name}' => 'convert',
                        '{feed}' => 1,
                        '{signIn}' => 1,
                        '{check}' => 'leaks',
                        '{supply}' => Supply::query()->firstOrCreate(
                            ['name' => 'Oil'],
                            ['label' => ['kind' => 'engine_oil']],
                        )->id,
                        '{list}' => GatheringList::query()->firstOrCreate(['name' => 'Thursday'], [
                            'preference' => 'makers',
                            'works' => ['rules' => [], 'spots' => []],
                            'person_id' => $this->person(Role::Keeper)->id,
                            'made_at' => now(),
                        ])->id,
                        '{job}' => Job::query()->firstOrCreate(['machine_id' => $machine], [
                            'id' => '00000000-0000-4000-8000-000000000000',
                            'name' => 'Oil',
                            'wanted' => ['rules' => [], 'findings' => [], 'spots' => []],
                            'raised' => false,
                            'plan' => ['tasks' => [], 'minutes' => 0, 'steps' => []],
                            'made_at' => now(),
                        ])->id,
                        '{thing}' => 1,
                        '{link}' => 1,
                        '{spot}' => str_starts_with($path, '/machines')
                            ? 'engine_oil'
                            : Spot::query()->where('machine_id', $machine)->value('id'),
                        '{photo}' => '00000000-0000-4000-8000-000000000000',
                    ],
                );
                $this->app['auth']->forgetGuards();
                $this->flushSession();
                if ($who !== 'stranger') {
                    $this->as(Role::from($who));
                }
                $status = $this->json($method, $address)->getStatusCode();
                if (in_array($who, $allowed, true)) {
                    self::assertNotContains(
                        $status,
                        [401, 403, 500],
                        "{$operation} turns a {$who} away with {$status}",
                    );
                } else {
                    self::assertSame($who === 'stranger' ? 401 : 403, $status, "{$operation} lets a {$who} in");
                }
            }
        }
    }

    /** Every kind of note, and who may tell it. */
    private const TELLS = [
        'reading' => self::WRITE,
        'line' => self::WRITE,
        'stand_down' => self::WRITE,
        'answer' => self::WRITE,
        'remark' => self::WRITE,
        'top_up' => self::WRITE,
        'strike' => self::WRITE,
        'correction' => self::WRITE,
        'call' => self::WRITE,
        'look' => self::WRITE, 'grease' => self::WRITE, 'end' => self::WRITE,
        'meter' => self::SERVICE,
        'meter_truth' => self::SERVICE,
        'lift' => self::SERVICE,
        'reminder' => self::SERVICE,
        'service' => self::SERVICE,
        'skip' => self::SERVICE,
        'mended' => self::SERVICE,
        'fluid' => self::SERVICE,
        'accept' => self::KEEPER,
        'bought' => self::SERVICE,
        'counted' => self::SERVICE,
        'collected' => self::SERVICE,
        'gather' => self::SERVICE,
        'step' => self::SERVICE,
        'sign_off' => self::SERVICE,
    ];

    public function test_a_lesser_role_is_turned_away_with_every_kind_of_note_that_is_not_his_to_tell(): void
    {
        $machine = $this->machine();
        self::assertEqualsCanonicalizing($this->app->make(NoteKinds::class)->names(), array_keys(self::TELLS));
        foreach (self::TELLS as $kind => $allowed) {
            foreach (self::ALL as $who) {
                $status = $this->as(Role::from($who))->tell($machine, $kind, [])->getStatusCode();
                self::assertSame(
                    in_array($who, $allowed, true) ? 422 : 403,
                    $status,
                    "a {$who} tells a {$kind}: {$status}",
                );
            }
        }
    }

    public function test_an_operator_logs_only_on_machines_he_may_use_and_strikes_only_his_own(): void
    {
        $mine = $this->machine();
        $other = $this->machine(['name' => 'Teal']);
        $keepers = $this->log($mine, '1')->json('entry.id');
        $operator = $this->person(Role::Operator);
        $operator->update(['may_use_all_machines' => false]);
        $operator->mayUseOnly([$mine]);
        $this->as($operator);

        $this->log($other, '3')->assertForbidden();
        $this->tell(null, 'line', ['text' => 'teal 3'])->assertForbidden();
        $own = $this->log($mine, '3')->assertCreated()->json('entry.id');
        $this->tellOf($keepers, 'strike', ['because' => 'no'])->assertForbidden();
        $this->tellOf($own, 'strike', ['because' => 'slip'])->assertCreated();
    }

    public function test_signing_in_is_throttled_and_gives_nothing_away(): void
    {
        $this->person(Role::Keeper, 'rosa');
        $try = fn (string $name, string $password) => $this->postJson(
            '/api/session',
            ['sign_in_name' => $name, 'password' => $password],
        );

        self::assertSame($try('rosa', 'wrong')->json('errors'), $try('nobody', 'wrong')->json('errors'));
        foreach (range(1, 4) as $ignored) {
            $try('rosa', 'wrong')->assertUnprocessable();
        }
        $blocked = $try('rosa', 'a good password')->assertStatus(429);
        self::assertStringContainsString('Wait', $blocked->json('detail'));
        self::assertNotNull($blocked->headers->get('Retry-After'));
        $this->travel(2)->minutes();
        $try('ROSA ', 'a good password')->assertOk()->assertJsonPath('person.name', 'Rosa');
    }

    public function test_passwords_are_hashed_and_never_shown(): void
    {
        $person = $this->person(Role::Keeper, 'rosa');

        self::assertStringStartsWith('$argon2id$', $person->password);
        self::assertStringNotContainsString(
            'password',
            (string) $this->as($person)->getJson('/api/people')->getContent(),
        );
    }

    public function test_an_empty_yard_asks_for_its_first_keeper_once(): void
    {
        \App\Machines\Yard::query()->delete();
        $this->getJson('/api/session')->assertJson(['first_visit' => true, 'person' => null]);
        $given = [
            'yard' => 'Longacre',
            'time_zone' => 'Europe/Vienna',
            'distance_unit' => 'mi',
            'name' => 'Ida Holm',
            'sign_in_name' => 'Ida',
            'password' => 'long enough',
        ];

        $this->postJson('/api/first-keeper', [...$given, 'password' => 'short', 'time_zone' => 'Moon'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['password', 'time_zone']]);
        $this->postJson('/api/first-keeper', $given)->assertCreated()->assertJsonPath('person.role', 'keeper');
        $this->getJson('/api/yard')->assertOk()->assertJson(['name' => 'Longacre', 'machines' => 0]);
        $this->postJson('/api/first-keeper', [...$given, 'sign_in_name' => 'eve'])->assertConflict();
    }

    public function test_a_personal_token_acts_for_its_owner_until_taken_back(): void
    {
        $this->as(Role::Reader);
        $token = $this->postJson('/api/tokens', ['name' => 'Office wall', 'abilities' => ['read'], 'days' => 30])
            ->assertCreated()
            ->json();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $bearer = ['Authorization' => "Bearer {$token['token']}"];

        $this->getJson('/api/machines', $bearer)->assertOk();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/people', $bearer)->assertForbidden();
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/tokens', ['name' => 'more'], $bearer)->assertForbidden();
        $this->withoutToken();
        $this->as(Role::Reader)
            ->withHeaders(['Authorization' => ''])
            ->deleteJson("/api/tokens/{$token['id']}")
            ->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->getJson('/api/machines', $bearer)->assertUnauthorized();
    }

    public function test_whoever_may_no_longer_sign_in_is_out_at_once_and_the_last_keeper_stays(): void
    {
        $keeper = $this->person(Role::Keeper);
        $operator = $this->person(Role::Operator);
        $operator->createToken('phone');
        $this->as($keeper)
            ->patchJson("/api/people/{$operator->id}", ['active' => false], ['If-Match' => '"1"'])
            ->assertOk();

        self::assertSame(0, $operator->tokens()->count());
        $this->postJson(
            '/api/session',
            ['sign_in_name' => 'operator', 'password' => 'a good password'],
        )->assertUnprocessable();
        $this->as($keeper)
            ->patchJson("/api/people/{$keeper->id}", ['role' => 'reader'], ['If-Match' => '"1"'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['role']]);
        $this->patchJson(
            "/api/people/{$keeper->id}",
            ['active' => false],
            ['If-Match' => '"1"'],
        )->assertUnprocessable();
        $this->putJson(
            '/api/password',
            ['present' => 'wrong', 'password' => 'another good one'],
        )->assertUnprocessable();
        $this->putJson('/api/password', ['present' => 'a good password', 'password' => 'another good one'])->assertOk();
        self::assertTrue(password_verify('another good one', Person::query()->findOrFail($keeper->id)->password));
    }

    public function test_a_clock_that_was_moved_for_tests_is_refused_in_production(): void
    {
        config(['app.clock_ahead_seconds' => 60]);
        $this->app->instance('env', 'production');

        $this->expectExceptionMessage('CLOCK_AHEAD_SECONDS is for test servers alone.');
        (new AppServiceProvider($this->app))->boot();
    }

    public function test_headers_are_strict_on_pages_and_answers(): void
    {
        foreach (['/yard', '/api/session'] as $address) {
            $headers = $this->get($address)->headers;
            $policy = (string) $headers->get('Content-Security-Policy');
            self::assertMatchesRegularExpression("/script-src 'self' 'nonce-\w{20,}'/", $policy);
            self::assertDoesNotMatchRegularExpression("/'unsafe-/", $policy, 'nothing but WebAssembly that the yard itself serves');
            self::assertStringContainsString("frame-ancestors 'none'", $policy);
            self::assertSame(
                ['DENY', 'nosniff', 'same-origin'],
                [
                    $headers->get('X-Frame-Options'),
                    $headers->get('X-Content-Type-Options'),
                    $headers->get('Referrer-Policy'),
                ],
            );
        }
        preg_match('/nonce="([^"]+)"/', (string) $this->get('/yard')->getContent(), $one);
        preg_match('/nonce="([^"]+)"/', (string) $this->get('/yard')->getContent(), $other);
        self::assertNotSame($one[1], $other[1], 'a nonce is used once');
    }

    public function test_the_contract_is_served_and_readable(): void
    {
        $this->get('/api/openapi.yaml')->assertOk()->assertHeader('Content-Type', 'application/yaml');
        $this->get('/api/docs')->assertOk()->assertSee('Write down what happened')->assertSee('Idempotency-Key');
    }
}
