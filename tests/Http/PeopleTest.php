<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Machines\Yard;
use App\People\Role;
use Core\Meter\MeterUnit;

/** Keeping the accounts and the yard's own record. */
final class PeopleTest extends TestCase
{
    public function test_a_keeper_adds_people_and_says_which_machines_an_operator_may_use(): void
    {
        $heron = $this->machine();
        $this->machine(['name' => 'Teal']);
        $person = $this->postJson(
            '/api/people',
            [
                'name' => 'Nell Ashby',
                'sign_in_name' => 'Nell',
                'password' => 'long enough',
                'role' => 'operator',
                'may_use_all_machines' => false,
                'machine_ids' => [$heron],
            ],
        )->assertCreated();
        self::assertSame(
            ['nell', [$heron], false],
            [$person->json('sign_in_name'), $person->json('machine_ids'), $person->json('may_use_all_machines')],
        );

        $changed = $this->patchJson(
            "/api/people/{$person->json('id')}",
            ['may_use_all_machines' => true, 'role' => 'mechanic'],
            ['If-Match' => (string) $person->headers->get('ETag')],
        )->assertOk();
        self::assertSame(['mechanic', 2], [$changed->json('role'), $changed->json('version')]);
        $this->patchJson("/api/people/{$person->json('id')}", ['name' => 'Someone'], ['If-Match' => '"1"'])
            ->assertStatus(412)
            ->assertJsonPath('current.role', 'mechanic');
        self::assertSame(['Keeper', 'Nell Ashby'], array_column($this->getJson('/api/people')->json('data'), 'name'));
    }

    public function test_bad_accounts_are_refused_beside_their_fields(): void
    {
        $this->as(Role::Keeper);
        $given = ['name' => 'Nell', 'sign_in_name' => 'nell', 'password' => 'long enough', 'role' => 'operator'];
        foreach ([
            [['sign_in_name' => 'keeper'], 'sign_in_name', 'That name is taken.'],
            [['sign_in_name' => 'two words'], 'sign_in_name', 'Only letters, digits, dots and dashes.'],
            [['password' => 'short'], 'password', 'At least 10 characters.'],
            [['role' => 'emperor'], 'role', 'That is not one of the choices.'],
            [['name' => ''], 'name', 'This is missing.'],
            [['machine_ids' => [987654]], 'machine_ids.0', 'There is no such thing in this yard.'],
        ] as [$part, $field, $message]) {
            $this->postJson('/api/people', [...$given, ...$part])
                ->assertUnprocessable()
                ->assertJson(['errors' => [$field => [$message]]]);
        }
        self::assertCount(1, $this->getJson('/api/people')->json('data'));
    }

    public function test_the_yards_record_is_changed_and_its_clock_with_it(): void
    {
        $this->as(Role::Keeper);
        $this->travelTo('2026-05-14T23:30:00Z');
        $seen = $this->getJson('/api/yard')->assertJsonPath('today', '2026-05-15');

        $this->patchJson(
            '/api/yard',
            ['time_zone' => 'America/New_York', 'distance_unit' => 'mi'],
            ['If-Match' => (string) $seen->headers->get('ETag')],
        )->assertOk();
        $yard = Yard::query()->firstOrFail();
        self::assertSame(
            ['2026-05-14', MeterUnit::Miles, 2],
            [$yard->today()->format('Y-m-d'), $yard->distance_unit, $yard->version],
        );
        $this->patchJson('/api/yard', ['name' => ''], ['If-Match' => '"2"'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'This is missing.');
    }

    public function test_signing_out_ends_the_session(): void
    {
        $this->person(Role::Operator);
        $this->postJson('/api/session', ['sign_in_name' => 'operator', 'password' => 'a good password'])->assertOk();
        $this->getJson('/api/pulse')->assertNoContent();
        $this->deleteJson('/api/session')->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/pulse')->assertUnauthorized()->assertJsonPath('type', '/problems/not-signed-in');
        $this->getJson('/api/session')->assertJsonPath('person', null);
    }

    public function test_tokens_are_listed_without_their_secret(): void
    {
        $this->as(Role::Mechanic);
        $secret = $this->postJson(
            '/api/tokens',
            ['name' => 'Gateway', 'abilities' => ['read'], 'days' => 30],
        )->json('token');
        $list = $this->getJson('/api/tokens')->assertJsonPath('data.0.name', 'Gateway');

        self::assertStringNotContainsString((string) $secret, (string) $list->getContent());
        $id = $list->json('data.0.id');
        $this->as(Role::Operator)->deleteJson("/api/tokens/{$id}")->assertNotFound();
        $this->postJson('/api/tokens', ['name' => ''])->assertUnprocessable();
    }
}
