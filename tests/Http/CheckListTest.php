<?php

declare(strict_types=1);

namespace Tests\Http;

/** The keeper's own check sheets and grease points. */
final class CheckListTest extends WalkTestCase
{
    public function test_a_check_is_added_worded_otherwise_moved_and_dropped_for_one_machine(): void
    {
        $machine = $this->machine();
        $other = $this->machine(['name' => 'Teal']);
        $keys = fn (int $machine): array => array_column(
            $this->getJson("/api/machines/{$machine}/walk")->json('checks'),
            'key',
        );

        $this->change(
            $machine,
            'own-hopper',
            [
                'values' => [
                    'spot' => 'deck',
                    'title' => 'Grass hopper',
                    'place' => 'Behind',
                    'fine' => 'Empty, shut',
                    'rounds' => ['daily', 'after_wash'],
                    'degrees' => [['words' => 'Torn', 'verdict' => 'act']],
                ],
                'position' => -1,
            ],
        )->assertOk();
        $this->change($machine, 'leaks', ['values' => ['place' => 'Under the left drive']])->assertOk();
        $this->change($machine, 'fuel_level', ['dropped' => true])->assertOk();

        self::assertSame('own-hopper', $keys($machine)[0]);
        self::assertNotContains('fuel_level', $keys($machine));
        self::assertContains('fuel_level', $keys($other));
        $walk = $this->getJson("/api/machines/{$machine}/walk")->json();
        self::assertSame('Under the left drive', collect($walk['checks'])->firstWhere('key', 'leaks')['place']);
        self::assertContains('own-hopper', collect($walk['rounds'])->firstWhere('kind', 'after_wash')['keys']);

        $this->deleteJson("/api/machines/{$machine}/checks/fuel_level?for=machine")->assertOk();
        self::assertContains('fuel_level', $keys($machine));
    }

    public function test_a_change_for_the_class_holds_for_all_its_machines_until_one_has_its_own(): void
    {
        [$one, $two, $tractor] = [
            $this->machine(['class' => 'tractor', 'name' => 'One']),
            $this->machine(['class' => 'tractor', 'name' => 'Two']),
            $this->machine(),
        ];
        $limits = fn (int $machine): array => (array) collect(
            $this->getJson("/api/machines/{$machine}/walk")->json('checks'),
        )->firstWhere('key', 'tyre_pressure');
        $this->change(
            $one,
            'tyre_pressure',
            ['for' => 'class', 'values' => ['limits' => ['front' => '1.8 bar', 'rear' => '1.1 bar']]],
        )->assertOk();
        $this->change(
            $one,
            'tyre_pressure',
            ['values' => ['limits' => ['front' => '1.9 bar', 'rear' => '1.1 bar']]],
        )->assertOk();

        self::assertSame(['machine', '1.9 bar'], [$limits($one)['limit_source'], $limits($one)['limits']['front']]);
        self::assertSame(['class', '1.8 bar'], [$limits($two)['limit_source'], $limits($two)['limits']['front']]);
        self::assertSame('bar', $limits($two)['asks'][0]['unit'], 'entered in the unit of the limit');
        self::assertSame('common_practice', $limits($tractor)['limit_source']);
    }

    public function test_a_check_for_part_of_the_year_or_after_another_says_so(): void
    {
        $machine = $this->machine();
        $this->change(
            $machine,
            'own-frost',
            [
                'values' => [
                    'spot' => 'engine_oil',
                    'title' => 'Frost plugs',
                    'rounds' => ['daily'],
                    'window' => ['from' => '10-01', 'to' => '03-31'],
                ],
            ],
        )->assertOk();
        $this->change(
            $machine,
            'own-belt',
            [
                'values' => [
                    'spot' => 'deck_belt',
                    'title' => 'Spare belt',
                    'rounds' => ['daily'],
                    'after' => 'deck_belt',
                ],
            ],
        )->assertOk();
        $daily = fn (): array => collect(
            $this->getJson("/api/machines/{$machine}/walk")->json('rounds'),
        )->firstWhere('kind', 'daily')['keys'];

        self::assertNotContains('own-frost', $daily());
        self::assertContains('own-belt', $daily());
        $this->travelTo('2026-12-01T08:00:00Z');
        self::assertContains('own-frost', $daily());
    }

