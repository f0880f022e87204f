<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Acts\Act;
use App\People\Role;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** One thing told of a spot is the same whichever door it came in by: what it takes, what it asks, what it means. */
final class ToldTest extends BenchTestCase
{
    private const OIL = ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API CK-4']];

    private int $container;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sheetOf($this->machine, 'engine_oil', [
            'capacities' => [['amount' => '1.6-1.8 L', 'kind' => 'with_filter']],
            'specification' => ['kind' => 'engine_oil', 'grades' => [['grade' => '10W-30']]],
            'service' => ['run' => 5],
        ]);
        $oil = $this->postJson('/api/supplies', ['kind' => 'fluid', 'name' => 'Orchard', 'label' => self::OIL])->assertCreated()->json('id');
        $this->tell(null, 'bought', ['supply' => $oil, 'size' => '5 L', 'count' => 1])->assertCreated();
        $this->container = $this->getJson("/api/supplies/{$oil}")->json('containers.0.id');
        $this->tell($this->machine, 'top_up', ['spot' => 'engine_oil', 'amount' => '10 mL', 'container' => $this->container])->assertCreated();
    }

    /** @param  array<string, mixed>  $note  with `{amount}` for how much went in */
    #[DataProvider('doors')]
    public function test_a_top_up_comes_out_of_the_one_open_container_by_every_door(array $note): void
    {
        $this->pour($note, '0.2 L')->assertCreated();

        self::assertSame('4.79', $this->shelf());
        self::assertSame('topped up, 0.2 L of Orchard out of the 5 L container', $this->lately());
    }

    /** @param  array<string, mixed>  $note */
    #[DataProvider('doors')]
    public function test_more_than_it_holds_is_asked_before_it_is_written_by_every_door(array $note): void
    {
        $asks = '30 L (31.7 qt) is well over the 1.8 L (1.9 qt) that the engine oil holds.';
        $refused = $this->pour($note, '30 L')->assertConflict();
        self::assertSame('/problems/unlikely', $refused->json('type'));
        self::assertContains([$asks], array_values($refused->json('errors')));
        self::assertSame('4.99', $this->shelf(), 'nothing is written that was asked about');
        $this->pour([...$note, 'confirmed_because' => 'It was dry, and it leaks'], '30 L')->assertCreated();

        self::assertSame('It was dry, and it leaks', $this->entries()[0]['confirmed_because']);
        self::assertSame([], $this->entries()[0]['doubts'], 'what was answered is not asked again');
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function doors(): iterable
    {
        yield 'a top-up by the way' => [['kind' => 'top_up', 'spot' => 'engine_oil', 'amount' => '{amount}']];
        yield 'a top-up in a round' => [['kind' => 'top_up', 'spot' => 'engine_oil', 'amount' => '{amount}', 'round' => ['kind' => 'daily', 'started_at' => '2026-05-14T08:00:00Z']]];
        yield 'the level read in a round' => [[
            'kind' => 'look',
            'check' => 'engine_oil',
            'said' => 'measured',
            'values' => ['observed' => 'add', 'topped_up' => '{amount}'],
            'round' => ['kind' => 'daily', 'started_at' => '2026-05-14T08:00:00Z'],
        ]];
        yield 'the log line' => [['kind' => 'line', 'machine_id' => null, 'text' => 'heron +{amount} engine oil']];
        yield 'a service' => [['kind' => 'service', 'hours' => '125', 'other' => [['spot' => 'engine_oil', 'act' => 'topped_up', 'amount' => '{amount}']]]];
    }

    public function test_the_log_line_asks_in_its_preview(): void
    {
        $this->postJson('/api/log-line/preview', ['text' => 'heron +30 L engine oil'])->assertOk()
            ->assertJsonPath('asks', true)
            ->assertJsonPath('sentence', "Heron's engine oil topped up with 30 L (31.7 qt), out of the open 5 L Orchard."
                .' 30 L (31.7 qt) is well over the 1.8 L (1.9 qt) that the engine oil holds.');
    }

    public function test_twice_what_usually_goes_in_is_asked_about_once_it_is_known_what_is_usual(): void
    {
        foreach (['0.2 L', '0.25 L'] as $usual) {
            $this->pour(self::topUp(), $usual)->assertCreated();
        }
        $this->pour(self::topUp(), '0.2 L')->assertCreated();
        $this->pour(self::topUp(), '0.6 L')->assertConflict()->assertJsonPath(
            'errors.amount.0',
            '0.6 L (0.63 qt) is more than twice the 0.2 L (0.21 qt) that usually goes into the engine oil.',
        );
    }

    /** Where it waited on a phone nobody can be asked: it is written, and asked about until somebody answers. */
    public function test_what_waited_on_a_phone_is_written_with_its_doubt_which_is_shown_until_somebody_answers(): void
    {
        $operator = $this->person(Role::Operator);
        $this->as($operator);
        $result = $this->postJson('/api/notes', ['attended' => [], 'notes' => [[
            'id' => '6b2f1a52-52f6-4c52-8a11-93a2e7dd3f01',
            'kind' => 'look',
            'machine_id' => $this->machine,
            'at' => now()->subHour()->format('Y-m-d\TH:i:s\Z'),
            'check' => 'engine_oil',
            'said' => 'measured',
            'values' => ['observed' => 'add', 'topped_up' => '3 L'],
            'round' => ['kind' => 'daily', 'started_at' => now()->subHour()->format('Y-m-d\TH:i:s\Z')],
        ]]])->assertOk()->json('results.0');
        $asks = '3 L (3.17 qt) is well over the 1.8 L (1.9 qt) that the engine oil holds.';
        self::assertSame(['written', [$asks]], [$result['status'], $result['asks']]);
        $mine = $this->getJson('/api/walkaround/morning')->assertOk()->json();
        self::assertSame([1, $asks, 'Operator'], [$mine['open_questions'], $mine['questions'][0]['asks'], $mine['questions'][0]['by']]);
        $other = $this->person(Role::Operator, 'bram');
        self::assertSame(0, $this->as($other)->getJson('/api/walkaround/morning')->json('open_questions'), 'it is nobody else\'s');
        $this->as(Role::Keeper);
        self::assertSame(1, $this->getJson('/api/walkaround/morning')->json('open_questions'), 'but the keeper\'s');
        $doubt = $this->entries()[0]['doubts'][0];
        self::assertSame([$asks, null], [$doubt['asks'], $doubt['answer']]);

        $this->as($other)->tell($this->machine, 'answer', ['doubt' => $doubt['id'], 'note' => 'I think so'])->assertForbidden();
        $this->as($operator)->tell($this->machine, 'answer', ['doubt' => $doubt['id']])->assertUnprocessable()
            ->assertJsonPath('errors.note.0', 'Say why it is right.');
        $answer = $this->tell($this->machine, 'answer', ['doubt' => $doubt['id'], 'note' => 'The plug had been out'])->assertCreated()
            ->assertJsonPath('entry.in_words', "Right so: {$asks}")->json('entry.id');
        self::assertSame(0, $this->as(Role::Keeper)->getJson('/api/walkaround/morning')->json('open_questions'));
        $answered = $this->entries()[1]['doubts'][0]['answer'];
        self::assertSame(['Operator', 'The plug had been out'], [$answered['by'], $answered['because']]);
        $this->tell($this->machine, 'answer', ['doubt' => $doubt['id'], 'note' => 'Again'])->assertConflict();
        $this->tellOf($answer, 'strike', ['because' => 'No, it had not'])->assertCreated();
        self::assertSame(1, $this->getJson('/api/walkaround/morning')->json('open_questions'), 'an answer that is struck is none');
    }

    public function test_a_correction_answers_what_was_asked_and_a_struck_entry_is_asked_nothing(): void
    {
        foreach (['correction', 'strike'] as $kind) {
            $this->unattended('service', ['hours' => '125', 'other' => [['spot' => 'engine_oil', 'act' => 'topped_up', 'amount' => '3 L']]]);
            self::assertNotSame(0, $this->getJson('/api/walkaround/morning')->json('open_questions'));
            $this->tellOf($this->entries()[0]['id'], $kind, ['because' => 'It was 0.3 L'])->assertCreated();
            self::assertSame(0, $this->getJson('/api/walkaround/morning')->json('open_questions'), $kind);
        }
    }

    /** Fact 4 of the model: seal, reused, torque. */
    public function test_how_a_plug_was_tightened_at_the_bench_stands_in_the_book(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk(said: ['torque:engine_oil_drain' => ['wrench' => 'Long click wrench']]);
        $this->signOff(['hours' => '126'])->assertCreated();
        $done = array_column($this->getJson("/api/machines/{$this->machine}/spots/engine_oil_drain")->json('acts'), 'in_words');
        self::assertContains('closed, W 18, 22 ft-lb by the Long click wrench', $done);
    }

    public function test_what_was_tightened_by_feel_stands_in_the_book_as_that(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk(said: ['torque:engine_oil_drain' => ['by_feel' => true]]);
        $this->signOff(['hours' => '126'])->assertCreated();
        $done = array_column($this->getJson("/api/machines/{$this->machine}/spots/engine_oil_drain")->json('acts'), 'in_words');
        self::assertContains('closed, W 18, tightened by feel', $done);
    }

    /** What is read at the bench has the shape of what is read in a round, and says the same to the oil's life. */
    public function test_a_level_read_full_at_the_bench_is_full_to_the_life_of_the_oil(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();
        $read = Act::query()->where(['machine_id' => $this->machine, 'kind' => 'measured'])->firstOrFail();

        self::assertSame(['full', 20, false], [$read->typed['observed'] ?? null, $read->typed['level'] ?? null, $read->typed['slope'] ?? null]);
    }

    public function test_a_look_by_a_check_of_ones_own_is_told_as_any_other(): void
    {
        $this->putJson("/api/machines/{$this->machine}/checks/own-hopper", [
            'for' => 'machine',
            'values' => ['title' => 'Hopper', 'spot' => 'engine_oil', 'rounds' => ['daily']],
        ])->assertOk();
        $this->unattended('look', ['check' => 'own-hopper', 'said' => 'fine']);
        self::assertSame('check', Act::query()->where('check_key', 'own-hopper')->firstOrFail()->looked_by->value);
        $this->unattended('look', ['spot' => 'engine_oil', 'title' => 'Cap cracked', 'said' => 'not_fine', 'verdict' => 'watch']);
        self::assertSame('chance', Act::query()->where('title', 'Cap cracked')->firstOrFail()->looked_by->value);
    }

    public function test_strokes_that_a_starter_says_are_about_and_never_booked_as_counted(): void
    {
        $this->tell(null, 'line', ['text' => 'heron grease all'])->assertCreated();
        self::assertSame([null], Act::query()->where(['machine_id' => $this->machine, 'kind' => 'lubricated'])->pluck('strokes')->unique()->all());
        $points = $this->getJson("/api/machines/{$this->machine}/grease")->json('points');
        self::assertSame(['fresh'], array_values(array_unique(array_column($points, 'state'))), 'it was greased all the same');
        self::assertStringStartsWith('Greased, strokes not counted, 0 days ago', $points[0]['why']);
        self::assertTrue($points[0]['grease']['about']);

        $spot = $points[0];
        $this->patchJson("/api/spots/{$spot['id']}", ['grease' => ['strokes' => 7]], ['If-Match' => "\"{$spot['version']}\""])->assertOk()
            ->assertJsonPath('grease.about', false);
        $this->tell(null, 'line', ['text' => 'heron grease all'])->assertCreated();
        self::assertSame(7, Act::query()->where('spot_id', $spot['id'])->latest('id')->firstOrFail()->strokes);
        $grease = ['spot' => $spot['key'], 'strokes' => 15];
        $this->tell($this->machine, 'grease', $grease)->assertConflict()
            ->assertJsonPath('errors.strokes.0', fn (string $asks): bool => str_starts_with($asks, '15 strokes is more than twice the 7 that the '));
        $this->tell($this->machine, 'grease', [...$grease, 'confirmed_because' => 'It was dry'])->assertCreated();
    }

    /** A service whose reading was wrong keeps what hangs on its other acts. */
    public function test_a_correction_keeps_what_was_measured_fitted_and_poured(): void
    {
        $service = ['hours' => '125', 'other' => [
            ['spot' => 'engine_oil', 'act' => 'topped_up', 'amount' => '0.2 L'],
            ['spot' => 'engine_oil_drain', 'act' => 'closed', 'torque' => '22 ft-lb', 'wrench' => 'Long click wrench', 'by_feel' => false],
        ]];
        $entry = $this->tell($this->machine, 'service', $service)->assertCreated()->json('entry.id');
        self::assertSame('4.79', $this->shelf());
        $this->tellOf($entry, 'correction', ['hours' => '126', 'because' => 'Misread'])->assertCreated();

        self::assertSame('4.79', $this->shelf());
        $told = array_column($this->getJson("/api/machines/{$this->machine}/spots/engine_oil")->json('acts'), 'in_words');
        self::assertContains('topped up, 0.2 L of Orchard out of the 5 L container', $told);
        $closed = Act::query()->standing()->where(['machine_id' => $this->machine, 'kind' => 'closed'])->with('fitting')->sole();
        self::assertSame(['22 ft-lb', 'Long click wrench'], [$closed->fitting?->torque, $closed->fitting?->wrench]);
    }

    /** @return array<string, mixed> */
    private static function topUp(): array
    {
        return ['kind' => 'top_up', 'spot' => 'engine_oil', 'amount' => '{amount}'];
    }

    /** @param  array<string, mixed>  $note */
    private function pour(array $note, string $amount): TestResponse
    {
        $given = json_decode(str_replace('{amount}', $amount, (string) json_encode($note)), true);

        return $this->tellAlone(array_key_exists('machine_id', $given) ? null : $this->machine, $given['kind'], $given);
    }

    /** @param  array<string, mixed>  $given */
    private function unattended(string $kind, array $given): void
    {
        $this->postJson('/api/notes', ['attended' => [], 'notes' => [[
            'id' => (string) Str::uuid(),
            'kind' => $kind,
            'machine_id' => $this->machine,
            'at' => now()->format('Y-m-d\TH:i:s\Z'),
            ...$given,
        ]]])->assertOk()->assertJsonPath('results.0.status', 'written');
    }

    private function shelf(): string
    {
        return collect($this->getJson('/api/shelf')->json('supplies'))->firstWhere('name', 'Orchard')['left']['value'];
    }

    private function lately(): string
    {
        return $this->getJson("/api/machines/{$this->machine}/spots/engine_oil")->assertOk()->json('acts.0.in_words');
    }

    /** @return list<array<string, mixed>> newest first */
    private function entries(): array
    {
        $entries = $this->getJson("/api/machines/{$this->machine}/entries")->assertOk()->json('data');
        usort($entries, fn (array $one, array $other): int => $other['id'] <=> $one['id']);

        return $entries;
    }
}
