<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Acts\Act;
use App\Logbook\Doubt;
use App\Logbook\Entry;
use App\Notes\NoteKinds;
use App\People\Role;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** One fact counts everywhere, whichever door it came in by, however often and in whichever order it is told. */
final class OneFactTest extends WalkTestCase
{
    private const SIDE_BY_SIDE = [
        'name' => 'Wigeon', 'class' => 'utility_vehicle', 'at' => '2026-01-01', 'began_on' => '2026-01-01', 'meters' => [
            ['unit' => 'h', 'value' => '0'],
        ],
        'rules' => [
            [
                'task' => 'Brake pads',
                'kind' => 'inspect',
                'spots' => ['pads'],
                'check' => 'pads',
                'every' => ['hours' => 100],
            ],
            ['kind' => 'lubricate', 'every' => ['hours' => 50]],
            [
                'task' => 'Engine oil and filter',
                'kind' => 'replace',
                'spots' => ['engine_oil', 'engine_oil_filter'],
                'every' => ['hours' => 100],
            ],
            [
                'task' => 'Filter alone',
                'kind' => 'replace',
                'spots' => ['engine_oil_filter'],
                'every' => ['hours' => 50],
            ],
            [
                'task' => 'Engine oil level',
                'kind' => 'check_level',
                'spots' => ['engine_oil'],
                'every' => ['hours' => 10],
            ],
        ],
    ];

    /** Mistake 44: the same thing looked at in the morning and still "past due" in the rulebook. */
    public function test_what_was_looked_at_in_the_morning_is_not_past_due_in_the_rulebook(): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $this->log(
            $machine,
            '130',
            ['at' => '2026-05-13T07:00:00Z', 'confirmed_because' => 'A long spring'],
        )->assertCreated();
        self::assertSame(
            ['past', 'past'],
            [
                $this->row($machine, 'Brake pads')['standing']['state'],
                $this->row($machine, 'Engine oil level')['standing']['state'],
            ],
        );

