<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Person;
use App\People\Role;
use App\People\Token\TokenAbility;
use Core\Machine\ActKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Who may tell a thing does not hang on what it is wrapped in: each pair of envelope and content against the direct way. */
final class RightsTest extends BenchTestCase
{
    private string $token = '';

    /** @param  list<TokenAbility>|null  $scopes  of a token; null for whoever is signed in */
    #[DataProvider('senders')]
    public function test_what_is_told_in_an_envelope_asks_as_much_as_told_alone(Role $role, bool $mayUse, ?array $scopes): void
    {
        $sender = $this->sender($role, $mayUse, $scopes);
        $asKeeper = fn (): static => $this->signedIn($this->person(Role::Keeper));
        $asSender = fn (): static => $scopes === null ? $this->signedIn($sender) : $this->by($this->token);
        foreach (self::contents() as $kind => $direct) {
            $asKeeper()->sendOne('look', ['spot' => 'engine_oil', 'title' => 'Dirt', 'said' => 'not_fine', 'verdict' => 'watch']);
            $asSender();
            $alone = $this->isLetIn($this->sendOne(...$direct));
            foreach ($this->envelopes($kind, $direct, $asKeeper, $asSender) as $envelope => [$isOpen, $wrapped]) {
                $asSender();
                self::assertSame(
                    $isOpen && $alone,
                    $this->isLetIn($this->postJson('/api/notes', ['notes' => $wrapped]), count($wrapped) - 1),
                    "{$kind} in a {$envelope}",
                );
            }
        }
    }

