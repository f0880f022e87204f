<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Entry;
use App\People\Role;
use Core\Reckoner\Catalogue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

final class BadInputTest extends TestCase
{
    #[DataProvider('badReadings')]
    public function test_a_bad_reading_gets_its_message_and_nothing_is_written(mixed $value, string $message): void
    {
        $machine = $this->machine();
        $before = Entry::query()->count();

        $this->tell($machine, 'reading', ['value' => $value])
            ->assertUnprocessable()
            ->assertJsonPath('errors.value.0', $message);
        self::assertSame($before, Entry::query()->count());
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function badReadings(): iterable
    {
        yield 'missing' => [null, 'This is missing.'];
        yield 'blank' => ['  ', 'This is missing.'];
        yield 'words' => ['about four', '"about four" is not a number. Write it like 1.75, 1,75 or 1 3/4.'];
        yield 'below nothing' => ['-4', 'The reading is never less than nothing.'];
        yield 'a list' => [[4], 'The reading is a number.'];
        yield 'yes' => [true, 'The reading is a number.'];
        yield 'absurd' => ['99999999', 'The reading is more than any meter shows.'];
        yield 'endless' => [str_repeat('9', 300), 'That number is too long to be read.'];
        yield 'divided by nothing' => ['3/0', '"3/0" divides by zero.'];
        yield 'a formula' => ['1e9', '"1e9" is not a number. Write it like 1.75, 1,75 or 1 3/4.'];
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('badMachines')]
    public function test_a_bad_machine_is_refused_beside_its_field(array $given, string $field, string $message): void
    {
        $this->machine(['name' => 'Taken']);
        $this->postJson(
            '/api/machines',
            [...['name' => 'Heron', 'class' => 'tractor', 'place' => 'House', 'history' => 'new'], ...$given],
        )
            ->assertUnprocessable()
            ->assertJson(['errors' => [$field => [$message]]]);
        self::assertSame(1, DB::table('machines')->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badMachines(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'This is missing.'];
        yield 'a name that is taken' => [['name' => 'Taken'], 'name', 'There is a machine of that name already.'];
        yield 'a name without end' => [['name' => str_repeat('x', 61)], 'name', 'At most 60 characters.'];
        yield 'no such class' => [['class' => 'submarine'], 'class', 'That is not one of the choices.'];
        yield 'a meter without a reading' => [
            ['meters' => [['unit' => 'h']]],
            'meters.0.value',
            'What does the meter show now?',
        ];
        yield 'a meter of its own kind' => [
            ['meters' => [['unit' => 'furlong', 'value' => 1]]],
            'meters.0.unit',
            'That is not one of the choices.',
        ];
        yield 'a rule that never comes' => [
            ['rules' => [['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => []]]],
            'rules.0.every',
            'When does it come? Give hours, a distance, months, a part of the year, a condition, or the task it goes with.',
        ];
        yield 'an interval of nothing' => [
            [
                'rules' => [
                    ['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '0']],
                ],
            ],
            'rules.0.every.hours',
            'The hours must be above zero.',
        ];
        yield 'a window beyond the interval' => [
            [
                'rules' => [
                    [
                        'task' => 'Oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 9],
                        'early' => 4,
                    ],
                ],
            ],
            'rules.0.early',
            'From 0 to 1.',
        ];
        yield 'a beginning nobody knows' => [
            [
                'history' => 'unknown',
                'rules' => [
                    [
                        'task' => 'Oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 9],
                        'counts_from' => 'beginning',
                    ],
                ],
            ],
            'rules.0.counts_from',
            'Nobody knows this machine\'s beginning. Say when it was last done, or leave it unknown.',
        ];
        yield 'no such day' => [['began_on' => '2026-02-30'], 'began_on', 'A day is written like 2026-05-14.'];
        yield 'a day to come' => [['at' => '2027-01-01'], 'at', 'That day has not come yet.'];
    }

    public function test_broken_requests_get_problems_and_never_a_trace(): void
    {
        $machine = $this->machine();
        $this->getJson('/api/machines/999999')->assertNotFound()->assertJson(['type' => '/problems/not-found']);
        $this->getJson('/api/unknown/place')
            ->assertNotFound()
            ->assertHeader('Content-Type', 'application/problem+json');
        $this->getJson('/api/machines?cursor=%00rubbish')->assertUnprocessable();
        $this->getJson('/api/machines?limit=100000')->assertUnprocessable();
        $broken = $this->call(
            'POST',
            '/api/notes',
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: '{"value": ',
        );
        self::assertSame(400, $broken->getStatusCode());
        self::assertStringNotContainsString('.php', (string) $broken->getContent());
        $this->log($machine, '1', ['at' => 'last tuesday'])->assertJsonPath(
            'errors.on.0',
            'A day is written like 2026-05-14.',
        );
        $this->log($machine, '1', ['meter' => 'distance'])->assertJsonPath('errors.value.0', 'Heron has no odometer.');
        $this->tell(
            $machine,
            'service',
            ['hours' => '5', 'tasks' => []],
        )->assertJsonPath('errors.tasks.0', 'Choose what was done.');
    }

    public function test_the_same_key_twice_writes_once_and_gets_the_same_answer(): void
    {
        $machine = $this->machine();
        $note = [
            'id' => (string) Str::uuid(),
            'kind' => 'reading',
            'at' => '2026-05-14T09:00:00Z',
            'machine_id' => $machine,
        ];
        $send = fn (string $value, string $key) => $this->postJson(
            '/api/notes',
            ['notes' => [[...$note, 'value' => $value]]],
            ['Idempotency-Key' => $key],
        );
        $first = $send('5', 'k-1')->assertOk();
        $before = Entry::query()->count();

        $again = $send('5', 'k-1')->assertOk()->assertHeader('Idempotent-Replay', 'true');
        self::assertSame($first->json(), $again->json());
        self::assertSame($before, Entry::query()->count());
        $send('6', 'k-1')->assertUnprocessable()->assertJson(['type' => '/problems/key-reused']);
        $send('6', str_repeat('k', 101))->assertStatus(400);
        $this->as(Role::Mechanic);
        $send('5', 'k-1')->assertOk()->assertHeaderMissing('Idempotent-Replay')->assertJsonPath(
            'results.0.problem.type',
            '/problems/key-reused',
        );
    }

    public function test_a_refused_note_does_not_use_up_its_id(): void
    {
        $machine = $this->machine();
        $id = (string) Str::uuid();
        $send = fn (string $value) => $this->tell($machine, 'reading', ['id' => $id, 'value' => $value]);

        $send('rubbish')->assertUnprocessable();
        $send('9000')->assertStatus(409);
        $send('9')->assertCreated();
    }

    public function test_every_post_that_writes_takes_a_key(): void
    {
        $this->as(Role::Keeper);
        $send = fn () => $this->postJson(
            '/api/people',
            ['name' => 'Nell', 'sign_in_name' => 'nell', 'password' => 'long enough', 'role' => 'operator'],
            ['Idempotency-Key' => 'nell'],
        );

        self::assertSame($send()->assertCreated()->json('id'), $send()->assertCreated()->json('id'));
    }

    public function test_both_doors_of_the_calculators_answer_alike(): void
    {
        $this->as(Role::Reader);
        $given = ['meter' => 31.2, 'next_due' => 50];

        self::assertSame(
            Catalogue::reckon('countdown', $given, now()->toDateTimeImmutable()),
            $this->postJson('/api/reckon/countdown', $given)->assertOk()->json(),
        );
        $this->postJson('/api/reckon/soothsay', [])->assertNotFound();
        $this->postJson('/api/reckon/convert', ['quantity' => '3 psi', 'to' => 'L'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.to.0', '3 psi is a pressure, not a volume.');
    }
}