    public function test_what_cannot_be_used_is_refused_and_nothing_is_kept_of_it(): void
    {
        $machine = $this->machine(['class' => 'tractor']);
        $this->change(
            $machine,
            'belt',
            ['values' => ['limits' => ['deflection' => 'a little', 'force' => '15 lbf']]],
        )->assertJsonValidationErrors('values.limits.deflection');
        $this->change(
            $machine,
            'belt',
            ['values' => ['limits' => ['deflection' => '1/3 in', 'force' => '15 V']]],
        )->assertJsonValidationErrors('values.limits.force');
        $this->change(
            $machine,
            'own-nothing',
            ['values' => ['how' => 'Look.']],
        )->assertJsonValidationErrors('values.title');
        $this->change(
            $machine,
            'own-nowhere',
            ['values' => ['title' => 'Hopper', 'rounds' => ['daily']]],
        )->assertJsonValidationErrors('values.spot');
        $this->change(
            $machine,
            'own-nowhere',
            ['values' => ['title' => 'Hopper', 'rounds' => ['daily'], 'spot' => 'moon']],
        )->assertJsonValidationErrors('values.spot');
        $this->change($machine, 'leaks', ['values' => ['rounds' => []]])->assertJsonValidationErrors('values.rounds');
        $this->change(
            $machine,
            'leaks',
            ['values' => ['degrees' => [['words' => 'Gone', 'verdict' => 'fit']]]],
        )->assertJsonValidationErrors('values.degrees.0.verdict');
        $this->change($machine, 'Leaks!', ['dropped' => true])->assertJsonValidationErrors('key');
        $this->change(
            $machine,
            'own-when',
            ['values' => ['spot' => 'deck', 'title' => 'When', 'window' => ['from' => '13-01', 'to' => '03-31']]],
        )->assertJsonValidationErrors('values.window.from');

        self::assertSame(0, \App\Machines\ChangedCheck::query()->count());
    }

    public function test_grease_points_come_with_the_class_and_ticks_tell_what_is_missed_and_what_got_too_much(): void
    {
        $machine = $this->machine(['class' => 'tractor']);
        $grease = $this->getJson("/api/machines/{$machine}/grease")->assertOk()->json();
        $point = fn (string $name): array => collect(
            $this->getJson("/api/machines/{$machine}/grease")->json('points'),
        )->firstWhere('name', $name);
        self::assertSame(
            ['unknown', true, 'Nobody has ever recorded grease here.'],
            [$grease['points'][0]['state'], $grease['points'][0]['due'], $grease['points'][0]['why']],
        );
        self::assertSame('Floor plate off.', $point('Clutch hub')['reach']);

        $this->log($machine, '10', ['at' => '2026-05-10T07:00:00Z']);
        $tick = fn (string $name, int $strokes, array $more = []): array => $this->note(
            $machine,
            'grease',
            [
                'spot' => $point($name)['key'],
                'strokes' => $strokes,
                'round' => ['kind' => 'grease', 'started_at' => '2026-05-14T07:00:00Z'],
                ...$more,
            ],
        );
        $this->send(
            [
                $tick('Axle pivot', 6),
                $first = $tick('Clutch hub', 3),
                $tick('Clutch hub', 1, ['replaces' => $first['id'], 'at' => '2026-05-14T08:01:00Z']),
            ],
        );
        self::assertSame(['fresh', false], [$point('Axle pivot')['state'], $point('Axle pivot')['due']]);
        self::assertFalse($point('Clutch hub')['over_greased']);
        self::assertSame(
            'Grease round: 2 points greased, 7 strokes',
            $this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data.0.in_words'),
        );

        $this->send([$tick('Clutch hub', 2, ['at' => '2026-05-14T09:00:00Z'])]);
        self::assertSame(
            [true, '3 strokes, at most 1: wipe off what comes out, and look at the belt beside it.'],
            [$point('Clutch hub')['over_greased'], $point('Clutch hub')['why']],
        );
    }