    /** @return iterable<string, array{Role, bool, list<TokenAbility>|null}> every role, and every scope of a token of those who may have one */
    public static function senders(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role, true, null];
            foreach (TokenAbility::cases() as $scope) {
                yield "{$role->value} by a token to {$scope->value}" => [$role, true, [$scope]];
            }
        }
        yield 'an operator of other machines' => [Role::Operator, false, null];
    }

    public function test_every_act_that_the_contract_knows_was_tried(): void
    {
        $known = array_column(ActKind::cases(), 'value');
        self::assertSame($known, Contract::read()->resolved(['$ref' => '#/components/schemas/ActKind'])['enum']);

        self::assertEqualsCanonicalizing($known, array_keys(self::contents()));
    }

    /** @return array<string, array{string, array<string, mixed>}> each act as a note that tells nothing else */
    private static function contents(): array
    {
        $service = fn (string $spot, string $act): array => ['service', ['hours' => '125', 'other' => [['spot' => $spot, 'act' => $act]]]];
        $fluid = fn (string $act): array => ['fluid', ['spot' => 'engine_oil', 'act' => $act]];

        return [
            'looked' => ['look', ['check' => 'leaks', 'said' => 'fine']],
            'measured' => ['look', ['check' => 'engine_oil', 'said' => 'measured', 'values' => ['observed' => 'full']]],
            'topped_up' => ['top_up', ['spot' => 'engine_oil', 'amount' => '0.1 L']],
            'lubricated' => ['grease', ['spot' => 'spindle_left', 'strokes' => 3]],
            'filled' => $fluid('filled'),
            'drained' => $fluid('drained'),
            'changed' => $fluid('changed'),
            'sampled' => $fluid('sampled'),
            'cleaned' => $service('engine_oil', 'cleaned'),
            'adjusted' => $service('deck_belt', 'adjusted'),
            'replaced' => $service('engine_oil_filter', 'replaced'),
            'closed' => $service('engine_oil_drain', 'closed'),
            'ran' => $service('deck', 'ran'),
        ];
    }

    /**
     * @param  array{string, array<string, mixed>}  $direct
     * @param  \Closure(): static  $asKeeper
     * @param  \Closure(): static  $asSender
     * @return array<string, array{bool, list<array<string, mixed>>}> by what it is: whether this sender may send such an
     *     envelope at all, and the notes
     */
    private function envelopes(string $kind, array $direct, \Closure $asKeeper, \Closure $asSender): array
    {
        $reading = $this->sendOne('reading', ['value' => '125']);
        $mayLog = $this->isLetIn($reading);
        $envelopes = ['batch' => [true, [$this->alone('reading', ['value' => '125']), $this->alone(...$direct)]]];
        $line = self::LINES[$kind] ?? null;
        if ($line !== null) {
            $envelopes['line of words'] = [$mayLog, [$this->alone('line', ['text' => $line, 'machine_id' => null])]];
        }
        $other = $direct[1]['other'][0] ?? ['spot' => $direct[1]['spot'] ?? 'engine_oil', 'act' => $kind];
        if ($mayLog && ! in_array($kind, ['looked', 'measured'], true)) {
            $envelopes['correction'] = [true, [$this->alone('correction', [
                'entry' => $reading->json('results.0.entry_id'),
                'because' => 'Misread',
                'hours' => '125',
                'other' => [[...$other, ...$kind === 'topped_up' ? ['amount' => '0.1 L'] : []]],
            ])]];
        }
        if ($direct[0] !== 'service') {
            $envelopes['replacement'] = [true, [$this->alone($direct[0], [...$direct[1], 'replaces' => (string) Str::uuid()])]];
            $envelopes['round'] = [true, [$this->alone($direct[0], [
                ...$direct[1],
                'round' => ['kind' => 'daily', 'started_at' => now()->format('Y-m-d\TH:i:s\Z')],
            ])]];
        }

        return $envelopes;
    }

    private const LINES = [
        'topped_up' => 'heron +0.1 L engine oil',
        'drained' => 'heron -0.1 L engine oil',
        'lubricated' => 'heron grease spindle, left',
        'replaced' => 'heron engine oil filter',
    ];

    /** The bench: whoever may not service tells no step, and signs nothing off. */
    public function test_a_jobs_step_and_its_sign_off_ask_for_service(): void
    {
        $this->signedIn($this->person(Role::Keeper));
        $this->make(['rules' => $this->rules('Grease')]);
        $this->walk();
        foreach (self::senders() as $who => [$role, $mayUse, $scopes]) {
            DB::beginTransaction();
            $sender = $this->sender($role, $mayUse, $scopes);
            $scopes === null ? $this->signedIn($sender) : $this->by($this->token);
            $mayService = $this->isLetIn($this->sendOne('service', ['hours' => '125', 'other' => [['spot' => 'engine_oil_filter', 'act' => 'replaced']]]));

            self::assertSame($mayService, $this->isLetIn($this->sendOne('step', ['job' => $this->job, 'step' => 'secure', 'did' => 'done'])), $who);
            self::assertSame($mayService, $this->isLetIn($this->sendOne('sign_off', ['job' => $this->job, 'hours' => '125'])), $who);
            DB::rollBack();
        }
    }

    /** @param  list<TokenAbility>|null  $scopes */
    private function sender(Role $role, bool $mayUse, ?array $scopes): Person
    {
        $sender = $this->person($role, 'sender');
        $sender->update(['may_use_all_machines' => $mayUse]);
        if ($scopes !== null) {
            $token = $sender->createToken('x', array_column($scopes, 'value'));
            $token->accessToken->forceFill(['epoch' => $sender->refresh()->epoch])->save();
            $this->token = $token->plainTextToken;
        }

        return $sender;
    }

    private function signedIn(Person $person): static
    {
        $this->withoutToken();

        return $this->as($person);
    }

    private function by(string $token): static
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();

        return $this->withToken($token);
    }

    /** @param  array<string, mixed>  $given */
    private function sendOne(string $kind, array $given): TestResponse
    {
        return $this->postJson('/api/notes', ['notes' => [$this->alone($kind, $given)]]);
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function alone(string $kind, array $given): array
    {
        return [
            'id' => (string) Str::uuid(),
            'kind' => $kind,
            'at' => now()->format('Y-m-d\TH:i:s\Z'),
            'machine_id' => $this->machine,
            ...$given,
        ];
    }

    /** Whether it was taken, and not turned away for who sent it; any other refusal is a fault of this test. */
    private function isLetIn(TestResponse $sent, int $at = 0): bool
    {
        if ($sent->getStatusCode() === 403) {
            return false;
        }
        $result = $sent->assertOk()->json("results.{$at}");
        self::assertContains($result['problem']['status'] ?? 200, [200, 403], (string) json_encode($result));

        return $result['status'] === 'written';
    }
}
