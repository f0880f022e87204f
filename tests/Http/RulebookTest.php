<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use PHPUnit\Framework\Attributes\DataProvider;

/** Rules of every shape, severity, warranty, shared rulebooks and the machine's own reminder, through the API. */
final class RulebookTest extends TestCase
{
    public function test_a_rule_comes_in_a_part_of_the_year_or_when_a_check_says_so(): void
    {
        $machine = $this->machine(['class' => 'front_mower', 'rules' => [
            [
                'task' => 'Blades',
                'kind' => 'clean',
                'spots' => ['blades'],
                'windows' => [['name' => 'summer', 'from' => '06-01', 'to' => '06-30']],
                'counts_from' => 'beginning',
            ],
            [
                'task' => 'Water separator',
                'kind' => 'clean',
                'spots' => ['fuel_filter'],
                'condition' => 'water shows in the bowl',
            ],
        ]]);
        [$blades, $separator] = $this->rulesByTask($machine, 'Blades', 'Water separator');

        self::assertSame(
            ['nearing', 'in summer, 1 June to 30 June'],
            [$blades['standing']['state'], $blades['in_words']],
        );
        self::assertSame(
            ['fresh', 'when a check says so: water shows in the bowl'],
            [$separator['standing']['state'], $separator['in_words']],
        );

        $call = $this->tell(
            $machine,
            'call',
            ['tasks' => [$separator['task_id']], 'note' => 'Water up to the ring'],
        )->assertCreated();
        self::assertSame('Called for: water separator', $call->json('entry.in_words'));
        self::assertSame(
            ['due', 'A check on 14 May 2026 called for it: Water up to the ring.'],
            $this->standing($machine, 'Water separator'),
        );
        $this->travel(1)->hours();
        $this->serve($machine, [$separator['task_id']], '1');
        self::assertSame('fresh', $this->standing($machine, 'Water separator')[0]);
    }

