<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Stock\Supply;
use App\Machines\Spot;
use App\People\Person;
use App\People\Role;
use App\Shelf\Ready\GatheringList;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\Drawn;

/** Whatever is sent, nothing breaks here, and nothing is written where it is said to be refused. */
final class FuzzTest extends TestCase
{
    private const REQUESTS = 5_000;

    private const SEED = 20260514;

    /** @var array<string, string> what stands for each placeholder of an address */
    private array $known;

    protected function setUp(): void
    {
        parent::setUp();
        $machine = $this->machine();
        $entry = $this->log($machine, '12')->json('entry.id');
        $look = [
            'id' => (string) Str::uuid(),
            'kind' => 'look',
            'at' => '2026-05-14T08:00:00Z',
            'machine_id' => $machine,
            'check' => 'leaks',
            'said' => 'not_fine',
            'verdict' => 'watch',
        ];
        $this->postJson('/api/notes', ['notes' => [$look]])->assertJsonPath('results.0.status', 'written');
        $this->known = ['machine' => (string) $machine, 'entry' => (string) $entry, 'rule' => (string) $this->ruleId($machine), 'person' => (string) $this->person(Role::Mechanic)->id, 'name' => 'reading', 'check' => 'leaks', 'task' => (string) $this->taskId($machine),
            'spot_id' => (string) Spot::query()->where('machine_id', $machine)->value('id'),
            'spot_key' => 'engine_oil',
            'list' => (string) GatheringList::query()->create([
                'name' => 'Thursday',
                'preference' => 'makers',
                'works' => ['rules' => [], 'spots' => []],
                'person_id' => $this->person(Role::Keeper)->id,
                'made_at' => now(),
            ])->id,
            'job' => (string) $this->postJson("/api/machines/{$machine}/jobs", ['rules' => [$this->ruleId($machine)]])->json('id'),
            'thing' => '1',
            'link' => '1',
            'supply' => (string) Supply::query()->create(['name' => 'Oil', 'label' => ['kind' => 'engine_oil']])->id,
            'token' => (string) $this->person(Role::Keeper)->createToken('x')->accessToken->getKey(),
            'feed' => '1',
            'signIn' => '1',
            'photo' => (string) Str::uuid()];
    }

    #[Group('long')]
    public function test_no_request_made_up_from_the_contract_breaks_anything(): void
    {
        $fuzz = new Fuzz(self::SEED);
        $operations = Contract::read()->operations();
        $calculators = Contract::read()->calculators();
        $refused = $broken = [];
        $accepted = 0;
        // Every request is taken back, so that each finds the same yard.
        $before = self::rows();
        $wrote = false;
        DB::listen(function (QueryExecuted $query) use (&$wrote): void {
            $wrote = $wrote || ! preg_match('/^(select|set|savepoint)\b/i', $query->sql);
        });
        for ($number = 0; $number < Drawn::times(self::REQUESTS); $number++) {
            $operation = $operations[$number % count($operations)];
            $this->known['name'] = $fuzz->oneOf($calculators);
            $this->known['spot'] = $this->known[str_contains($operation, '{machine}') ? 'spot_key' : 'spot_id'];
            DB::beginTransaction();
            $wrote = false;
            $answer = $this->sendMadeUp($fuzz, $operation, $sent);
            $status = $answer->getStatusCode();
            $accepted += $status < 300 ? 1 : 0;
            if ($status >= 500) {
                $broken["{$operation} {$status}"] ??= mb_strcut($sent, 0, 600)."\n".($answer->exception === null ? '' : $answer->exception::class.': '.mb_strcut($answer->exception->getMessage(), 0, 300).' at '.$answer->exception->getFile().':'.$answer->exception->getLine());
            }
            if ($status >= 400 && $wrote && self::rows() !== $before) {
                $refused[$operation] ??= "{$status} {$sent}";
            }
            while (DB::transactionLevel() > 1) {
                DB::rollBack();
            }
        }

        self::assertSame([], $broken, count($broken).' broke');
        self::assertSame([], $refused, 'something was written where it was said to be refused');
        self::assertGreaterThan($number / 5, $accepted, 'they reach what lies behind the refusals');
    }

    private function sendMadeUp(Fuzz $fuzz, string $operation, ?string &$sent): TestResponse
    {
        $made = $fuzz->request($operation, $this->known);
        $sent = "{$made->method} {$made->address} {$made->type} {$made->body}";
        // The guards themselves stay: the container remembers every one it ever made.
        foreach (['web', 'sanctum'] as $guard) {
            $this->app['auth']->guard($guard)->forgetUser();
        }
        $this->flushSession();
        $this->forgetRequest();
        if (! preg_match('/session|first-keeper/', $operation) && $fuzz->chance(97)) {
            $this->actingAs(Person::query()->where('role', Role::Keeper)->firstOrFail(), 'web');
        }

        return \Illuminate\Foundation\Testing\TestCase::call(
            $made->method,
            "/api{$made->address}",
            server: ['HTTP_ORIGIN' => config('app.url'), ...$this->transformHeadersToServerVars($made->headers)],
            content: $made->body,
        );
    }

    /** @return array<string, mixed> how many rows there are of everything, and how often what there is was changed */
    private static function rows(): array
    {
        static $query = null;
        $query ??= 'select '.implode(', ', [
            ...array_map(
                fn (string $table): string => "(select count(*) from `{$table}`) as `{$table}`",
                [
                    'people',
                    'personal_access_tokens',
                    'calendar_feeds',
                    'machines',
                    'meters',
                    'rules',
                    'entries',
                    'readings',
                    'decisions',
                    'rounds',
                    'acts',
                    'measures',
                    'moves',
                    'fittings',
                    'spots',
                    'grease_points',
                    'tasks',
                    'changed_checks',
                    'shared_rulebooks',
                    'sent_notes',
                    'photos',
                    'idempotency_keys',
                ],
            ),
            ...array_map(
                fn (string $table): string => "(select sum(version) from `{$table}`) as `{$table}_versions`",
                ['people', 'yard', 'machines', 'rules', 'spots', 'shared_rulebooks'],
            ),
            '(select count(*) from entries where struck_at is not null) as struck',
            '(select count(*) from acts where struck_at is not null) as acts_struck',
        ]);

        return (array) DB::selectOne($query);
    }
}