    public function test_a_gun_weighed_by_ten_strokes_tells_grams_and_cartridges(): void
    {
        $machine = $this->machine(['class' => 'crawler']);
        $this->patchJson(
            '/api/yard',
            ['grease_guns' => [['name' => 'Shed gun', 'ten_strokes' => 'some']]],
            ['If-Match' => '"1"'],
        )->assertJsonValidationErrors('grease_guns.0.ten_strokes');
        $this->patchJson(
            '/api/yard',
            ['grease_guns' => [['name' => 'Shed gun', 'ten_strokes' => '8.5']]],
            ['If-Match' => '"1"'],
        )->assertOk();

        $grease = $this->getJson("/api/machines/{$machine}/grease")->json();
        $strokes = array_sum(array_column(array_column($grease['points'], 'grease'), 'strokes'));
        self::assertSame(['Shed gun', '0.85 g'], [$grease['gun'], $grease['gram_a_stroke']]);
        self::assertSame($strokes.' strokes, '.round($strokes * 0.85, 1).' g, one cartridge', $grease['round_need']);
    }

    public function test_the_keeper_adds_changes_and_takes_out_grease_points_and_other_spots(): void
    {
        $machine = $this->machine();
        $point = [
            'name' => 'Hidden nipple',
            'kind' => 'grease_point',
            'place' => 'Behind the floor plate',
            'x' => 40,
            'y' => 60,
            'grease' => ['strokes' => 2, 'most' => 4, 'end_sign' => 'strokes'],
        ];
        $added = $this->postJson("/api/machines/{$machine}/spots", $point)
            ->assertCreated()
            ->assertJsonPath('key', 'hidden_nipple');
        $this->patchJson('/api/spots/'.$added->json('id'), ['trick' => 'Turn the wheel right'], ['If-Match' => '"1"'])
            ->assertOk()
            ->assertJsonPath('trick', 'Turn the wheel right');
        $this->patchJson('/api/spots/'.$added->json('id'), ['grease' => ['strokes' => 3]], ['If-Match' => '"2"'])
            ->assertOk()
            ->assertJsonPath('grease.strokes', 3);
        $this->patchJson(
            '/api/spots/'.$added->json('id'),
            ['grease' => ['strokes' => 5]],
            ['If-Match' => '"2"'],
        )->assertStatus(412);
        $this->postJson(
            "/api/machines/{$machine}/spots",
            [...$point, 'grease' => ['strokes' => 5, 'most' => 1]],
        )->assertJsonValidationErrors('grease.most');
        $this->postJson("/api/machines/{$machine}/spots", [...$point, 'x' => 140])->assertJsonValidationErrors('x');
        $drain = $this->postJson(
            "/api/machines/{$machine}/spots",
            ['name' => 'Second drain', 'kind' => 'opening', 'role' => 'drain', 'parent' => 'engine_oil'],
        )->assertCreated();
        self::assertSame(['engine_oil', 'drain'], [$drain->json('parent'), $drain->json('role')]);

        foreach ($this->getJson("/api/machines/{$machine}/grease")->json('points') as $present) {
            $this->patchJson(
                "/api/spots/{$present['id']}",
                ['retired' => true],
                ['If-Match' => "\"{$present['version']}\""],
            )->assertOk();
        }
        self::assertSame([], $this->getJson("/api/machines/{$machine}/grease")->json('points'));
        $keys = array_column($this->postJson("/api/machines/{$machine}/usual-spots")->assertOk()->json('spots'), 'key');
        self::assertContains('caster_left', $keys);
        self::assertSame(count($keys), count(array_unique($keys)), 'a key stays one spot');
        self::assertNotEmpty($this->getJson("/api/machines/{$machine}/grease")->json('points'));
    }

    /** @param  array<string, mixed>  $given */
    private function change(int $machine, string $key, array $given): \Illuminate\Testing\TestResponse
    {
        return $this->putJson("/api/machines/{$machine}/checks/{$key}", ['for' => 'machine', ...$given]);
    }
}