        $this->send([
            $this->look(
                $machine,
                'pads',
                ['said' => 'measured', 'values' => ['left' => '2.1 mm'], 'at' => '2026-05-14T07:00:00Z'],
            ),
            $this->look($machine, 'engine_oil', ['at' => '2026-05-14T07:01:00Z']),
        ]);
        $pads = $this->row($machine, 'Brake pads');
        self::assertSame(['fresh', 'fresh', []], [$pads['standing']['state'], $pads['told'], $pads['findings']]);
        self::assertStringContainsString('100 h after 130 h', $pads['standing']['why']);
        self::assertSame('fresh', $this->row($machine, 'Engine oil level')['standing']['state']);
    }

    public function test_a_part_over_its_limit_is_inspected_all_the_same_and_its_row_tells_the_harder_of_the_two(): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $this->log($machine, '40', ['at' => '2026-05-13T07:00:00Z'])->assertCreated();
        $this->send([$this->look($machine, 'pads', ['said' => 'measured', 'values' => ['left' => '0.3 mm']])]);

        $pads = $this->row($machine, 'Brake pads');
        self::assertSame(
            ['fresh', 'act', ['pads']],
            [$pads['standing']['state'], $pads['told'], array_column($pads['findings'], 'check')],
        );
        $this->tell(
            $machine,
            'service',
            ['other' => [['spot' => 'pads', 'act' => 'replaced', 'number' => 'P 12']], 'hours' => '41'],
        )->assertCreated();
        $pads = $this->row($machine, 'Brake pads');
        self::assertSame(
            ['fresh', []],
            [$pads['told'], $pads['findings']],
            'a new part ends what was found of the old one',
        );
        self::assertStringContainsString('after 41 h', $pads['standing']['why']);
    }

    /** Mistake 36: grease comes out round the coupler and is counted as greased. */
    public function test_a_nipple_that_takes_no_grease_keeps_the_set_due_and_is_a_finding(): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $points = $this->points($machine);
        $this->log(
            $machine,
            '53',
            ['at' => '2026-05-13T07:00:00Z', 'confirmed_because' => 'A long spring'],
        )->assertCreated();
        $stuck = array_key_last($points);
        $round = ['round' => ['kind' => 'grease', 'started_at' => '2026-05-14T07:00:00Z']];
        $this->send(
            array_values(
                array_map(
                    fn (string $key, int $strokes): array => $this->note(
                        $machine,
                        'grease',
                        [
                            'spot' => $key,
                            ...($key === $stuck ? ['did_not_go_in' => true] : ['strokes' => $strokes]),
                            ...$round,
                        ],
                    ),
                    array_keys($points),
                    $points,
                ),
            ),
        );

        $set = $this->row($machine, 'Grease all points');
        $all = count($points);
        self::assertStringContainsString(
            ($all - 1)." of {$all}",
            implode(' ', [$set['standing']['why'], ...$set['standing']['notes']]),
        );
        self::assertSame(
            ['due', ["nipple-{$this->spotId($machine, $stuck)}"]],
            [$set['told'], array_column($set['findings'], 'check')],
        );
        self::assertSame(
            [$stuck],
            array_keys(
                array_filter(
                    array_column($this->getJson("/api/machines/{$machine}/grease")->json('points'), 'due', 'key'),
                ),
            ),
        );

        $this->tell($machine, 'grease', ['spot' => $stuck, 'strokes' => $points[$stuck]])->assertCreated();
        self::assertSame(
            ['fresh', []],
            [
                $this->row($machine, 'Grease all points')['told'],
                $this->getJson("/api/machines/{$machine}/walk")->json('findings'),
            ],
        );
    }

    /** Mistake 37: points behind plates and on pivots that nobody ever gets. */
    public function test_a_point_behind_a_plate_that_nobody_ever_greased_is_shown_and_joined_to_the_job_that_opens_the_way(): void
    {
        $machine = $this->machine(['class' => 'tractor', 'history' => 'unknown', 'began_on' => null, 'meters' => [
            ['unit' => 'h', 'value' => '500'],
        ], 'rules' => [
            [
                'task' => 'Alternator belt',
                'kind' => 'inspect',
                'spots' => ['alternator_belt'],
                'every' => ['hours' => 100],
            ],
            ['kind' => 'lubricate', 'spots' => ['clutch_hub'], 'goes_with_row' => 0],
        ]]);
        $hub = collect(
            $this->getJson("/api/machines/{$machine}/grease")->json('points'),
        )->firstWhere('key', 'clutch_hub');
        self::assertSame(
            ['unknown', true, 'Nobody has ever recorded grease here.', 'Alternator belt'],
            [$hub['state'], $hub['due'], $hub['why'], $hub['with']],
        );
        self::assertSame(
            $this->row($machine, 'Alternator belt')['id'],
            $this->row($machine, 'Clutch hub')['goes_with'],
        );
    }

    /** Mistake 33: brake pedals uncoupled for measuring and not coupled again. */
    public function test_pedals_uncoupled_for_measuring_are_coupled_again_before_the_measurement_is_written_down(): void
    {
        $machine = $this->machine(['class' => 'tractor']);
        $measured = ['said' => 'measured', 'values' => ['left' => '1 in', 'right' => '1 1/8 in']];
        $typing = $this->postJson(
            "/api/machines/{$machine}/checks/pedal_play/verdict",
            ['values' => $measured['values']],
        )->assertOk();
        self::assertSame(
            ['fit', 'Before anything else: Pedals latched together again. Tick it when that is done.'],
            [$typing->json('answer.verdict'), $typing->json('missing.put_back.0')],
        );

        $refused = $this->send([$this->look($machine, 'pedal_play', $measured)])[0];
        self::assertSame(['refused', ['put_back']], [$refused['status'], array_keys($refused['problem']['errors'])]);
        $written = $this->send(
            [
                $this->look(
                    $machine,
                    'pedal_play',
                    ['said' => 'measured', 'values' => [...$measured['values'], 'put_back' => true]],
                ),
            ],
        )[0];
        self::assertSame(['written', 'fit'], [$written['status'], $written['act']['verdict']]);
    }

    public function test_oil_and_filter_changed_is_the_filter_changed_and_the_level_right(): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $this->log(
            $machine,
            '104',
            ['at' => '2026-05-13T07:00:00Z', 'confirmed_because' => 'A long spring'],
        )->assertCreated();
        $service = $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->row($machine, 'Engine oil and filter')['task_id']], 'hours' => '105'],
        )
            ->assertCreated()
            ->json('entry.id');

        $due = fn (): array => array_map(
            fn (string $task): mixed => $this->row($machine, $task)['standing']['due']['hours'],
            ['Engine oil and filter', 'Filter alone', 'Engine oil level'],
        );
        self::assertSame([205, 155, 115], $due());
        $this->tellOf($service, 'strike', ['because' => 'Not done at all'])->assertCreated();
        self::assertSame([100, 50, 10], $due(), 'all that followed from it is undone with it');
    }

    public function test_a_service_tells_of_what_has_no_rule_and_grease_in_it_stands_at_its_day_and_is_undone_with_it(): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $points = $this->points($machine);
        $this->log(
            $machine,
            '70',
            ['at' => '2026-05-13T07:00:00Z', 'confirmed_because' => 'A long spring'],
        )->assertCreated();
        $before = $this->row($machine, 'Grease all points')['standing'];
        $service = $this->tell($machine, 'service', [
            'tasks' => [
                $this->row($machine, 'Grease all points')['task_id'],
            ], 'hours' => '60', 'at' => '2026-05-01', 'confirmed_because' => 'It was so',
            'other' => [
                ['spot' => 'engine_oil', 'act' => 'topped_up', 'amount' => '0.3 qt'],
                ['spot' => 'bed', 'act' => 'cleaned'],
            ],
        ])->assertCreated()->json('entry');

        self::assertSame(
            'At 60 h: grease all points greased, '.count($points).' points, engine oil topped up, 0.3 qt, bed cleaned',
            $service['in_words'],
        );
        self::assertSame(110, $this->row($machine, 'Grease all points')['standing']['due']['hours']);
        self::assertSame('2026-05-01', $this->getJson("/api/machines/{$machine}/grease")->json('points.0.last_on'));
        $this->tellOf($service['id'], 'strike', ['because' => 'The other one'])->assertCreated();
        self::assertSame($before, $this->row($machine, 'Grease all points')['standing']);
        self::assertNull($this->getJson("/api/machines/{$machine}/grease")->json('points.0.last_on'));
    }

    public function test_a_correction_keeps_what_the_entry_put_right_and_its_grease_and_how_it_is_counted_on(): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $points = $this->points($machine);
        $stuck = array_key_first($points);
        $this->send(
            [
                $this->look(
                    $machine,
                    'leaks',
                    ['said' => 'not_fine', 'verdict' => 'act', 'at' => '2026-05-12T07:00:00Z'],
                ),
            ],
        );
        $grease = $this->row($machine, 'Grease all points');
        $service = $this->tell($machine, 'service', ['tasks' => [$grease['task_id']], 'hours' => '52', 'puts_right' => ['leaks'], 'greased' => [
            ['spot' => $stuck, 'did_not_go_in' => true],
        ],
            'anchors' => [['rule_id' => $grease['id'], 'anchor' => 'chart']]])->assertCreated()->json('entry.id');
        $told = fn (): array => [
            array_column($this->getJson("/api/machines/{$machine}/walk")->json('findings'), 'check'),
            array_filter(array_column($this->getJson("/api/machines/{$machine}/grease")->json('points'), 'due', 'key')),
            $this->row($machine, 'Grease all points')['anchor'],
        ];
        $before = $told();
        $this->tellOf($service, 'correction', ['because' => 'Misread', 'hours' => '51'])->assertCreated();

        self::assertSame($before, $told());
        self::assertSame([["nipple-{$this->spotId($machine, $stuck)}"], [$stuck => true], 'chart'], $before);
    }

    /**
     * In whichever order notes arrive, and struck and written again, the same follows as if each had come once, in
     * order.
     */
    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    public function test_the_order_of_arrival_changes_nothing_and_neither_does_striking_and_writing_again(int $seed): void
    {
        $chance = new Randomizer(new Mt19937($seed));
        $days = ['2026-02-02' => '10', '2026-03-04' => '45', '2026-04-06' => '80', '2026-05-08' => '120'];
        $story = function (int $machine) use ($days): array {
            $point = array_key_first($this->points($machine));
            $at = fn (string $day, string $time): array => [
                'at' => '2026-05-14T09:00:00Z',
                'on' => "{$day}T{$time}:00Z",
                'round' => null,
            ];

            return [
                ...array_map(
                    fn (string $day, string $value): array => $this->note(
                        $machine,
                        'reading',
                        ['value' => $value, ...$at($day, '07:00')],
                    ),
                    array_keys($days),
                    $days,
                ),
                $this->look(
                    $machine,
                    'pads',
                    ['said' => 'measured', 'values' => ['left' => '3 mm'], ...$at('2026-03-20', '08:00')],
                ),
                $this->look(
                    $machine,
                    'pads',
                    ['said' => 'measured', 'values' => ['left' => '0.4 mm'], ...$at('2026-04-20', '08:00')],
                ),
                $this->look(
                    $machine,
                    'leaks',
                    ['said' => 'not_fine', 'verdict' => 'watch', ...$at('2026-03-01', '08:00')],
                ),
                $this->look($machine, 'leaks', $at('2026-04-01', '08:00')),
                $this->note($machine, 'grease', ['spot' => $point, 'strokes' => 8, ...$at('2026-04-10', '08:00')]),
                $this->note(
                    $machine,
                    'service',
                    [
                        'tasks' => [],
                        'other' => [
                            ['spot' => 'engine_oil', 'act' => 'changed'],
                            ['spot' => 'engine_oil_filter', 'act' => 'replaced'],
                        ],
                        'hours' => '82',
                        ...$at('2026-04-08', '15:00'),
                    ],
                ),
            ];
        };
        $straight = $this->machine([...self::SIDE_BY_SIDE, 'name' => 'Straight']);
        $sent = $this->send($story($straight));
        self::assertSame(
            ['written'],
            array_values(array_unique(array_column($sent, 'status'))),
            (string) json_encode($sent),
        );

        $shuffled = $this->machine([...self::SIDE_BY_SIDE, 'name' => 'Shuffled']);
        foreach ($chance->shuffleArray($story($shuffled)) as $note) {
            $entry = $this->send([[...$note, 'confirmed_because' => 'As it came']])[0]['entry_id']
                ?? self::fail('refused');
            if ($chance->getInt(1, 3) === 1) {
                $this->tellOf($entry, 'strike', ['because' => 'Written again'])->assertCreated();
                self::assertSame(
                    'written',
                    $this->send(
                        [[...$note, 'id' => (string) Str::uuid(), 'confirmed_because' => 'As it came']],
                    )[0]['status'],
                );
            }
        }

        self::assertEquals($this->follows($straight), $this->follows($shuffled));
        $acts = fn (int $machine): array => Act::query()->standing()->where('machine_id', $machine)->with('spot')->get()->map(
            fn (Act $act): string => "{$act->spot->key} {$act->kind->value} {$act->happened_at} {$act->hours}",
        )->sort()->values()->all();
        self::assertSame($acts($straight), $acts($shuffled), 'each stands where its machine then stood');
    }

    /** A job of which nothing is told yet, or that can be signed off. */
    private function jobToldTo(int $machine, bool $isOver): string
    {
        $job = $this->postJson("/api/machines/{$machine}/jobs", ['rules' => [$this->ruleId($machine)]])->assertCreated()->json();
        foreach ($isOver ? $job['steps'] : [] as $step) {
            $this->tell($machine, 'step', [
                'job' => $job['id'],
                'step' => $step['key'],
                'did' => 'cannot',
                'because' => 'No time today',
            ]);
        }

        return $job['id'];
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('everyKind')]
    public function test_a_note_of_every_kind_sent_again_doubled_or_in_another_order_is_written_once(string $kind, array $given): void
    {
        $machine = $this->machine(self::SIDE_BY_SIDE);
        $entry = $this->log($machine, '5', ['at' => '2026-05-02'])->json('entry.id');
        $this->send(
            [
                $this->look(
                    $machine,
                    'leaks',
                    ['said' => 'not_fine', 'verdict' => 'watch', 'at' => '2026-05-10T07:00:00Z'],
                ),
            ],
        );
        $known = [
            '{stand_down}' => $kind === 'lift' ? '"'.$this->tell($machine, 'stand_down', ['note' => 'Brakes'])->json('id').'"' : 'null',
            '{entry}' => $entry,
            '{task}' => $this->taskId($machine),
            '{supply}' => $this->postJson('/api/supplies', ['kind' => 'part', 'name' => 'Ring', 'number' => 'WD 38'])->json('id'),
            '{list}' => $this->postJson('/api/lists', ['name' => 'Thursday', 'rules' => [$this->ruleId($machine)]])->json('id'),
            '{doubt}' => $kind === 'answer' ? $this->doubtOn($machine) : 'null',
            '{job}' => '"'.$this->jobToldTo($machine, isOver: $kind === 'sign_off').'"',
        ];
        $given = json_decode(
            strtr(
                (string) json_encode($given),
                array_combine(
                    array_map(fn (string $name): string => "\"{$name}\"", array_keys($known)),
                    array_map(strval(...), $known),
                ),
            ),
            true,
        );
        $note = [...$this->note($machine, $kind, ['at' => '2026-05-14T09:00:00Z']), 'round' => null, ...$given];
        $other = $this->note($machine, 'remark', ['note' => 'Parked by the barn', 'round' => null]);

        self::assertSame(
            ['written', 'already', 'written'],
            array_column($sent = $this->send([$note, $note, $other]), 'status'),
            (string) json_encode($sent),
        );
        $told = $this->follows($machine);
        self::assertSame(['already', 'already'], array_column($this->send([$other, $note]), 'status'));
        self::assertSame($told, $this->follows($machine));
        $foreign = $this->as(Role::Mechanic)->send([$note])[0];
        self::assertSame(
            ['refused', '/problems/key-reused'],
            [$foreign['status'], $foreign['problem']['type']],
            'an id belongs to whom it was given by',
        );
    }

    private function doubtOn(int $machine): int
    {
        $told = $this->tell($machine, 'top_up', ['spot' => 'engine_oil', 'amount' => '0.2 qt', 'container' => null])->assertCreated();
        Entry::query()->findOrFail($told->json('entry.id'))->doubt('Is that so?');

        return Doubt::query()->latest('id')->firstOrFail()->id;
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function everyKind(): iterable
    {
        yield 'reading' => ['reading', ['value' => '9']];
        yield 'line' => ['line', ['text' => 'wigeon 9']];
        yield 'meter' => ['meter', ['meter' => 'hours', 'new_value' => '0']];
        yield 'meter_truth' => ['meter_truth', ['for' => ['shims'], 'against' => []]];
        yield 'stand_down' => ['stand_down', ['note' => 'Brakes']];
        yield 'lift' => ['lift', ['note' => 'Tried', 'lifts' => ['{stand_down}']]];
        yield 'reminder' => ['reminder', ['set' => '20']];
        yield 'answer' => ['answer', ['doubt' => '{doubt}', 'note' => 'It ran all week']];
        yield 'remark' => ['remark', ['note' => 'Stands in the barn']];
        yield 'top_up' => ['top_up', ['spot' => 'engine_oil', 'amount' => '0.3 qt']];
        yield 'fluid' => [
            'fluid',
            ['spot' => 'engine_oil', 'act' => 'drained', 'amount' => '1.5 qt', 'seen' => ['dark']],
        ];
        yield 'strike' => ['strike', ['entry' => '{entry}', 'because' => 'slip']];
        yield 'service' => ['service', ['tasks' => ['{task}'], 'hours' => '9']];
        yield 'correction' => ['correction', ['entry' => '{entry}', 'because' => 'slip', 'hours' => '4']];
        yield 'skip' => ['skip', ['tasks' => ['{task}'], 'note' => 'To be sold']];
        yield 'call' => ['call', ['tasks' => ['{task}'], 'note' => 'Seen']];
        yield 'look' => ['look', ['check' => 'lights', 'said' => 'fine']];
        yield 'bought' => ['bought', ['new' => ['name' => 'Washer', 'number' => 'WD 12'], 'count' => 3]];
        yield 'counted' => ['counted', ['supply' => '{supply}', 'pieces' => 2, 'because' => 'One fell down']];
        yield 'collected' => ['collected', ['waste' => 'oil']];
        yield 'gather' => ['gather', ['list' => '{list}', 'item' => 'tool 19 mm socket', 'got' => true]];
        yield 'step' => ['step', ['job' => '{job}', 'step' => 'secure', 'did' => 'done']];
        yield 'sign_off' => ['sign_off', ['job' => '{job}', 'hours' => '9']];
        yield 'accept' => ['accept', ['check' => 'leaks', 'note' => 'Known for years', 'loses' => '0.5 qt']];
        yield 'mended' => ['mended', ['check' => 'leaks', 'note' => 'New seal']];
        yield 'grease' => ['grease', ['spot' => 'prop_shaft_joints', 'strokes' => 2]];
        yield 'end' => ['end', ['round' => ['kind' => 'daily', 'started_at' => '2026-05-14T08:50:00Z']]];
    }

    public function test_every_kind_of_note_there_is_was_tried(): void
    {
        self::assertEqualsCanonicalizing(
            $this->app->make(NoteKinds::class)->names(),
            array_keys(iterator_to_array(self::everyKind())),
        );
    }

    /** @return array<string, mixed> everything that is told of a machine but its name and ids */
    private function follows(int $machine): array
    {
        $sheet = $this->sheet($machine);
        $walk = $this->getJson("/api/machines/{$machine}/walk")->json();

        return [
            'rules' => array_map(
                fn (array $rule): array => [
                    $rule['task'],
                    $rule['standing'],
                    $rule['told'],
                    array_column($rule['findings'], 'title'),
                ],
                $sheet['rules'],
            ),
            'meters' => array_column($sheet['meters'], 'value'),
            'stood_down' => $sheet['line']['stood_down']['because'] ?? null,
            'findings' => array_map(
                fn (array $finding): array => [
                    $finding['title'],
                    $finding['verdict'],
                    $finding['course'],
                    $finding['seen'],
                    $finding['since'],
                    $finding['last_seen'],
                ],
                $walk['findings'],
            ),
            'grease' => array_map(
                fn (array $point): array => [$point['key'], $point['state'], $point['last_on'], $point['last_strokes']],
                $walk['grease']['points'],
            ),
            'wear' => array_map(
                fn (array $wear): array => [
                    $wear['title'],
                    array_column($wear['points'], 'hours'),
                    array_column($wear['points'], 'value'),
                ],
                $this->getJson("/api/machines/{$machine}/trends")->json('wear'),
            ),
        ];
    }

    /** @return array<string, mixed> the row of a task on its machine's page */
    private function row(int $machine, string $task): array
    {
        return array_column($this->sheet($machine)['rules'], null, 'task')[$task];
    }

    /** @return array<string, int> strokes of each grease point by its key */
    private function points(int $machine): array
    {
        $points = $this->getJson("/api/machines/{$machine}/grease")->assertOk()->json('points');

        return array_map(fn (array $grease): int => $grease['strokes'], array_column($points, 'grease', 'key'));
    }

    private function spotId(int $machine, string $key): int
    {
        return array_column(
            $this->getJson("/api/machines/{$machine}/spots")->assertOk()->json('spots'),
            'id',
            'key',
        )[$key];
    }
}
