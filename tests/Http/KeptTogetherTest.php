<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use App\Rulebook\Rule;

/** Rules that hang together, through copying, sharing and writing twice. */
final class KeptTogetherTest extends TestCase
{
    public function test_a_change_for_all_keeps_how_the_others_hang_together(): void
    {
        [$heron, $teal] = $this->sharing();
        $spindle = $this->rule($heron, 'Spindle');
        $this->patchJson(
            "/api/rules/{$spindle['id']}",
            ['note' => 'Until it shows at the seal.', 'for_all' => true],
            ['If-Match' => "\"{$spindle['version']}\""],
        )->assertOk();

        self::assertSame('Until it shows at the seal.', $this->rule($teal, 'Spindle')['note']);
        self::assertSame($this->rule($teal, 'Blade')['id'], $this->rule($teal, 'Spindle')['goes_with']);
        self::assertSame(['shared', 'shared', 'shared'], array_column($this->sheet($teal)['rules'], 'shared'));
    }

    public function test_an_exception_follows_its_own_way_until_it_reads_as_the_shared_rule_again(): void
    {
        [$heron, $teal] = $this->sharing();
        $blade = $this->rule($teal, 'Blade');
        $changed = $this->patchJson(
            "/api/rules/{$blade['id']}",
            ['every' => ['hours' => 20]],
            ['If-Match' => "\"{$blade['version']}\""],
        )->assertOk();
        self::assertSame('exception', $changed->json('shared'));
        self::assertSame('shared', $this->rule($heron, 'Blade')['shared']);

        $back = $this->patchJson(
            "/api/rules/{$blade['id']}",
            ['every' => ['hours' => '25']],
            ['If-Match' => $changed->headers->get('ETag')],
        )->assertOk();
        self::assertSame('shared', $back->json('shared'));
    }

    public function test_a_chart_sent_twice_under_one_key_is_written_once(): void
    {
        $machine = $this->machine(['rules' => []]);
        $send = fn () => $this->putJson(
            "/api/machines/{$machine}/chart",
            ['rows' => [['task' => 'Grease', 'kind' => 'lubricate', 'every' => ['hours' => 50]]]],
            ['Idempotency-Key' => 'one-chart'],
        );
        $send()->assertOk();
        self::assertSame('true', $send()->assertOk()->headers->get('Idempotent-Replay'));

        self::assertSame(1, Rule::query()->where('machine_id', $machine)->count());
        self::assertCount(1, $this->getJson("/api/machines/{$machine}/entries?kind=rule_changed")->json('data'));
    }

    public function test_a_rulebook_is_copied_onto_one_that_has_the_task_already_without_doubling_it(): void
    {
        [$heron] = $this->sharing();
        $coot = $this->machine(
            [
                'name' => 'Coot',
                'rules' => [
                    ['task' => 'blade', 'kind' => 'clean', 'spots' => ['blades'], 'every' => ['hours' => 10]],
                    [
                        'task' => 'Seat',
                        'kind' => 'inspect',
                        'new_spots' => [['name' => 'Seat', 'kind' => 'part']],
                        'every' => ['months' => 12],
                    ],
                ],
            ],
        );
        $this->postJson("/api/machines/{$coot}/rulebook-copy", ['from' => $heron])->assertNoContent();
        $this->postJson("/api/machines/{$coot}/rulebook-copy", ['from' => $heron])->assertNoContent();

        $tasks = array_column($this->sheet($coot)['rules'], 'task');
        sort($tasks);
        self::assertSame(['Blade', 'Full service', 'Seat', 'Spindle'], $tasks);
        self::assertSame(
            [null],
            array_values(array_unique(array_column($this->sheet($coot)['rules'], 'shared'))),
            'a copy follows nobody',
        );
    }

    public function test_a_mechanic_records_skips_and_reminders_but_does_not_change_the_rulebook(): void
    {
        [$heron] = $this->sharing();
        $task = $this->rule($heron, 'Full service')['task_id'];
        $this->as(Role::Mechanic);

        $this->tell($heron, 'skip', ['tasks' => [$task], 'note' => 'The dealer has it next week'])->assertCreated();
        $this->tell($heron, 'reminder', ['set' => '12'])->assertCreated();
        $this->putJson("/api/machines/{$heron}/chart", ['rows' => []])->assertForbidden();
        $this->tell($heron, 'call', ['tasks' => [999_999], 'note' => 'nothing'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['tasks']]);
    }

    /** @return array{int, int} two machines that share a service, a blade and its spindle */
    private function sharing(): array
    {
        $heron = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Full service',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 200],
                    ],
                ],
            ],
        );
        $blade = $this->postJson(
            "/api/machines/{$heron}/rules",
            ['task' => 'Blade', 'kind' => 'clean', 'spots' => ['blades'], 'every' => ['hours' => 25]],
        )
            ->assertCreated()
            ->json('id');
        $this->postJson(
            "/api/machines/{$heron}/rules",
            ['task' => 'Spindle', 'kind' => 'lubricate', 'spots' => ['spindle_left'], 'goes_with' => $blade],
        )->assertCreated();
        $teal = $this->machine(['name' => 'Teal', 'rules' => []]);
        $this->postJson("/api/machines/{$heron}/shared-rulebook", ['name' => 'Small mowers'])->assertNoContent();
        $this->putJson(
            "/api/machines/{$teal}/shared-rulebook",
            ['rulebook' => $this->getJson('/api/shared-rulebooks')->json('rulebooks.0.id')],
        )->assertNoContent();

        return [$heron, $teal];
    }

    /** @return array<string, mixed> */
    private function rule(int $machine, string $task): array
    {
        return array_column($this->sheet($machine)['rules'], null, 'task')[$task];
    }
}
