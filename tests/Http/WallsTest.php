<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Contract\FaultReport;
use App\People\AccessToken;
use App\People\Person;
use App\People\Role;
use App\People\Session\FirstKeeperCode;
use App\People\Session\KnownDevice;
use Illuminate\Database\DeadlockException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

/** What a stranger, a thief or a lesser role tries, and what stops them. */
final class WallsTest extends WalkTestCase
{
    /**
     * A correction is no way round a role or what a token is for.
     *
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('ofService')]
    public function test_a_correction_asks_for_everything_in_it_what_a_service_would_ask(array $more): void
    {
        $machine = $this->machine();
        $more = json_decode(strtr((string) json_encode($more), ['"{rule}"' => $this->ruleId($machine), '"{task}"' => $this->taskId($machine)]), true);
        $token = $this->as(Role::Mechanic)->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['log'], 'days' => 30])->json('token');
        foreach ([Role::Operator, Role::Mechanic] as $role) {
            $entry = $this->as($role)->log($machine, $role === Role::Operator ? '5' : '6')->assertCreated()->json('entry.id');
            if ($role === Role::Mechanic) {
                $this->app['auth']->forgetGuards();
                $this->flushSession();
                $this->withToken($token);
            }
            $note = fn (array $given): array => ['entry' => $entry, 'because' => 'Misread', 'hours' => '5', ...$given];
            $this->tellAlone($machine, 'correction', $note($more))->assertForbidden();
            $this->tellAlone($machine, 'correction', $note([]))->assertCreated();
            $this->withoutToken();
        }
        self::assertSame(0, DB::table('acts')->count());
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function ofService(): iterable
    {
        yield 'tasks' => [['tasks' => ['{task}']]];
        yield 'other work' => [['other' => [['spot' => 'engine_oil', 'act' => 'changed', 'amount' => '1 L']]]];
        yield 'greasing' => [['greased' => [['spot' => 'spindle_left', 'strokes' => 3]]]];
        yield 'what is put right' => [['puts_right' => ['leaks']]];
        yield 'how a rule counts' => [['anchors' => [['rule_id' => '{rule}', 'anchor' => 'chart']]]];
    }

    public function test_a_log_only_token_strikes_no_service_and_lifts_nothing_by_striking(): void
    {
        $machine = $this->machine();
        $this->as(Role::Mechanic);
        $service = $this->tell($machine, 'service', ['hours' => '5', 'tasks' => [$this->taskId($machine)]])->json('entry.id');
        $down = $this->tell($machine, 'stand_down', ['note' => 'Brakes'])->json('entry.id');
        $token = $this->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['log'], 'days' => 30])->json('token');
        $this->travel(1)->hours();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->withToken($token);

        foreach ([$service, $down] as $entry) {
            $this->tellAlone($machine, 'strike', ['entry' => $entry, 'because' => 'no'])->assertForbidden();
        }
    }

    public function test_pictures_go_to_ones_own_acts_or_are_added_by_whoever_may_service(): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'leaks');
        $this->as(Role::Mechanic)->send([$look]);
        $picture = fn (): TestResponse => $this->post("/api/machines/{$machine}/photos", [
            'id' => (string) Str::uuid(),
            'act' => $look['id'],
            'photo' => new UploadedFile(self::jpeg(20, 20), 'p.jpg', 'image/jpeg', test: true),
        ], ['Accept' => 'application/json']);

        $this->as(Role::Operator);
        $picture()->assertForbidden();
        $this->as(Role::Keeper);
        $picture()->assertCreated();
        for ($more = 1; $more < 20; $more++) {
            DB::table('photos')->insert(['uuid' => (string) Str::uuid(), 'machine_id' => $machine, 'act' => $look['id'], 'person_id' => $this->person(Role::Keeper)->id, 'width' => 1, 'height' => 1, 'bytes' => 1, 'created_at' => now()]);
        }
        $picture()->assertConflict()->assertJsonPath('detail', 'There are 20 pictures of that already.');
    }

    /** A progressive picture whose last, empty pass is repeated: small to send, hours to draw. */
    public function test_a_picture_that_is_drawn_in_endless_passes_costs_nothing(): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'leaks');
        $this->send([$look]);
        $picture = imagecreatetruecolor(64, 64);
        imageinterlace($picture, true);
        $whole = self::jpegOf($picture);
        $scan = substr($whole, (int) strrpos($whole, "\xFF\xDA"), -2);
        $bomb = (string) tempnam(sys_get_temp_dir(), 'bomb');
        file_put_contents($bomb, substr($whole, 0, -2).str_repeat($scan, 95_000)."\xFF\xD9");
        self::assertGreaterThan(1_000_000, filesize($bomb));
        $cpu = fn (): float => (getrusage()['ru_utime.tv_sec'] + getrusage(1)['ru_utime.tv_sec']) + (getrusage()['ru_utime.tv_usec'] + getrusage(1)['ru_utime.tv_usec']) / 1e6;
        $spent = $cpu();

        $this->post("/api/machines/{$machine}/photos", ['id' => (string) Str::uuid(), 'act' => $look['id'], 'photo' => new UploadedFile($bomb, 'p.jpg', 'image/jpeg', test: true)], ['Accept' => 'application/json'])
            ->assertJsonPath('errors.photo.0', 'This picture is drawn in more passes than any camera makes.');
        self::assertLessThan(1.0, $cpu() - $spent);
    }

    public function test_a_thief_with_the_old_password_does_not_undo_a_keepers_new_one(): void
    {
        $thief = $this->person(Role::Mechanic);
        $this->actingAs(Person::query()->findOrFail($thief->id), 'web');
        // The keeper's change comes between the thief's signing in and the lock.
        Person::query()->findOrFail($thief->id)->fill(['password' => 'the keepers new one'])->endAccess()->save();

        $this->putJson('/api/password', ['present' => 'a good password', 'password' => 'thieves think so'])->assertUnauthorized();
        self::assertTrue(Hash::check('the keepers new one', $thief->refresh()->password));
        self::assertSame(2, $thief->epoch);
    }

    public function test_the_same_password_is_no_new_one_and_a_change_that_succeeds_counts_as_a_try(): void
    {
        $this->as(Role::Operator);
        $change = fn (string $from, string $to): TestResponse => $this->putJson('/api/password', ['present' => $from, 'password' => $to]);
        $change('a good password', 'a good password')->assertJsonPath('errors.password.0', 'That is the password you have. Choose another.');
        foreach (['goats and hens 1', 'goats and hens 2', 'goats and hens 3', 'goats and hens 4'] as $to) {
            $change($from ?? 'a good password', $to)->assertOk();
            $from = $to;
            $this->as($this->person(Role::Operator)->refresh());
        }
        $change('goats and hens 4', 'goats and hens 5')->assertStatus(429);
    }

    public function test_a_token_made_beside_a_deactivation_lets_nobody_in(): void
    {
        $person = $this->person(Role::Mechanic);
        $asked = Person::query()->findOrFail($person->id);
        Person::query()->findOrFail($person->id)->fill(['active' => false])->endAccess()->save();
        $this->actingAs($asked, 'web');
        $token = $this->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['read'], 'days' => 366])->json('token');
        self::assertIsString($token);
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $get = fn (): int => $this->getJson('/api/pulse', ['Authorization' => "Bearer {$token}"])->getStatusCode();

        self::assertSame(401, $get());
        Person::query()->whereKey($person->id)->update(['active' => true]);
        self::assertSame(401, $get(), 'it is of another epoch');
        AccessToken::query()->update(['epoch' => 2]);
        self::assertSame(204, $get());
    }

    public function test_twenty_tokens_are_enough_and_of_anothers_nothing_is_told(): void
    {
        $this->as(Role::Mechanic);
        for ($made = 0; $made < 20; $made++) {
            $last = $this->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['read'], 'days' => 1])->assertCreated()->json();
        }
        $this->postJson('/api/tokens', ['name' => 'x', 'abilities' => ['read'], 'days' => 1])->assertConflict();
        $feed = $this->postJson('/api/calendar-feeds', ['whole_yard' => false, 'remind_days' => 2])->json('id');
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        foreach (["/api/tokens/{$last['id']}", '/api/tokens/99999999', "/api/calendar-feeds/{$feed}", '/api/calendar-feeds/99999999'] as $address) {
            $this->deleteJson($address, headers: ['Authorization' => "Bearer {$last['token']}"])->assertForbidden();
            $this->app['auth']->forgetGuards();
        }
    }

    public function test_one_lists_where_one_is_signed_in_and_ends_each_by_itself(): void
    {
        $this->person(Role::Mechanic);
        $signIn = function (string $device): array {
            $this->flushSession();
            $this->app['auth']->forgetGuards();
            $this->postJson('/api/session', ['sign_in_name' => 'mechanic', 'password' => 'a good password'], ['Jardinier-Device' => $device])->assertOk();

            return session()->all();
        };
        $phone = $signIn('phone');
        $signIn('desk');
        $list = $this->getJson('/api/sign-ins')->assertOk()->json('data');
        self::assertSame([['desk', true], ['phone', false]], array_map(fn (array $one): array => [$one['device'], $one['is_here']], $list));

        $this->deleteJson("/api/sign-ins/{$list[1]['id']}")->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->withSession($phone)->getJson('/api/pulse')->assertUnauthorized()->assertJsonPath('type', '/problems/access-ended');
        $this->app['auth']->forgetGuards();
        $this->withSession($phone)->getJson('/api/session')->assertJsonPath('ended', true)->assertJsonPath('person', null);
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->getJson('/api/session')->assertJsonPath('ended', false);
        $this->getJson('/api/pulse')->assertJsonPath('type', '/problems/not-signed-in');
    }

    public function test_of_anothers_sign_ins_nothing_is_told(): void
    {
        $this->person(Role::Mechanic);
        $this->postJson('/api/session', ['sign_in_name' => 'mechanic', 'password' => 'a good password'])->assertOk();
        $theirs = $this->getJson('/api/sign-ins')->json('data.0.id');

        $this->as(Role::Keeper)->deleteJson("/api/sign-ins/{$theirs}")->assertNotFound();
        self::assertSame([], $this->getJson('/api/sign-ins')->json('data'));
    }

    public function test_guesses_under_one_name_from_many_addresses_wait_longer_each_time_and_shut_out_no_known_device(): void
    {
        $this->person(Role::Keeper);
        $known = $this->postJson('/api/session', ['sign_in_name' => 'keeper', 'password' => 'a good password'])->assertOk()
            ->getCookie(KnownDevice::cookie(), decrypt: false)?->getValue();
        $from = 0;
        $guess = function () use (&$from): TestResponse {
            $this->app['auth']->forgetGuards();
            $this->flushSession();

            return $this->postJson('/api/session', ['sign_in_name' => 'keeper', 'password' => 'wrong'], ['REMOTE_ADDR' => '10.0.0.'.++$from]);
        };
        for ($try = 0; $try < 5; $try++) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.1.{$try}"]);
            $guess()->assertUnprocessable();
        }
        foreach ([1, 2, 4, 8, 16, 30, 30] as $turn => $wait) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.2.{$turn}"]);
            $guess()->assertUnprocessable();
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.3.{$turn}"]);
            self::assertSame((string) $wait, $guess()->assertStatus(429)->headers->get('Retry-After'));
            $this->travel($wait)->seconds();
        }
        $this->withServerVariables(['REMOTE_ADDR' => '10.0.4.1']);
        $guess();
        $signIn = fn (string $cookie): TestResponse => $this->withCredentials()->withUnencryptedCookie(KnownDevice::cookie(), $cookie)
            ->postJson('/api/session', ['sign_in_name' => 'keeper', 'password' => 'a good password']);
        $signIn("{$known}x")->assertStatus(429);
        $signIn((string) $known)->assertOk();
    }

    public function test_wrong_guesses_from_one_address_shut_nobody_out_on_a_device_that_is_known_there(): void
    {
        $this->person(Role::Operator);
        $known = (string) $this->postJson('/api/session', ['sign_in_name' => 'operator', 'password' => 'a good password'])
            ->getCookie(KnownDevice::cookie(), decrypt: false)?->getValue();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        for ($try = 0; $try < 31; $try++) {
            $this->postJson('/api/session', ['sign_in_name' => "guess{$try}", 'password' => 'wrong']);
        }
        $this->postJson('/api/session', ['sign_in_name' => 'operator', 'password' => 'a good password'])->assertStatus(429);
        $this->withCredentials()->withUnencryptedCookie(KnownDevice::cookie(), $known)
            ->postJson('/api/session', ['sign_in_name' => 'operator', 'password' => 'a good password'])->assertOk();
    }

    #[TestWith(['1111111111'])]
    #[TestWith(['password12'])]
    #[TestWith(['Password123!'])]
    #[TestWith(['qwertyuiop'])]
    #[TestWith(['abababababab'])]
    public function test_a_password_that_everybody_tries_first_is_none(string $password): void
    {
        $this->as(Role::Keeper)->postJson('/api/people', ['name' => 'P', 'sign_in_name' => 'pia', 'password' => $password, 'role' => 'reader'])
            ->assertJsonPath('errors.password.0', 'Everybody tries that one first. Choose another, like four words that belong together only for you.');
    }

    public function test_whoever_is_invited_chooses_a_password_once_and_within_a_day(): void
    {
        $keeper = $this->as(Role::Keeper);
        $person = $this->postJson('/api/people', ['name' => 'Nell Ashby', 'sign_in_name' => 'nell', 'role' => 'operator'])->assertCreated()->json('id');
        $invite = fn (): array => $this->as(Role::Keeper)->postJson("/api/people/{$person}/invitation")->assertCreated()->json();
        $first = $invite();
        $second = $invite();
        self::assertMatchesRegularExpression('/^[2-9A-Z]{4}(-[2-9A-Z]{4}){2}$/', $second['code']);
        self::assertSame("/welcome#{$second['code']}", $second['path']);
        $accept = function (string $code, string $password = 'hens in the orchard'): TestResponse {
            $this->app['auth']->forgetGuards();
            $this->flushSession();

            return $this->postJson('/api/invitation', ['code' => $code, 'password' => $password]);
        };

        $accept($first['code'])->assertJsonPath('errors.code.0', 'That invitation has been used, or has ended. Ask your keeper for a new one.');
        $accept($second['code'], 'short')->assertJsonPath('errors.password.0', 'At least 10 characters.');
        $accept(strtolower(str_replace('-', ' ', $second['code'])))->assertOk()->assertJsonPath('person.name', 'Nell Ashby');
        $this->getJson('/api/pulse')->assertNoContent();
        $accept($second['code'])->assertJsonValidationErrors('code');
        $late = $invite();
        $this->travel(25)->hours();
        $accept($late['code'])->assertJsonValidationErrors('code');
        $ended = $invite();
        $version = Person::query()->findOrFail($person)->version;
        $this->as(Role::Keeper)->patchJson("/api/people/{$person}", ['active' => false], ['If-Match' => "\"{$version}\""])->assertOk();
        $accept($ended['code'])->assertJsonValidationErrors('code');
        $this->as(Role::Keeper)->postJson("/api/people/{$person}/invitation")->assertConflict();
    }

    public function test_the_first_keeper_types_the_code_of_the_terminal_everywhere_but_on_the_computer_itself(): void
    {
        DB::table('yard')->delete();
        $first = fn (array $more = []): TestResponse => $this->postJson('/api/first-keeper', [
            'yard' => 'Coldbrook', 'time_zone' => 'Europe/London', 'distance_unit' => 'km', 'name' => 'Rosa', 'sign_in_name' => 'rosa', 'password' => 'hens in the orchard', ...$more,
        ]);
        $this->getJson('/api/session')->assertJsonPath('needs_code', false);
        $this->withServerVariables(['REMOTE_ADDR' => '192.168.1.20']);
        $this->getJson('/api/session')->assertJsonPath('needs_code', true);
        $first(['code' => '2222-2222'])->assertJsonPath('errors.code.0', 'No code holds now. On the yard\'s computer say ./jardinier code for a new one.');

        $spent = FirstKeeperCode::make();
        for ($try = 0; $try < 5; $try++) {
            $first(['code' => '2222-2222'])->assertJsonPath('errors.code.0', 'That is not the code that the terminal printed.');
        }
        $first(['code' => $spent])->assertJsonValidationErrors('code');
        $late = FirstKeeperCode::make();
        $this->travel(61)->minutes();
        $first(['code' => $late])->assertJsonValidationErrors('code');
        $first(['code' => strtolower(FirstKeeperCode::make())])->assertCreated();
        $this->artisan('keeper:code')->expectsOutputToContain('has its keeper already')->assertFailed();
    }

    public function test_a_link_for_the_counter_ends_with_its_list_and_with_its_openers_right(): void
    {
        $machine = $this->machine();
        $open = function () use ($machine): array {
            $list = $this->as(Role::Mechanic)->postJson('/api/lists', ['name' => 'Thursday', 'rules' => [$this->ruleId($machine)]])->assertCreated()->json();

            return [$list, '/api'.$this->postJson("/api/lists/{$list['id']}/links")->assertCreated()->json('path')];
        };
        [$list, $path] = $open();
        $shown = $this->getJson($path)->assertOk();
        self::assertSame(['noindex, nofollow', 'no-referrer'], [$shown->headers->get('X-Robots-Tag'), $shown->headers->get('Referrer-Policy')]);
        $this->patchJson("/api/lists/{$list['id']}", ['is_closed' => true], ['If-Match' => '"1"'])->assertOk();
        $this->getJson($path)->assertNotFound();
        $this->patchJson("/api/lists/{$list['id']}", ['is_closed' => false], ['If-Match' => '"2"'])->assertOk();
        $this->getJson($path)->assertNotFound();

        [, $path] = $open();
        $mechanic = $this->person(Role::Mechanic)->refresh();
        $this->as(Role::Keeper)->patchJson("/api/people/{$mechanic->id}", ['role' => 'reader'], ['If-Match' => "\"{$mechanic->version}\""])->assertOk();
        $this->getJson($path)->assertNotFound();
        Person::query()->whereKey($mechanic->id)->update(['role' => Role::Mechanic]);
        $this->getJson($path)->assertNotFound();
    }

    public function test_an_id_is_a_number_and_nothing_else(): void
    {
        $machine = $this->machine();
        foreach (["{$machine}'", "{$machine} or 1=1", '1e0', '+1', str_repeat('9', 30)] as $id) {
            $this->getJson('/api/machines/'.rawurlencode($id))->assertNotFound();
        }
        $sent = $this->postJson('/api/notes', ['notes' => [['id' => (string) Str::uuid(), 'kind' => 'remark', 'at' => '2026-05-14T09:00:00Z', 'machine_id' => true, 'note' => 'x']]]);
        $sent->assertUnprocessable()->assertJsonPath('errors', ['notes.0.machine_id' => ['This is a whole number.']]);
    }

    #[TestWith(["Evil\r\nBEGIN:VALARM"])]
    #[TestWith(["Heron\u{202E}"])]
    #[TestWith(["He\u{200B}ron"])]
    #[TestWith(["He\u{7F}ron"])]
    public function test_names_hold_nothing_that_nobody_can_see(string $name): void
    {
        $this->as(Role::Keeper);
        foreach ([
            ['/api/people', ['name' => $name, 'sign_in_name' => 'pia', 'role' => 'reader'], 'name'],
            ['/api/machines', ['name' => $name, 'class' => 'zero_turn', 'place' => 'Barn'], 'name'],
            ['/api/tokens', ['name' => $name, 'abilities' => ['read'], 'days' => 3], 'name'],
        ] as [$address, $given, $field]) {
            self::assertContains(
                'There is something in this that nobody can see. Write it by hand, on one line.',
                $this->postJson($address, $given)->assertUnprocessable()->json("errors.{$field}"),
            );
        }
    }

    public function test_a_key_that_is_no_ascii_and_a_job_of_another_machine_are_refused(): void
    {
        $machine = $this->machine();
        $this->postJson('/api/machines', [], ['Idempotency-Key' => "\xE9"])->assertStatus(400)->assertJsonPath('type', '/problems/bad-key');
        $other = $this->machine(['name' => 'Teal']);
        $job = $this->postJson("/api/machines/{$other}/jobs", ['rules' => [$this->ruleId($other)]])->assertCreated()->json('id');
        foreach ([$job, (string) Str::uuid()] as $wrong) {
            foreach ([['look', ['check' => 'leaks', 'said' => 'fine']], ['top_up', ['spot' => 'engine_oil', 'amount' => '0.1 L']], ['remark', ['note' => 'x']]] as [$kind, $given]) {
                $sent = $this->send([$this->note($machine, $kind, [...$given, 'round' => null, 'job' => $wrong])])[0];
                self::assertSame(['refused', ['There is no such job on this machine.']], [$sent['status'], $sent['problem']['errors']['job'] ?? null], $kind);
            }
        }
    }

    public function test_the_log_holds_nothing_that_was_typed_whatever_the_framework_made_of_it(): void
    {
        foreach ([
            new DeadlockException("SQLSTATE[40001]: Deadlock found (SQL: insert into entries (note) values ('Nell drinks'))", 0),
            new \PDOException("Duplicate entry 'Nell drinks' for key"),
            new \ValueError('The given value "Nell drinks" does not represent a valid number.'),
            new \RuntimeException("Failed to parse 'Nell drinks"),
        ] as $fault) {
            self::assertStringNotContainsString('Nell', FaultReport::of($fault));
            self::assertStringContainsString('WallsTest.php', FaultReport::of($fault));
        }
    }

    public function test_nothing_here_is_to_be_indexed(): void
    {
        self::assertStringContainsString("User-agent: *\nDisallow: /\n", (string) file_get_contents(public_path('robots.txt')));
        foreach (['/api/session', '/', '/counter/x', '/welcome'] as $address) {
            self::assertSame('noindex, nofollow', $this->get($address)->headers->get('X-Robots-Tag'), $address);
        }
        $this->as(Role::Keeper);
        $feed = $this->postJson('/api/calendar-feeds', ['whole_yard' => true, 'remind_days' => 2])->json('path');
        self::assertSame('noindex, nofollow', $this->get($feed)->assertOk()->headers->get('X-Robots-Tag'));
        self::assertSame('no-referrer', $this->get('/counter/x')->headers->get('Referrer-Policy'));
    }

    private static function jpeg(int $width, int $height): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'photo');
        file_put_contents($path, self::jpegOf(imagecreatetruecolor($width, $height)));

        return $path;
    }

    private static function jpegOf(\GdImage $picture): string
    {
        ob_start();
        imagejpeg($picture);

        return (string) ob_get_clean();
    }
}