    public function test_a_spot_that_two_tasks_share_counts_for_both_and_one_goes_with_another(): void
    {
        $machine = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Full service',
                        'kind' => 'replace',
                        'spots' => ['engine_oil', 'engine_oil_filter'],
                        'every' => ['hours' => 200],
                    ],
                    [
                        'task' => 'Half service',
                        'kind' => 'replace',
                        'spots' => ['engine_oil_filter'],
                        'every' => ['hours' => 100],
                    ],
                ],
            ],
        );
        [$full, $half] = $this->rulesByTask($machine, 'Full service', 'Half service');
        $this->postJson(
            "/api/machines/{$machine}/rules",
            ['task' => 'Spindle', 'kind' => 'lubricate', 'spots' => ['spindle_left'], 'goes_with' => $full['id']],
        )->assertCreated();
        $this->log($machine, '60', ['at' => '2026-05-12']);
        $this->serve($machine, [$full['task_id']], '60');

        self::assertSame(160, $this->rulesByTask($machine, 'Half service')[0]['standing']['due']['hours']);
        self::assertSame(
            'Goes with full service: due at 260 h, 200 h after 60 h. 200 h left.',
            $this->standing($machine, 'Spindle')[1],
        );
        self::assertSame(
            ['Left out when full service was last done, on 14 May 2026.'],
            $this->rulesByTask($machine, 'Spindle')[0]['standing']['notes'],
        );

        [$spindle] = $this->rulesByTask($machine, 'Spindle');
        $this->change($full, ['goes_with' => $spindle['id']])
            ->assertUnprocessable()
            ->assertJsonPath('errors.goes_with.0', 'These two would each wait for the other.');
        $this->change($full, ['retired' => true])
            ->assertUnprocessable()
            ->assertJsonPath('errors.retired.0', 'Spindle never falls due. Give it an interval of its own first.');
        $this->change($half, ['goes_with' => 999_999])
            ->assertUnprocessable()
            ->assertJsonPath('errors.goes_with.0', 'That task is not in this rulebook.');
    }

    public function test_a_filter_alone_says_what_is_poured_back(): void
    {
        $machine = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Hydrostatic filters',
                        'kind' => 'replace',
                        'spots' => ['hydrostatic_filter_left', 'hydrostatic_filter_right'],
                        'every' => ['hours' => 200],
                        'top_up' => '1.75 gal',
                    ],
                ],
            ],
        );

        self::assertSame(
            '1.75 gal (6.62 L)',
            $this->rulesByTask($machine, 'Hydrostatic filters')[0]['top_up_in_words'],
        );
        $this->postJson(
            "/api/machines/{$machine}/rules",
            [
                'task' => 'Oil',
                'kind' => 'replace',
                'spots' => ['engine_oil'],
                'every' => ['hours' => 9],
                'top_up' => '3 psi',
            ],
        )
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['top_up']]);
    }

    /** Handbook, section 12: the two schools, with the consequence before choosing. */
    public function test_both_anchors_are_told_before_one_is_chosen_and_a_service_can_choose(): void
    {
        $machine = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 400],
                        'source' => 'book',
                    ],
                ],
            ],
        );
        $rule = $this->ruleId($machine);
        $this->log($machine, '362', ['at' => '2026-05-13', 'confirmed_because' => 'ran day and night']);

        $told = $this->getJson("/api/rules/{$rule}/consequences?hours=362&at=2026-05-14")
            ->assertOk()
            ->json('consequences');
        self::assertSame(
            [
                "Next at 762 h. It will then have run 400 h, just the book's interval.",
                "Next at 800 h. It will then have run 438 h, 38 h over the book's 400 h.",
            ],
            array_column($told, 'in_words'),
        );
        $this->getJson("/api/rules/{$rule}/consequences?hours=many")
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['hours']]);

        $this->serve(
            $machine,
            [$this->taskId($machine)],
            '362',
            ['anchors' => [['rule_id' => $rule, 'anchor' => 'chart']]],
        );
        self::assertSame(
            [800, 'chart'],
            [
                $this->rulesByTask($machine, 'Oil')[0]['standing']['due']['hours'],
                $this->rulesByTask($machine, 'Oil')[0]['anchor'],
            ],
        );
    }

    public function test_a_point_passed_over_on_purpose_is_written_down_with_its_reason_and_can_be_struck(): void
    {
        $machine = $this->machine();
        $task = $this->taskId($machine);
        $this->tell($machine, 'skip', ['tasks' => [$task]])
            ->assertUnprocessable()
            ->assertJsonPath('errors.note.0', 'Say why it is passed over.');
        $skip = $this->tell($machine, 'skip', ['tasks' => [$task], 'note' => 'Going to be sold'])->assertCreated();

        $standing = $this->rulesByTask($machine, 'Engine oil')[0]['standing'];
        self::assertSame(
            [200, ['Runs for 200 h until then, over the 110 h allowed.']],
            [$standing['due']['hours'], $standing['notes']],
        );
        $this->tellOf($skip->json('entry.id'), 'strike', ['because' => 'It stays after all'])->assertCreated();
        self::assertSame(100, $this->rulesByTask($machine, 'Engine oil')[0]['standing']['due']['hours']);
    }

    public function test_dust_tightens_what_it_wears_and_the_yard_sets_its_own_shares(): void
    {
        $machine = $this->machine(
            [
                'class' => 'tractor',
                'rules' => [
                    [
                        'task' => 'Air cleaner',
                        'kind' => 'clean',
                        'spots' => ['air_cleaner'],
                        'every' => ['hours' => 100],
                    ],
                    ['task' => 'Coolant', 'kind' => 'replace', 'spots' => ['coolant'], 'every' => ['months' => 24]],
                ],
            ],
        );
        $this->patchJson(
            "/api/machines/{$machine}",
            ['severities' => [['severity' => 'dust', 'from' => '05-01', 'to' => '09-30'], ['severity' => 'heat']]],
            ['If-Match' => '"1"'],
        )->assertOk();

        [$air] = $this->rulesByTask($machine, 'Air cleaner');
        self::assertSame(
            [50, '100 h × 0.5 for dust makes 50 h.'],
            [$air['standing']['due']['hours'], $air['tightened']],
        );
        self::assertSame(
            '24 months × 0.5 for dust makes 12 months.',
            $this->rulesByTask($machine, 'Coolant')[0]['tightened'],
        );

        $yard = $this->getJson('/api/yard');
        $this->patchJson(
            '/api/yard',
            ['severity' => ['dust' => ['air_cleaner' => 2]]],
            ['If-Match' => $yard->headers->get('ETag')],
        )->assertUnprocessable();
        $this->patchJson(
            '/api/yard',
            ['severity' => ['dust' => ['air_cleaner' => 0.25]]],
            ['If-Match' => $yard->headers->get('ETag')],
        )->assertOk();
        self::assertSame(25, $this->rulesByTask($machine, 'Air cleaner')[0]['standing']['due']['hours']);
        self::assertContains(
            $this->sheet($machine)['line'],
            $this->getJson('/api/machines?limit=200')->assertOk()->json('data'),
            'the yard is reckoned by it too',
        );
        $this->travelTo('2026-11-02T10:00:00Z');
        self::assertSame(
            100,
            $this->rulesByTask($machine, 'Air cleaner')[0]['standing']['due']['hours'],
            'the dusty season is over',
        );
    }

    public function test_a_rule_looser_than_the_book_under_warranty_needs_a_reason_and_stays_marked(): void
    {
        $machine = $this->machine(['warranty' => [
            'until' => '2028-05-01',
            'hours' => '1000',
        ], 'extended_warranty' => ['until' => '2030-05-01'],
            'rules' => [
                [
                    'task' => 'Oil',
                    'kind' => 'replace',
                    'spots' => ['engine_oil'],
                    'every' => ['hours' => 50],
                    'book' => ['hours' => 100],
                ],
            ]]);
        [$oil] = $this->rulesByTask($machine, 'Oil');
        self::assertNull($oil['warranty'], 'tighter is free');
        self::assertSame(
            ['Warranty to 1 May 2028 or 1,000 h', 'Extended warranty to 1 May 2030'],
            $this->sheet($machine)['warranties'],
        );

        $this->change($oil, ['every' => ['hours' => 150]])
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.loosened_because.0',
                'Looser than the book while the warranty runs to 1 May 2028 or 1,000 h: say why. It stays marked.',
            );
        $this->change(
            $oil,
            [
                'every' => ['hours' => 150],
                'loosened_because' => 'Synthetic, agreed with the dealer',
                'dealer_only' => false,
            ],
        )->assertOk();
        self::assertSame(
            'Looser than the book while the warranty runs to 1 May 2028 or 1,000 h. Reason: synthetic, agreed with the dealer',
            $this->rulesByTask($machine, 'Oil')[0]['warranty'],
        );

        $this->travelTo('2028-05-02T10:00:00Z');
        self::assertNull($this->rulesByTask($machine, 'Oil')[0]['warranty'], 'the warranty has run out');
        $this->change($this->rulesByTask($machine, 'Oil')[0], ['dealer_only' => true])->assertOk();
        self::assertStringStartsWith(
            "The dealer's while the extended warranty runs to 1 May 2030",
            $this->rulesByTask($machine, 'Oil')[0]['warranty'],
        );
    }

    public function test_a_used_machine_says_what_to_do_first(): void
    {
        $machine = $this->machine(
            [
                'history' => 'unknown',
                'began_on' => null,
                'rules' => [
                    ['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => 100]],
                    ['task' => 'Brakes', 'kind' => 'inspect', 'spots' => ['brakes'], 'every' => ['hours' => 50]],
                ],
            ],
        );
        [$oil, $brakes] = $this->rulesByTask($machine, 'Oil', 'Brakes');

        self::assertSame(
            [[$brakes['id']], [$oil['id']]],
            array_column($this->sheet($machine)['first_things'], 'rule_ids'),
        );
        $this->serve($machine, [$oil['task_id']], '1');
        self::assertSame([[$brakes['id']]], array_column($this->sheet($machine)['first_things'], 'rule_ids'));
    }

    public function test_a_reminder_that_rings_too_late_is_told(): void
    {
        $machine = $this->machine(['reset_note' => 'Hold both buttons for five seconds.']);
        $this->log($machine, '31.2', ['at' => '2026-05-12']);
        self::assertSame('Hold both buttons for five seconds.', $this->sheet($machine)['reset_note']);
        self::assertNull($this->sheet($machine)['reminder']);

        $this->tell($machine, 'reminder', ['set' => '70'])
            ->assertCreated()
            ->assertJsonPath('entry.in_words', "The machine's own reminder set to 70 at 31.2 h");
        self::assertSame(
            "The machine's own reminder rings at 101.2 h, 1.2 h after the rulebook's 100 h.",
            $this->sheet($machine)['reminder']['disagrees'],
        );
        $this->tell($machine, 'reminder', ['set' => '68'])->assertCreated();
        self::assertNull($this->sheet($machine)['reminder']['disagrees'], 'less than the display\'s step');
        $this->serve($machine, [$this->taskId($machine)], '40');
        self::assertStringContainsString(
            "before the rulebook's 140 h",
            $this->sheet($machine)['reminder']['disagrees'],
        );
    }

    public function test_a_rulebook_is_copied_to_a_sister_machine_with_how_it_hangs_together(): void
    {
        $heron = $this->machine(
            [
                'rules' => [
                    ['task' => 'Blade', 'kind' => 'clean', 'spots' => ['blades'], 'every' => ['hours' => 25]],
                    [
                        'task' => 'Engine oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 50],
                    ],
                ],
            ],
        );
        $this->postJson(
            "/api/machines/{$heron}/rules",
            [
                'task' => 'Spindle',
                'kind' => 'lubricate',
                'spots' => ['spindle_left'],
                'goes_with' => $this->rulesByTask($heron, 'Blade')[0]['id'],
            ],
        )->assertCreated();
        $teal = $this->machine(['name' => 'Teal']);
        [$before] = $this->rulesByTask($teal, 'Engine oil');
        $this->postJson("/api/machines/{$teal}/rulebook-copy", ['from' => $heron])->assertNoContent();

        [$oil, $blade, $spindle] = $this->rulesByTask($teal, 'Engine oil', 'Blade', 'Spindle');
        self::assertSame(
            [$before['id'], 'every 50 h'],
            [$oil['id'], $oil['in_words']],
            'its history stays with the rule',
        );
        self::assertSame($blade['id'], $spindle['goes_with']);
        $this->postJson("/api/machines/{$teal}/rulebook-copy", ['from' => 999_999])->assertUnprocessable();
        $this->postJson("/api/machines/{$teal}/rulebook-copy", ['from' => $teal])
            ->assertUnprocessable()->assertJsonPath('errors.from.0', 'That is this machine itself.');
    }

    public function test_machines_share_a_rulebook_and_one_s_exceptions_are_shown(): void
    {
        $heron = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Engine oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['hours' => 100],
                    ],
                    ['task' => 'Belt', 'kind' => 'inspect', 'spots' => ['deck_belt'], 'every' => ['hours' => 50]],
                ],
            ],
        );
        $teal = $this->machine(['name' => 'Teal', 'rules' => []]);
        $coot = $this->machine(['name' => 'Coot', 'rules' => []]);
        $this->postJson("/api/machines/{$heron}/shared-rulebook", ['name' => 'Small mowers'])->assertNoContent();
        $shared = $this->getJson('/api/shared-rulebooks')->assertOk()->json('rulebooks.0.id');
        foreach ([$teal, $coot] as $machine) {
            $this->putJson("/api/machines/{$machine}/shared-rulebook", ['rulebook' => $shared])->assertNoContent();
        }
        $this->change($this->rulesByTask($coot, 'Engine oil')[0], ['every' => ['hours' => 60]])->assertOk();
        $this->change($this->rulesByTask($coot, 'Belt')[0], ['retired' => true])->assertOk();
        $stands = fn (int $machine): array => array_column(
            $this->getJson("/api/machines/{$machine}/chart")->json('rows'),
            'shared',
            'task',
        );
        self::assertSame(
            [['Engine oil' => 'shared', 'Belt' => 'shared'], ['Engine oil' => 'exception']],
            [$stands($teal), $stands($coot)],
        );
        self::assertSame(['Belt'], $this->sheet($coot)['left_out']);

        $this->change(
            $this->rulesByTask($heron, 'Engine oil')[0],
            ['every' => ['hours' => 80], 'for_all' => true],
        )->assertOk();
        self::assertSame(
            ['every 80 h', 'every 60 h'],
            array_map(
                fn (int $machine): string => $this->rulesByTask($machine, 'Engine oil')[0]['in_words'],
                [$teal, $coot],
            ),
        );
        self::assertSame('shared', $stands($teal)['Engine oil']);

        $this->deleteJson("/api/machines/{$coot}/shared-rulebook")->assertNoContent();
        self::assertNull($this->sheet($coot)['shared_rulebook']);
    }

    /** @param  array<string, mixed>  $rule */
    #[DataProvider('badRules')]
    public function test_a_rule_that_cannot_be_is_refused_beside_its_field_and_nothing_is_saved(array $rule, string $field): void
    {
        $machine = $this->machine();
        $this->postJson(
            "/api/machines/{$machine}/rules",
            ['task' => 'Blades', 'kind' => 'clean', 'spots' => ['blades'], ...$rule],
        )
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => [$field]]);
        self::assertCount(1, $this->sheet($machine)['rules']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badRules(): iterable
    {
        yield 'never due' => [[], 'every'];
        yield 'no such day' => [['windows' => [['from' => '02-30', 'to' => '04-15']]], 'windows.0.from'];
        yield 'half a window' => [['windows' => [['from' => '03-01']]], 'windows.0.to'];
        yield 'by a check there is not' => [['every' => ['hours' => 5], 'check' => 'wings'], 'check'];
        yield 'at a spot there is not' => [['every' => ['hours' => 5], 'spots' => ['wings']], 'spots.0'];
        yield 'nowhere' => [['every' => ['hours' => 5], 'spots' => []], 'spots'];
        yield 'with a task of nobody' => [['goes_with' => 77], 'goes_with'];
    }

    /**
     * @param  array<string, mixed>  $rule
     * @param  array<string, mixed>  $given
     */
    private function change(array $rule, array $given, ?int $version = null): \Illuminate\Testing\TestResponse
    {
        return $this->as(Role::Keeper)->patchJson(
            "/api/rules/{$rule['id']}",
            $given,
            ['If-Match' => '"'.($version ?? $rule['version']).'"'],
        );
    }

    /** @return list<array<string, mixed>> */
    private function rulesByTask(int $machine, string ...$tasks): array
    {
        $rules = array_column($this->sheet($machine)['rules'], null, 'task');

        return array_map(fn (string $task): array => $rules[$task], array_values($tasks));
    }

    /** @return array{string, string} */
    private function standing(int $machine, string $task): array
    {
        $standing = $this->rulesByTask($machine, $task)[0]['standing'];

        return [$standing['state'], $standing['why']];
    }

    /**
     * @param  list<int>  $tasks
     * @param  array<string, mixed>  $more
     */
    private function serve(int $machine, array $tasks, string $hours, array $more = []): void
    {
        $this->tell($machine, 'service', ['tasks' => $tasks, 'hours' => $hours, ...$more])->assertCreated();
    }
}
