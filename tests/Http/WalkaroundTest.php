<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Notes\WriteNotes;
use App\People\Role;
use Core\Machine\MachineClass;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\TestWith;

/** Rounds, looks, measurements, findings, stand-down: what devices send, and what follows from it. */
final class WalkaroundTest extends WalkTestCase
{
    public function test_of_two_looks_within_one_second_the_one_written_later_holds(): void
    {
        $machine = $this->machine();
        $open = fn (): array => array_column(
            $this->getJson("/api/machines/{$machine}/walk")->json('findings'),
            'check',
        );
        $weekly = ['round' => ['kind' => 'weekly', 'started_at' => '2026-05-14T07:00:00Z']];

        $this->send(
            [
                $this->look($machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'act', ...$weekly]),
                $this->look($machine, 'leaks'),
            ],
        );
        self::assertSame([], $open());
        $this->send(
            [
                $this->look($machine, 'seat_switch'),
                $this->look($machine, 'seat_switch', ['said' => 'not_fine', 'verdict' => 'act', ...$weekly]),
            ],
        );
        self::assertSame(['seat_switch'], $open());
    }

    public function test_a_round_of_looks_becomes_one_line_of_the_logbook_and_the_morning_tells_it(): void
    {
        $machine = $this->machine();
        $this->send(
            [
                $this->look($machine, 'engine_oil'),
                $this->look(
                    $machine,
                    'leaks',
                    ['said' => 'not_fine', 'verdict' => 'watch', 'words' => 'Weeping: damp, no drop'],
                ),
                $this->look($machine, 'chute', ['said' => 'not_looked']),
                $this->note($machine, 'end'),
            ],
        );

        $entry = $this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data.0');
        self::assertSame(
            'Morning round: 2 looked at, watch: Leaks, not looked at: Chute and guards',
            $entry['in_words'],
        );
        $morning = $this->getJson('/api/walkaround/morning')->assertOk()->json();
        self::assertSame(
            ['Heron', 'daily', ['Keeper'], 2, 1, 'watch', true],
            array_map(
                fn (string $field): mixed => $morning['walked'][0][$field],
                ['machine', 'kind', 'by', 'looked_at', 'left_out', 'verdict', 'ended'],
            ),
        );
        self::assertSame(
            ['Leaks', 'watch', 'new'],
            [$morning['findings'][0]['title'], $morning['findings'][0]['verdict'], $morning['findings'][0]['course']],
        );
        self::assertSame([], $morning['unlooked']);
        $this->travel(3)->days();
        self::assertSame(
            [['machine_id' => $machine, 'machine' => 'Heron', 'days' => 3]],
            $this->getJson('/api/walkaround/morning')->json('unlooked'),
        );
    }

    public function test_a_round_begins_with_the_hour_meter_and_an_impossible_reading_comes_back_with_what_was_typed(): void
    {
        $machine = $this->machine();
        $results = $this->send(
            [
                $this->note($machine, 'reading', ['value' => '31.2']),
                $this->note($machine, 'reading', ['value' => '9312', 'at' => '2026-05-14T09:59:00Z']),
                $this->look($machine, 'leaks'),
            ],
        );

        self::assertSame(['written', 'refused', 'written'], array_column($results, 'status'));
        self::assertSame(
            [409, '/problems/implausible-reading', '9312'],
            [$results[1]['problem']['status'], $results[1]['problem']['type'], $results[1]['problem']['typed']],
        );
        self::assertSame('31.2', $this->sheet($machine)['line']['meters'][0]['value']);
        self::assertSame(
            'written',
            $this->send(
                [
                    $this->note(
                        $machine,
                        'reading',
                        ['value' => '9312', 'confirmed_because' => 'The display was replaced with its reading kept.'],
                    ),
                ],
            )[0]['status'],
        );
    }

    public function test_a_note_sent_again_is_written_once_and_its_id_belongs_to_it_alone(): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'leaks');
        $first = $this->send([$look, $look]);

        self::assertSame(['written', 'already'], array_column($first, 'status'));
        self::assertSame('already', $this->send([$look])[0]['status']);
        self::assertSame(
            ['refused', 422],
            [($again = $this->send([[...$look, 'said' => 'not_looked']])[0])['status'], $again['problem']['status']],
        );
        self::assertCount(1, $this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks'));
    }

    public function test_a_note_says_by_which_entries_it_can_be_struck_and_says_so_again_when_it_is_sent_again(): void
    {
        $machine = $this->machine();
        $other = $this->machine(['name' => 'Teal']);
        $notes = [$this->look($machine, 'leaks'), $this->note($machine, 'reading', ['value' => '2', 'meter' => 'hours']), [
            'id' => (string) Str::uuid(), 'kind' => 'line', 'at' => '2026-05-14T08:00:00Z', 'text' => 'heron 3, teal 4',
        ]];
        $wrote = array_column($this->send($notes), 'wrote');

        self::assertSame([[$machine], [$machine], [$machine, $other]], array_map(fn (array $all): array => array_column($all, 'machine_id'), $wrote));
        self::assertSame($wrote, array_column($this->send($notes), 'wrote'));
        foreach ($wrote[2] as ['id' => $entry, 'machine_id' => $of]) {
            $strike = ['entry' => $entry, 'because' => 'Taken back at once.'];
            self::assertSame('written', $this->send([$this->note($of, 'strike', $strike)])[0]['status']);
        }
        self::assertSame(['2', '0'], array_map(fn (int $of): string => $this->sheet($of)['line']['meters'][0]['value'], [$machine, $other]));
    }

    public function test_notes_of_one_person_are_not_written_for_another_who_has_signed_in_since(): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'leaks');
        $asks = fn (int $by): int => $this->postJson('/api/notes', ['by' => $by, 'notes' => [$look]])->getStatusCode();
        $this->as($wilf = $this->person(Role::Operator, 'Wilf'));
        $this->as($ilse = $this->person(Role::Operator, 'Ilse'));

        self::assertSame([401, 401], [$asks($wilf->id), $asks($wilf->id)]);
        self::assertSame(0, DB::table('acts')->count());
        self::assertSame(200, $asks($ilse->id));
    }

    public function test_what_was_sent_is_remembered_for_thirty_days_and_a_look_sent_again_after_that_is_still_written_once(): void
    {
        $machine = $this->machine();
        [$old, $new] = [$this->look($machine, 'leaks'), $this->look($machine, 'chute')];
        $this->send([$old]);
        $this->travelTo('2026-06-14T10:00:00Z');
        self::assertSame(['written'], array_column($this->send([$new]), 'status'));
        WriteNotes::prune();

        self::assertSame([$new['id']], DB::table('sent_notes')->pluck('uuid')->all());
        self::assertSame(['already'], array_column($this->send([$old]), 'status'));
        self::assertSame(2, DB::table('acts')->count());
    }

    public function test_notes_that_arrive_out_of_order_leave_the_same_as_in_order(): void
    {
        $story = [
            ['leaks', 'not_fine', 'watch', '07:30'],
            ['leaks', 'not_fine', 'act', '08:30'],
            ['blades', 'not_fine', 'act', '07:40'],
            ['blades', 'fine', null, '09:10'],
            ['chute', 'fine', null, '07:20'],
            ['leaks', 'not_fine', 'act', '09:30'],
        ];
        $kept = [];
        foreach (['in order' => $story, 'backwards' => array_reverse($story)] as $how => $looks) {
            $machine = $this->machine(['name' => $how]);
            foreach ($looks as $index => [$subject, $said, $verdict, $time]) {
                $at = "2026-05-14T{$time}:00Z";
                $this->send(
                    [
                        $this->look(
                            $machine,
                            $subject,
                            [
                                'said' => $said,
                                'verdict' => $verdict,
                                'at' => $at,
                                'round' => [
                                    'kind' => $said === 'fine' || $time > '08:00' ? 'weekly' : 'daily',
                                    'started_at' => $time > '09:00' ? '2026-05-14T09:00:00Z' : '2026-05-14T07:00:00Z',
                                ],
                            ],
                        ),
                    ],
                );
            }
            $walk = $this->getJson("/api/machines/{$machine}/walk")->json();
            $kept[$how] = [array_map(
                fn (array $finding): array => array_diff_key($finding, ['photos' => 1]),
                $walk['findings'],
            ), collect($walk['looks'])->map(fn (array $look): array => array_diff_key($look, ['id' => 1]))->all(),
                collect($this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data'))
                    ->pluck('happened_at')
                    ->sort()
                    ->values()
                    ->all()];
        }

        self::assertSame($kept['in order'], $kept['backwards']);
        self::assertSame(['leaks'], array_column($kept['in order'][0], 'check'));
        self::assertSame(2, $kept['in order'][0][0]['seen'], 'twice in one round is seen once');
    }

    public function test_two_phones_on_one_machine_write_one_round_and_the_harder_verdict_counts(): void
    {
        $machine = $this->machine();
        $this->as(Role::Keeper)->send(
            [
                $this->look(
                    $machine,
                    'leaks',
                    ['said' => 'not_fine', 'verdict' => 'act', 'at' => '2026-05-14T08:00:00Z'],
                ),
            ],
        );
        $this->as(Role::Operator)->send(
            [
                $this->look($machine, 'leaks', ['at' => '2026-05-14T08:02:00Z']),
                $this->look($machine, 'chute', ['at' => '2026-05-14T08:03:00Z']),
            ],
        );

        self::assertCount(
            2,
            $this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data'),
            'two people are told apart',
        );
        $walked = $this->getJson('/api/walkaround/morning')->json('walked');
        self::assertSame(
            [['Keeper', 'Operator'], 2, 'act'],
            [$walked[0]['by'], $walked[0]['looked_at'], $walked[0]['verdict']],
        );
        self::assertSame('act', $this->getJson("/api/machines/{$machine}/walk")->json('findings.0.verdict'));
    }

    public function test_what_a_person_says_again_stands_for_what_they_said_in_either_order(): void
    {
        foreach ([false, true] as $swapped) {
            $machine = $this->machine(['name' => $swapped ? 'Swapped' : 'Straight']);
            $first = $this->look(
                $machine,
                'seat_switch',
                ['said' => 'not_fine', 'verdict' => 'stand_down', 'at' => '2026-05-14T08:00:00Z'],
            );
            $second = $this->look(
                $machine,
                'seat_switch',
                ['replaces' => $first['id'], 'at' => '2026-05-14T08:00:20Z'],
            );
            $this->send($swapped ? [$second] : [$first]);
            $this->send($swapped ? [$first] : [$second]);

            self::assertSame('fresh', $this->sheet($machine)['line']['state'], $swapped ? 'swapped' : 'straight');
            self::assertSame([], $this->getJson("/api/machines/{$machine}/walk")->json('findings'));
        }
    }

    public function test_a_safety_switch_that_does_not_stop_it_stands_the_machine_down_at_once_and_only_service_lifts_it(): void
    {
        $machine = $this->machine();
        $this->as(Role::Operator)->send(
            [
                $this->look(
                    $machine,
                    'seat_switch',
                    [
                        'said' => 'not_fine',
                        'verdict' => 'stand_down',
                        'words' => 'Does not stop it',
                        'note' => 'Tried three times.',
                    ],
                ),
            ],
        );

        $line = $this->sheet($machine)['line'];
        self::assertSame(
            ['stood_down', 'Safety switches: Does not stop it. Tried three times.', 'Operator'],
            [$line['state'], $line['stood_down']['because'], $line['stood_down']['by']],
        );
        self::assertSame($line['stood_down'], $this->getJson('/api/walkaround')->json('data.0.stood_down'));
        self::assertSame($line['stood_down'], $this->getJson("/api/machines/{$machine}/walk")->json('stood_down'));
        $this->lift($machine, ['note' => 'I say so.'])->assertForbidden();
        $this->as(Role::Mechanic);
        $this->lift($machine, [])->assertJsonValidationErrors('note');
        $this->lift($machine, ['note' => 'Switch replaced, tried ten times.'])->assertCreated();
        self::assertSame('fresh', $this->sheet($machine)['line']['state']);
        $open = fn (): array => $this->getJson("/api/machines/{$machine}/walk")->json('findings');
        self::assertSame(
            ['act', 'Stood down on 14 May 2026, lifted by Mechanic on 14 May 2026. Does not stop it'],
            [$open()[0]['verdict'], $open()[0]['why']],
            'the finding goes on, though it keeps nobody off the machine any more',
        );
        $this->travel(1)->days();
        $this->as(Role::Operator)->send([$this->look($machine, 'seat_switch', ['at' => '2026-05-15T08:00:00Z'])]);
        self::assertCount(1, $open(), 'to be found fine once is not to be put right');
        $this->as(Role::Keeper)->tell($machine, 'accept', ['check' => 'seat_switch', 'note' => 'We live with it'])
            ->assertJsonPath('errors.check.0', 'What stands a machine down is mended, never accepted.');
        $this->as(Role::Mechanic)->tell($machine, 'mended', ['check' => 'seat_switch', 'note' => 'New switch'])->assertCreated();
        self::assertSame([], $open());
    }

    public function test_what_was_open_before_a_round_and_was_left_out_of_it_leaves_the_machine_not_judged(): void
    {
        $machine = $this->machine();
        $of = fn (string $day): array => ['at' => "{$day}T07:30:00Z", 'round' => ['kind' => 'daily', 'started_at' => "{$day}T07:00:00Z"]];
        $this->send([$this->look($machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'watch', ...$of('2026-05-13')])]);
        $walk = $this->getJson("/api/machines/{$machine}/walk")->json();
        $daily = array_column($walk['rounds'], 'keys', 'kind')['daily'];
        $fine = array_map(fn (string $check): array => $this->look($machine, $check, $of('2026-05-14')), array_values(array_diff($daily, ['leaks'])));
        $this->send([...$fine, $this->note($machine, 'end', $of('2026-05-14'))]);
        $last = fn (): array => $this->getJson('/api/walkaround')->json('data.0.last');
        self::assertSame([null, ['Leaks']], [$last()['verdict'], $last()['not_judged']]);
        self::assertSame([null, ['Leaks']], [$this->getJson('/api/walkaround/morning')->json('walked.0.verdict'), $this->getJson('/api/walkaround/morning')->json('walked.0.not_judged')]);

        $this->send([$this->look($machine, 'leaks', $of('2026-05-14'))]);
        self::assertSame(['fit', []], [$last()['verdict'], $last()['not_judged']]);
    }

    public function test_a_round_of_a_machine_that_was_stood_down_before_it_says_so(): void
    {
        $machine = $this->machine();
        $this->send([$this->note($machine, 'stand_down', ['at' => '2026-05-14T06:00:00Z', 'note' => 'The brakes drag.'])]);
        $this->send([$this->look($machine, 'engine_oil', ['at' => '2026-05-14T07:30:00Z', 'round' => ['kind' => 'daily', 'started_at' => '2026-05-14T07:00:00Z']])]);
        self::assertSame('stand_down', $this->getJson('/api/walkaround')->json('data.0.last.verdict'));
    }

    public function test_a_finding_lives_seen_again_worse_and_fixed_by_a_job(): void
    {
        $machine = $this->machine();
        foreach ([['watch', '2026-05-11'], ['watch', '2026-05-12'], ['act', '2026-05-13']] as [$verdict, $day]) {
            $this->send(
                [
                    $this->look(
                        $machine,
                        'leaks',
                        [
                            'said' => 'not_fine',
                            'verdict' => $verdict,
                            'at' => "{$day}T07:30:00Z",
                            'round' => ['kind' => 'daily', 'started_at' => "{$day}T07:00:00Z"],
                        ],
                    ),
                ],
            );
        }
        $finding = $this->getJson("/api/machines/{$machine}/walk")->json('findings.0');
        self::assertSame(
            ['act', 'worse', 3, '2026-05-11', '2026-05-13'],
            [$finding['verdict'], $finding['course'], $finding['seen'], $finding['since'], $finding['last_seen']],
        );

        $service = $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->taskId($machine)], 'hours' => '12', 'puts_right' => ['leaks']],
        )
            ->assertCreated()
            ->json('entry');
        self::assertSame('At 12 h: engine oil replaced. Put right: Leaks', $service['in_words']);
        self::assertSame([], $this->getJson("/api/machines/{$machine}/walk")->json('findings'));
        $thread = $this->getJson("/api/machines/{$machine}/findings/leaks")->assertOk()->json();
        self::assertSame(
            [false, 'mended', 4],
            [$thread['findings'][0]['open'], $thread['findings'][0]['course'], $thread['looks_in_all']],
        );

        $this->tellOf($service['id'], 'strike', ['because' => 'Another machine.'])->assertCreated();
        self::assertSame(
            'leaks',
            $this->getJson("/api/machines/{$machine}/walk")->json('findings.0.check'),
            'a struck job has put nothing right',
        );
        $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->taskId($machine)], 'hours' => '12', 'puts_right' => ['nothing']],
        )->assertJsonValidationErrors('puts_right.0');
    }

    public function test_something_that_no_check_looks_at_is_found_and_put_right_by_those_who_may(): void
    {
        $machine = $this->machine();
        $found = $this->as(Role::Operator)->send(
            [
                $this->note(
                    $machine,
                    'look',
                    [
                        'said' => 'not_fine',
                        'spot' => 'cooling_screen',
                        'title' => 'Bonnet catch',
                        'words' => 'Springs open',
                        'verdict' => 'watch',
                        'round' => null,
                    ],
                ),
            ],
        )[0];
        $subject = $found['act']['check'];
        self::assertSame(
            'Found: Bonnet catch: Springs open',
            $this->getJson("/api/machines/{$machine}/entries?kind=found")->json('data.0.in_words'),
        );

        $mend = fn (): array => $this->send(
            [$this->note($machine, 'mended', ['check' => $subject, 'note' => 'New spring.', 'round' => null])],
        )[0];
        self::assertSame(['refused', 403], [($refused = $mend())['status'], $refused['problem']['status']]);
        $this->as(Role::Mechanic);
        self::assertSame('written', $mend()['status']);
        self::assertSame(
            'Put right: Bonnet catch',
            $this->getJson("/api/machines/{$machine}/entries?kind=mended")->json('data.0.in_words'),
        );
        self::assertSame(
            'mended',
            $this->getJson("/api/machines/{$machine}/findings/{$subject}")->json('findings.0.course'),
        );
    }

    public function test_striking_a_round_takes_back_what_it_found_and_its_stand_down(): void
    {
        $machine = $this->machine();
        $sent = $this->send(
            [$this->look($machine, 'seat_switch', ['said' => 'not_fine', 'verdict' => 'stand_down'])],
        )[0];
        $this->tellOf($sent['entry_id'], 'strike', ['because' => 'The wrong machine.'])->assertCreated();

        self::assertSame('fresh', $this->sheet($machine)['line']['state']);
        self::assertSame(
            [[], null],
            [
                $this->getJson('/api/walkaround')->json('data.0.findings'),
                $this->getJson('/api/walkaround')->json('data.0.last'),
            ],
        );
        $this->send([$this->look($machine, 'leaks')]);
        self::assertSame(
            1,
            $this->getJson('/api/walkaround')->json('data.0.last.looked_at'),
            'a new round of the day begins',
        );
    }

    public function test_a_measurement_is_judged_while_typed_and_when_sent_by_this_machines_limit(): void
    {
        $machine = $this->machine(['class' => 'tractor']);
        $verdict = fn (array $values): array => $this->postJson(
            "/api/machines/{$machine}/checks/belt/verdict",
            ['values' => $values],
        )->assertOk()->json('answer');

        $judged = $verdict(['rest' => '1 3/4', 'pressed' => '1 3/8']);
        self::assertSame(
            ['act', 'The limit is common practice: the maker\'s manual wins.'],
            [$judged['verdict'], $judged['limit']],
        );
        self::assertStringContainsString('over by 1/24 in', $judged['why']);
        $halfTyped = $this->postJson("/api/machines/{$machine}/checks/belt/verdict", ['values' => ['rest' => 'wide']])
            ->assertOk()
            ->json();
        self::assertSame(
            [null, ['rest'], ['pressed']],
            [$halfTyped['answer'], array_keys($halfTyped['wrong']), array_keys($halfTyped['missing'])],
        );

        $this->putJson(
            "/api/machines/{$machine}/checks/belt",
            ['for' => 'machine', 'values' => ['limits' => ['deflection' => '1/2 in', 'force' => '15 lbf']]],
        )->assertOk();
        self::assertSame(
            ['fit', 'The limit is this machine\'s.'],
            array_values(
                array_intersect_key(
                    $verdict(['rest' => '1 3/4', 'pressed' => '1 3/8']),
                    ['verdict' => 1, 'limit' => 1],
                ),
            ),
        );
        $sent = $this->send(
            [$this->look($machine, 'belt', ['said' => 'measured', 'values' => ['rest' => '1 3/4', 'pressed' => '1']])],
        )[0]['act'];
        self::assertSame('act', $sent['verdict']);
        self::assertStringContainsString('The limit is this machine\'s.', $sent['why']);
        self::assertSame(['rest' => '1 3/4', 'pressed' => '1'], $sent['values'], 'as typed');
    }

    public function test_a_level_read_at_the_wrong_moment_is_no_reading(): void
    {
        $machine = $this->machine();
        $sent = $this->send(
            [
                $this->look(
                    $machine,
                    'hydro_level',
                    ['said' => 'measured', 'values' => ['observed' => 'below', 'temperature' => 'hot']],
                ),
            ],
        )[0]['act'];

        self::assertSame(
            [null, 'Let it cool until it is cold: it is read cold, and warm fluid stands higher.'],
            [$sent['verdict'], $sent['do']],
        );
        self::assertSame([], $this->getJson("/api/machines/{$machine}/walk")->json('findings'));
    }

    public function test_wear_is_drawn_against_hours_and_a_new_part_begins_a_new_line(): void
    {
        $machine = $this->machine(
            [
                'class' => 'utility_vehicle',
                'at' => '2026-01-01',
                'began_on' => '2026-01-01',
                'meters' => [['unit' => 'h', 'value' => '0']],
            ],
        );
        $measure = function (string $day, string $hours, string $left) use ($machine): void {
            $this->log($machine, $hours, ['at' => "{$day}T07:00:00Z"])->assertCreated();
            $this->send(
                [
                    $this->look(
                        $machine,
                        'pads',
                        [
                            'said' => 'measured',
                            'values' => ['left' => $left],
                            'at' => "{$day}T07:00:00Z",
                            'round' => ['kind' => 'before_season', 'started_at' => "{$day}T07:00:00Z"],
                        ],
                    ),
                ],
            );
        };
        foreach ([['2026-02-01', '0', '8 mm'], ['2026-03-01', '100', '7 mm'], ['2026-04-01', '200', '6.1 mm'], ['2026-05-01', '300', '5 mm']] as [$day, $hours, $left]) {
            $measure($day, $hours, $left);
        }
        $wear = $this->getJson("/api/machines/{$machine}/trends")->assertOk()->json('wear.0');
        self::assertSame(
            ['Brake pads', 'mm', '0.5', 'fit'],
            [$wear['title'], $wear['unit'], $wear['limit'], $wear['verdict']],
        );
        self::assertSame(['0', '100', '200', '300'], array_column($wear['points'], 'hours'));
        self::assertEqualsWithDelta(757, $wear['limit_at']['p50'], 3);
        self::assertStringContainsString(
            "between {$wear['limit_at']['p10']} and {$wear['limit_at']['p90']} h",
            $wear['why'],
        );

        $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->taskId($machine)], 'hours' => '301', 'at' => '2026-05-02', 'puts_right' => ['pads']],
        )->assertCreated();
        $measure('2026-05-13', '340', '8 mm');
        self::assertCount(1, $this->getJson("/api/machines/{$machine}/trends")->json('wear.0.points'));
    }

    public function test_what_is_topped_up_is_followed_per_100_hours(): void
    {
        $machine = $this->machine(['at' => '2026-01-01', 'began_on' => '2026-01-01']);
        $this->putJson(
            "/api/machines/{$machine}/checks/engine_oil",
            ['for' => 'machine', 'values' => ['limits' => ['engine' => 'off', 'most_per_100h' => '0.2 L']]],
        )->assertOk();
        foreach ([['2026-02-01', '0', null], ['2026-03-01', '20', '0.1 L'], ['2026-04-01', '60', '0.1 L'], ['2026-05-01', '100', '0.3 L']] as [$day, $hours, $toppedUp]) {
            $this->log($machine, $hours, ['at' => "{$day}T07:00:00Z"])->assertCreated();
            $this->send(
                [
                    $this->look(
                        $machine,
                        'engine_oil',
                        [
                            'said' => 'measured',
                            'values' => array_filter(
                                [
                                    'observed' => 'between',
                                    'engine' => $day === '2026-04-01' ? null : 'off',
                                    'topped_up' => $toppedUp,
                                ],
                            ),
                            'at' => "{$day}T07:00:00Z",
                            'round' => ['kind' => 'daily', 'started_at' => "{$day}T07:00:00Z"],
                        ],
                    ),
                ],
            );
        }
        $used = $this->getJson("/api/machines/{$machine}/trends")->assertOk()->json('consumption.0');

        self::assertSame(['Engine oil', 'act', 'rising'], [$used['title'], $used['verdict'], $used['trend']]);
        self::assertStringContainsString('0.5 L', $used['per_100h']);
        self::assertCount(3, $used['top_ups']);
    }

    public function test_coolant_is_held_against_the_coldest_night_set_for_the_yard(): void
    {
        $machine = $this->machine(['class' => 'tractor']);
        $verdict = fn () => $this->postJson(
            "/api/machines/{$machine}/checks/coolant_protection/verdict",
            ['values' => ['protects_to' => '-20']],
        );
        self::assertStringContainsString(
            'Nobody has said',
            $verdict()->assertOk()->json('missing')['limits.coldest'][0],
        );

        $this->patchJson(
            '/api/yard',
            ['coldest_night' => 'rather cold'],
            ['If-Match' => '"1"'],
        )->assertJsonValidationErrors('coldest_night');
        $this->patchJson('/api/yard', ['coldest_night' => '-24'], ['If-Match' => '"1"'])
            ->assertOk()
            ->assertJsonPath('coldest_night', '-24 °C');
        self::assertSame('act', $verdict()->json('answer.verdict'));
    }

    public function test_bad_notes_are_refused_each_by_itself_with_the_field_named(): void
    {
        $machine = $this->machine();
        $other = $this->machine(['name' => 'Retired']);
        $this->patchJson("/api/machines/{$other}", ['retired' => true], ['If-Match' => '"1"'])->assertOk();
        $results = $this->send([
            $this->look($machine, 'leaks', ['said' => 'not_fine']),
            $this->look($machine, 'leaks', ['said' => 'measured', 'values' => ['left' => '3 mm']]),
            $this->look($machine, 'no_such_check'),
            $this->look($machine, 'engine_oil', ['said' => 'measured', 'values' => ['observed' => 'wet']]),
            $this->note($machine, 'grease', ['spot' => 'moon', 'strokes' => 2]),
            $this->look(999999, 'leaks'),
            $this->look($other, 'leaks'),
            $this->note($machine, 'reading', ['value' => 'many']),
            $this->look(
                $machine,
                'engine_oil',
                ['said' => 'measured', 'values' => ['observed' => str_repeat('full', 2000)]],
            ),
            $this->note($machine, 'reading', ['value' => '12', 'note' => str_repeat('long ', 300)]),
            $this->look($machine, 'chute'),
        ]);

        self::assertSame([...array_fill(0, 10, 'refused'), 'written'], array_column($results, 'status'));
        self::assertSame(['Say how bad it is.'], $results[0]['problem']['errors']['verdict']);
        self::assertSame(
            ['values', 'check', 'observed', 'spot', 'machine_id'],
            array_map(
                fn (int $index): string => array_key_first($results[$index]['problem']['errors']),
                [1, 2, 3, 4, 5],
            ),
        );
        self::assertStringContainsString('out of the yard', $results[6]['problem']['detail']);
        $this->postJson(
            '/api/notes',
            ['notes' => [['id' => 'x', 'kind' => 'song', 'at' => 'yesterday', 'machine_id' => 'all']]],
        )->assertJsonValidationErrors(['notes.0.id', 'notes.0.kind', 'notes.0.at', 'notes.0.machine_id']);
    }

    public function test_an_operator_writes_only_on_machines_he_may_use_and_sees_only_those_to_walk_round(): void
    {
        $mine = $this->machine();
        $other = $this->machine(['name' => 'Teal']);
        $operator = $this->person(Role::Operator);
        $operator->update(['may_use_all_machines' => false]);
        $operator->mayUseOnly([$mine]);

        $results = $this->as($operator)->send([$this->look($other, 'leaks'), $this->look($mine, 'leaks')]);
        self::assertSame(['refused', 'written'], array_column($results, 'status'));
        self::assertSame(403, $results[0]['problem']['status']);
        self::assertSame(['Heron'], array_column($this->getJson('/api/walkaround')->json('data'), 'name'));
    }

    public function test_a_phone_whose_clock_is_wrong_is_put_right_by_its_own_clock(): void
    {
        $machine = $this->machine();
        $look = $this->look(
            $machine,
            'leaks',
            ['at' => '2026-05-14T12:30:00Z', 'round' => ['kind' => 'daily', 'started_at' => '2026-05-14T12:25:00Z']],
        );
        $this->postJson('/api/notes', ['sent_at' => '2026-05-14T13:00:00Z', 'notes' => [$look]])
            ->assertOk()
            ->assertJsonPath('results.0.status', 'written');

        self::assertSame(
            '2026-05-14T09:30:00+00:00',
            $this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks.0.at'),
        );
        self::assertSame(
            '2026-05-14T09:25:00+00:00',
            $this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data.0.happened_at'),
        );
    }

    #[TestWith(['2026-05-14T12:30:00Z', '2026-05-14T10:00:00Z'], 'put right backwards before sending')]
    #[TestWith(['1970-01-01T00:04:00Z', '2026-05-14T10:00:00Z'], 'stood at 1970 when it was written')]
    #[TestWith(['1970-01-01T00:04:00Z', '9999-12-31T00:00:00Z'], 'stands nowhere')]
    #[TestWith(['9999-12-31T00:00:00Z', null], 'far ahead, and says nothing of itself')]
    public function test_no_note_is_refused_for_its_clock_and_what_cannot_have_been_is_told_as_of_now(string $at, ?string $sent): void
    {
        $machine = $this->machine();
        $look = $this->look(
            $machine,
            'leaks',
            [
                'said' => 'not_fine',
                'verdict' => 'watch',
                'note' => 'Drips.',
                'at' => $at,
                'round' => ['kind' => 'daily', 'started_at' => $at],
            ],
        );
        $this->postJson('/api/notes', ['notes' => [$look], ...($sent === null ? [] : ['sent_at' => $sent])])
            ->assertOk()
            ->assertJsonPath('results.0.status', 'written');

        $kept = $this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks.0');
        self::assertSame(
            [
                '2026-05-14T10:00:00+00:00',
                "Drips. The device's clock was wrong, so this is told as of when it was sent.",
            ],
            [$kept['at'], $kept['note']],
        );
        self::assertSame(
            '2026-05-14T10:00:00+00:00',
            $this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data.0.happened_at'),
        );
    }

    public function test_what_is_said_of_the_clock_takes_nothing_from_a_long_note(): void
    {
        $machine = $this->machine();
        $words = str_repeat('ä', 1000);
        $results = $this->send([$this->look($machine, 'leaks', ['at' => '1970-01-01T00:04:00Z', 'note' => $words])]);

        self::assertSame('written', $results[0]['status']);
        self::assertStringStartsWith(
            "{$words} The device's clock was wrong",
            $this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks.0.note'),
        );
    }

    /** Found with the clock at 1970, or twenty minutes fast; then the clock is put right, and it is told gone. */
    #[TestWith(['1970-01-01T00:04:00Z'])]
    #[TestWith(['2026-05-14T09:58:00Z'])]
    public function test_what_was_written_first_is_told_first_though_the_clock_was_put_right_between(string $at): void
    {
        $machine = $this->machine();
        $notes = [
            $this->look(
                $machine,
                'leaks',
                [
                    'said' => 'not_fine',
                    'verdict' => 'act',
                    'at' => $at,
                    'round' => ['kind' => 'weekly', 'started_at' => $at],
                ],
            ),
            $this->look($machine, 'leaks', ['at' => '2026-05-14T09:40:00Z']),
        ];
        $results = $this->postJson('/api/notes', ['sent_at' => '2026-05-14T10:00:00Z', 'notes' => $notes])
            ->assertOk()
            ->json('results');

        self::assertSame(['written', 'written'], array_column($results, 'status'));
        self::assertSame([], $this->getJson("/api/machines/{$machine}/walk")->json('findings'));
        $looks = $this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks');
        self::assertSame(['2026-05-14T09:40:00+00:00', '2026-05-14T09:40:00+00:00'], array_column($looks, 'at'));
        self::assertSame(
            "The device's clock was wrong, so this is told as of when the next was written.",
            $looks[1]['note'],
        );
    }

    public function test_a_clock_that_stands_at_1970_all_the_while_is_put_right(): void
    {
        $machine = $this->machine();
        $look = $this->look(
            $machine,
            'leaks',
            ['at' => '1970-01-01T00:04:00Z', 'round' => ['kind' => 'daily', 'started_at' => '1970-01-01T00:01:00Z']],
        );
        $this->postJson(
            '/api/notes',
            ['sent_at' => '1970-01-01T00:34:00Z', 'notes' => [$look]],
        )->assertJsonPath('results.0.status', 'written');

        self::assertSame(
            '2026-05-14T09:30:00+00:00',
            $this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks.0.at'),
        );
    }

    public function test_rebuilding_the_yard_changes_nothing_that_is_kept_of_walks(): void
    {
        $machine = $this->machine();
        $this->send(
            [$this->look($machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'act']), $this->note($machine, 'end')],
        );
        $before = $this->getJson('/api/walkaround')->json();
        \App\Walkaround\WalkLine::query()->delete();
        $this->artisan('yard:rebuild')->assertSuccessful();

        self::assertSame($before, $this->getJson('/api/walkaround')->json());
        self::assertTrue(Str::isUuid($this->getJson("/api/machines/{$machine}/findings/leaks")->json('looks.0.id')));
    }

    public function test_every_class_of_machine_has_a_walk_that_holds_to_the_contract(): void
    {
        foreach (MachineClass::cases() as $class) {
            $unit = $class->usualMeters()[0]->value;
            $machine = $this->machine(
                [
                    'name' => $class->value,
                    'class' => $class->value,
                    'meters' => [['unit' => $unit, 'value' => '0']],
                    'rules' => [],
                ],
            );
            $walk = $this->getJson("/api/machines/{$machine}/walk")->assertOk()->json();

            self::assertSame(['daily', 'weekly', 'before_season', 'after_wash'], array_column($walk['rounds'], 'kind'));
            self::assertSame(
                [],
                array_diff(array_merge(...array_column($walk['rounds'], 'keys')), array_column($walk['checks'], 'key')),
                'every round asks for checks that are there',
            );
            self::assertNotEmpty($walk['grease']['points'], $class->value);
            self::assertSame(
                ['wear' => [], 'consumption' => []],
                $this->getJson("/api/machines/{$machine}/trends")->assertOk()->json(),
            );
            foreach ($walk['checks'] as $check) {
                self::assertSame(
                    $check['measurement'] === null,
                    $check['asks'] === [],
                    "{$class->value} {$check['key']}",
                );
                self::assertNotEmpty($check['degrees']);
            }
        }
    }

    public function test_what_is_not_measured_has_no_verdict_while_typed(): void
    {
        $machine = $this->machine();
        $this->postJson("/api/machines/{$machine}/checks/leaks/verdict", ['values' => ['left' => '3 mm']])
            ->assertOk()
            ->assertJsonPath('answer', null)
            ->assertJsonStructure(['wrong' => ['values']]);
        $this->postJson("/api/machines/{$machine}/checks/no-such/verdict", ['values' => []])->assertNotFound();
        $this->postJson("/api/machines/{$machine}/checks/battery/verdict", [])->assertJsonValidationErrors('values');
        $this->getJson("/api/machines/{$machine}/findings/no-such")->assertNotFound();
        self::assertSame(0, \App\Logbook\Acts\Act::query()->count());
    }

    public function test_a_machine_kept_by_its_odometer_wears_against_kilometres(): void
    {
        $truck = $this->machine(
            [
                'class' => 'small_truck',
                'at' => '2026-01-01',
                'began_on' => '2026-01-01',
                'meters' => [['unit' => 'km', 'value' => '0']],
                'rules' => [],
            ],
        );
        foreach ([['2026-02-01', '1000', '6 mm'], ['2026-03-01', '2000', '5 mm']] as [$day, $km, $left]) {
            $this->log($truck, $km, ['at' => "{$day}T07:00:00Z"])->assertCreated();
            $this->send(
                [
                    $this->look(
                        $truck,
                        'tread',
                        [
                            'said' => 'measured',
                            'values' => ['left' => $left],
                            'at' => "{$day}T07:00:00Z",
                            'round' => ['kind' => 'before_season', 'started_at' => "{$day}T07:00:00Z"],
                        ],
                    ),
                ],
            );
        }
        $wear = $this->getJson("/api/machines/{$truck}/trends")->json('wear.0');

        self::assertSame(
            [['1000', '2000'], 4000, 'km'],
            [array_column($wear['points'], 'hours'), $wear['limit_at']['p50'], $wear['along']],
        );
        self::assertStringContainsString('near 4,000 km', $wear['why']);
    }

    public function test_measurements_before_and_after_a_meter_was_replaced_lie_on_one_line(): void
    {
        $machine = $this->machine(
            [
                'class' => 'utility_vehicle',
                'at' => '2026-01-01',
                'began_on' => '2026-01-01',
                'meters' => [['unit' => 'h', 'value' => '0']],
                'rules' => [],
            ],
        );
        $measure = fn (string $day, string $left): array => $this->send(
            [
                $this->look(
                    $machine,
                    'pads',
                    [
                        'said' => 'measured',
                        'values' => ['left' => $left],
                        'at' => "{$day}T07:00:00Z",
                        'round' => ['kind' => 'before_season', 'started_at' => "{$day}T07:00:00Z"],
                    ],
                ),
            ],
        );
        $this->log($machine, '100', ['at' => '2026-02-01T07:00:00Z'])->assertCreated();
        $measure('2026-02-01', '8 mm');
        $this->log($machine, '200', ['at' => '2026-03-01T07:00:00Z'])->assertCreated();
        $measure('2026-03-01', '7 mm');
        $this->tell(
            $machine,
            'meter',
            ['meter' => 'hours', 'old_value' => '200', 'new_value' => '0', 'at' => '2026-03-02'],
        )->assertCreated();
        $this->log($machine, '100', ['at' => '2026-05-01T07:00:00Z'])->assertCreated();
        $measure('2026-05-01', '6 mm');

        $wear = $this->getJson("/api/machines/{$machine}/trends")->json('wear.0');
        self::assertSame(['100', '200', '300'], array_column($wear['points'], 'hours'));
        self::assertSame(['p10' => 800, 'p50' => 850, 'p90' => 900], $wear['limit_at']);
    }

    public function test_a_reading_alone_leaves_what_is_kept_of_walks_as_it_is(): void
    {
        $machine = $this->machine();
        $this->send([$this->look($machine, 'leaks')]);
        $this->getJson('/api/walkaround')->assertOk();
        $holds = fn (): bool => (bool) DB::table('walk_lines')->where('machine_id', $machine)->value('holds');
        $this->log($machine, '3', ['at' => '2026-05-13']);
        self::assertTrue($holds());
        $this->send([$this->look($machine, 'engine_oil')]);
        self::assertFalse($holds());
    }

    public function test_the_list_asks_no_more_of_the_database_for_more_machines(): void
    {
        $count = function (): int {
            // Whoever looks first after something was written is told it anew.
            $this->getJson('/api/walkaround')->assertOk();
            \Illuminate\Support\Facades\DB::flushQueryLog();
            \Illuminate\Support\Facades\DB::enableQueryLog();
            $this->getJson('/api/walkaround')->assertOk();

            return count(\Illuminate\Support\Facades\DB::getQueryLog());
        };
        $walked = fn (string $name): array => $this->send(
            [$this->look($this->machine(['name' => $name]), 'leaks', ['said' => 'not_fine', 'verdict' => 'act'])],
        );
        $walked('One');
        $few = $count();
        array_map($walked, ['Two', 'Three', 'Four', 'Five']);

        self::assertSame($few, $count());
    }
}
