<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Bench\Job;
use App\Logbook\Acts\Act;
use App\People\Role;
use Illuminate\Testing\TestResponse;

/**
 * Services led step by step, from the due point to the book, and the mistakes of the trade handbook (section 16), each by
 * trying to make it.
 */
final class BenchTest extends BenchTestCase
{
    public function test_oil_and_filter_from_the_due_point_to_the_book(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated()->assertJsonPath('name', 'Engine oil and filter');
        $this->walk(said: [
            'what_ran_out:engine_oil_drain' => ['amount' => '1.7 L', 'seen' => ['dark']],
            'pour:engine_oil' => ['ml' => 1200],
        ]);
        $this->signOff(['hours' => '126.5'])->assertCreated()->assertJsonPath(
            'entry.in_words',
            'At 126.5 h: engine oil drained, 1.7 L, engine oil and filter replaced, 1.6 L, engine oil measured',
        );
        $rule = collect($this->sheet($this->machine)['rules'])->firstWhere('task', 'Engine oil and filter');
        self::assertSame('fresh', $rule['standing']['state']);
        self::assertStringContainsString('Due at 226.5 h', $rule['standing']['why']);
    }

    /** Handbook section 9, the worked case of 1.6 to 1.8 L. */
    public function test_the_staged_fill_of_the_handbook_and_what_its_stick_teaches(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated();
        $this->walk('prefill:engine_oil_filter');
        $this->step('prefill:engine_oil_filter', 'poured', ['ml' => 800])->assertCreated();
        $this->step('prefill:engine_oil_filter')->assertCreated();
        $this->walk('pour:engine_oil');
        $asks = $this->asks('pour:engine_oil');
        self::assertSame([1600, 1800, 1600], [$asks['least_ml'], $asks['most_ml'], $asks['stages'][0]['total_ml']]);
        $this->step('pour:engine_oil', 'poured', ['ml' => 800])->assertCreated();
        $this->step('pour:engine_oil')->assertCreated();
        $this->walk('read:engine_oil');
        self::assertStringContainsString('of the band is missing. Pour a little', $this->row('read:engine_oil', 9)['says'], 'nobody knows this stick yet');
        $this->step('read:engine_oil', 'done', ['level' => 9, 'answers' => ['slope' => 'level']])->assertCreated();
        $this->step('top_up:engine_oil', 'poured', ['ml' => 200])->assertCreated();
        $this->step('top_up:engine_oil', 'done', ['level' => 20])->assertCreated();
        $this->walk();
        self::assertStringContainsString('replaced, 1.8 L', $this->signOff(['hours' => '126'])->json('entry.in_words'));

        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated();
        $row = $this->row('read:engine_oil', 10);
        self::assertSame(182, $row['missing_ml'], '200 mL raised it by 11/20 of the band');
        self::assertSame('Pour 182 mL (6.2 fl oz), then read again.', $row['says']);
        self::assertStringContainsString('has not run down yet: wait and read again, do not drain', $this->row('read:engine_oil', 35)['says'], 'row 18');
    }

    public function test_a_step_out_of_turn_says_which_one_it_waits_for(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        // Rows 2 and 3: an axle is drained, then the fill plug will not turn.
        $this->step('open:engine_oil_drain')->assertConflict()->assertJsonPath('detail', 'Not yet. First: Make it safe.');
        $this->walk('loosen:engine_oil_fill');
        $this->step('open:engine_oil_drain')->assertConflict()
            ->assertJsonPath('detail', 'Not yet. First: Loosen: Engine oil filler.');
        // Row 4: new oil poured with the drain plug still open.
        $this->walk('close:engine_oil_drain');
        $this->step('pour:engine_oil', 'poured', ['ml' => 100])->assertConflict()
            ->assertJsonPath('detail', 'Not yet. First: Close: Engine oil drain.');
        // Row 5: a plug left finger tight, and then forgotten.
        $this->step('close:engine_oil_drain')->assertCreated();
        $this->step('run', 'started')->assertConflict()->assertJsonPath('detail', fn (string $why): bool => str_starts_with($why, 'Not yet. First: '));
        $this->signOff(['hours' => '126'])->assertConflict()
            ->assertJsonPath('detail', fn (string $why): bool => str_starts_with($why, 'Not yet. First: '));
    }

    public function test_a_drain_is_not_opened_where_the_fill_plug_will_not_turn(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('loosen:engine_oil_fill');
        $this->step('loosen:engine_oil_fill', 'cannot')->assertUnprocessable()
            ->assertJsonPath('errors.because.0', 'Say why it cannot be done.');
        $this->step('loosen:engine_oil_fill', 'cannot', ['because' => 'It is rounded off.'])->assertCreated();
        $this->step('open:engine_oil_drain')->assertConflict()
            ->assertJsonPath('detail', 'That cannot be done: something that it needs could not be.');
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();
        // Row 40: a rounded plug; a new one never bought.
        $finding = $this->getJson("/api/machines/{$this->machine}/walk")->json('findings.0');
        self::assertStringContainsString('It is rounded off.', $finding['why']);
        self::assertStringContainsString('Get a new one before it is forced', $finding['do']);
        self::assertSame('past', $this->state('Engine oil'), 'old oil is no new oil');
    }

    public function test_a_level_is_read_when_it_has_run_and_stood_and_stands_level(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('run');
        $this->step('run')->assertConflict()->assertJsonPath('detail', 'Start it first: its minutes are counted from then.');
        $this->step('run', 'started')->assertCreated();
        $this->travel(2)->minutes();
        // Row 17: read before the engine was warm enough.
        $this->step('run')->assertConflict()->assertJsonPath('detail', 'Not yet: 3 min more. What is read before is no reading.');
        $this->travel(3)->minutes();
        $this->step('run')->assertCreated();
        // Row 16: read at once after stopping looks low, and somebody overfills.
        $read = ['level' => 5, 'answers' => ['slope' => 'level']];
        $this->step('read:engine_oil', 'done', $read)->assertConflict()
            ->assertJsonPath('detail', 'Not yet. First: Wait: Engine oil.');
        $this->step('wait:engine_oil')->assertConflict();
        $this->travel(2)->minutes();
        // Row 20: read on a slope "seems fine to me".
        $slope = $this->step('read:engine_oil', 'done', ['level' => 5, 'answers' => ['slope' => 'slope']])->assertUnprocessable();
        self::assertSame(
            ['That is no reading. Park it level: on a slope the level lies. Then read again.'],
            $slope->json('errors')['answers.slope'],
        );
        $this->step('read:engine_oil', 'done', ['answers' => ['slope' => 'level']])->assertUnprocessable()
            ->assertJsonPath('errors.level.0', 'Say where it stands.');
        $this->step('read:engine_oil', 'done', $read)->assertCreated();
    }

    public function test_more_than_it_holds_and_the_wrong_bottle_are_asked_about(): void
    {
        $gear = $this->postJson('/api/supplies', [
            'kind' => 'fluid',
            'name' => 'Rook',
            'label' => ['kind' => 'gear_oil', 'grade' => '80W-90', 'designations' => ['GL-5']],
        ])->json('id');
        $this->tell(null, 'bought', ['supply' => $gear, 'size' => '1 L', 'count' => 1])->assertCreated();
        $container = $this->getJson("/api/supplies/{$gear}")->json('containers.0.id');
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('pour:engine_oil');
        // Row 9: the fluid of one circuit poured into another.
        $this->step('pour:engine_oil', 'poured', ['ml' => 500, 'container' => $container])->assertConflict()
            ->assertJsonPath('errors.container.0', fn (string $why): bool => str_starts_with($why, 'Rook will not do for Engine oil.'));
        $this->step('pour:engine_oil', 'poured', ['ml' => 2500])->assertConflict()
            ->assertJsonPath('errors.ml.0', '2500 mL (84.5 fl oz) is well over the 1800 mL (60.9 fl oz) that the engine oil holds.');
        $this->step('pour:engine_oil', 'poured', ['ml' => 1900, 'confirmed_because' => 'It was quite dry'])->assertCreated();
        self::assertCount(1, array_filter($this->job()['told'], fn (array $told): bool => $told['did'] === 'poured' && $told['step'] === 'pour:engine_oil'));
    }

    public function test_a_step_done_on_two_devices_counts_once_and_pours_add_up(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('pour:engine_oil');
        $this->step('pour:engine_oil', 'poured', ['ml' => 700])->assertCreated();
        $this->as(Role::Mechanic);
        $this->step('pour:engine_oil', 'poured', ['ml' => 500])->assertCreated();
        $this->step('pour:engine_oil')->assertCreated();
        $this->as(Role::Keeper);
        $this->step('pour:engine_oil')->assertCreated();
        $this->walk();
        self::assertStringContainsString('replaced, 1.6 L', $this->signOff(['hours' => '126'])->json('entry.in_words'), '0.4 L in the filter, 1.2 L');
        self::assertSame(1, Act::query()->where(['machine_id' => $this->machine, 'kind' => 'replaced'])->count());
    }

    public function test_an_interrupted_and_handed_over_job_writes_the_same_record(): void
    {
        $acts = fn (): array => Act::query()->where('machine_id', $this->machine)->with('spot', 'moved', 'fitting')->get()
            ->map(fn (Act $act): string => implode(' ', [
                $act->spot->key,
                $act->kind->value,
                $act->meets ? 'meets' : '',
                $act->poured()?->inWords(),
                $act->fitting?->seal,
            ]))->sort()->values()->all();
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();
        $straight = $acts();

        $this->setUpMachine('Teal');
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('close:engine_oil_drain');
        $this->travel(1)->days();
        $this->as(Role::Mechanic);
        $this->walk('read:engine_oil');
        $this->travel(3)->hours();
        $this->as(Role::Keeper);
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();

        self::assertSame($straight, $acts());
        $by = Act::query()->where('machine_id', $this->machine)->with('person')->get()->groupBy('person.name')->keys()->sort()->values()->all();
        self::assertSame(['Keeper', 'Mechanic'], $by, 'each act by whoever did it');
    }

    public function test_a_machine_in_pieces_stands_down_until_it_is_signed_off(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('open:engine_oil_drain');
        $this->step('open:engine_oil_drain')->assertCreated();
        $down = $this->sheet($this->machine)['line']['stood_down'];
        self::assertStringContainsString('In pieces at the bench.', $down['because']);
        $this->step('close:engine_oil_drain')->assertConflict();
        $this->walk();
        self::assertNotNull($this->sheet($this->machine)['line']['stood_down'], 'whole, but not signed off');
        $this->signOff(['hours' => '126'])->assertCreated();
        self::assertNull($this->sheet($this->machine)['line']['stood_down']);
    }

    public function test_a_task_is_taken_out_in_mid_job_only_where_nothing_of_it_stands_open(): void
    {
        $both = $this->make(['rules' => [...$this->rules('Engine oil'), ...$this->rules('Grease')]])->assertCreated();
        $this->walk('open:engine_oil_drain');
        $grease = ['rules' => $this->rules('Grease')];
        $version = fn (): array => ['If-Match' => "\"{$this->job()['version']}\""];
        $this->patchJson("/api/jobs/{$this->job}", $grease, $version())->assertUnprocessable()
            ->assertJsonPath('errors.rules.0', fn (string $why): bool => str_starts_with($why, 'That cannot be taken out now. First:'));
        $this->patchJson("/api/jobs/{$this->job}", $grease, ['If-Match' => '"99"'])->assertStatus(412);
        $this->deleteJson("/api/jobs/{$this->job}")->assertConflict();
        $this->step('open:engine_oil_fill', 'taken_back')->assertCreated();
        $this->step('loosen:engine_oil_fill', 'taken_back')->assertCreated();
        $this->patchJson("/api/jobs/{$this->job}", $grease, $version())->assertOk()->assertJsonPath('name', 'Grease all points');
        self::assertGreaterThan(count($this->job()['steps']), count($both->json('steps')));
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();
        self::assertSame(['fresh', 'past'], [$this->state('Grease'), $this->state('Engine oil')]);
    }

    public function test_a_reused_seal_is_counted_and_what_was_tightened_by_feel_is_looked_at_again(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk(said: [
            'close:engine_oil_drain' => ['reused' => true],
            'torque:engine_oil_drain' => ['by_feel' => true],
        ]);
        // Row 29: without a wrench "snug plus an eighth", kept as by feel.
        $this->signOff(['hours' => '126'])->assertCreated();
        $finding = $this->getJson("/api/machines/{$this->machine}/walk")->json('findings.0');
        self::assertSame(['watch', 'Tightened by feel.'], [$finding['verdict'], $finding['why']]);
        self::assertStringContainsString('about 2 h of use', $finding['do']);
        $this->make(['rules' => $this->rules('Engine oil')]);
        self::assertSame(1, $this->stepOf('close:engine_oil_drain')['renewed']['times_reused']);
    }

    public function test_where_keepers_differ_the_machines_choice_stands_at_the_step(): void
    {
        $record = "/api/machines/{$this->machine}";
        $change = fn (array $schools): TestResponse => $this->patchJson(
            $record,
            ['schools' => $schools],
            ['If-Match' => '"'.$this->getJson($record)->json('version').'"'],
        );
        $change(['seals' => 'sometimes'])->assertUnprocessable()->assertJsonValidationErrors('schools.seals');
        $change(['seals' => 'reuse'])->assertOk()->assertJsonPath('schools.seals', 'reuse')->assertJsonPath('schools.deck', 'coated');
        $this->make(['rules' => $this->rules('Engine oil')]);
        self::assertTrue($this->stepOf('close:engine_oil_drain')['renewed']['usually_reused']);
        self::assertStringContainsString('the old one if it is sound', $this->stepOf('close:engine_oil_drain')['says']);

        $this->machine = $this->machine([
            'name' => 'Coot',
            'class' => 'rider_mower',
            'rules' => [['task' => 'Deck underside', 'kind' => 'clean', 'spots' => ['deck'], 'every' => ['hours' => '25']]],
        ]);
        $this->make(['rules' => $this->rules('Deck')]);
        self::assertStringContainsString('scraped and coated', $this->stepOf('clean:deck')['says']);
    }

    public function test_a_plug_that_is_cleaned_and_goes_on_again_meets_its_rule_and_leaves_the_new_one_on_the_shelf(): void
    {
        $this->machine = $this->machine([
            'name' => 'Siskin',
            'class' => 'rider_mower',
            'schools' => ['spark_plug' => 'regapped'],
            'rules' => [['task' => 'Spark plugs', 'kind' => 'replace', 'spots' => ['spark_plugs'], 'every' => ['hours' => '100']]],
        ]);
        $this->sheetOf($this->machine, 'spark_plugs', ['kind' => 'plug', 'number' => 'SP 4', 'tight' => '15 ft-lb']);
        $plug = $this->postJson('/api/supplies', ['kind' => 'part', 'name' => 'Plug', 'number' => 'SP 4'])->json('id');
        $this->tell(null, 'bought', ['supply' => $plug, 'count' => 2])->assertCreated();
        $this->make(['rules' => $this->rules('Spark plugs')]);
        self::assertSame(
            ['what' => 'plug', 'number' => 'SP 4', 'times_reused' => 0, 'usually_reused' => true],
            $this->stepOf('fit:spark_plugs')['renewed'],
        );
        self::assertSame('15 ft-lb', $this->stepOf('torque:spark_plugs')['torque']['target'], 'a torque that its place gives is set on a wrench');
        $this->walk(said: ['fit:spark_plugs' => ['reused' => true]]);
        $signed = $this->signOff(['hours' => '126'])->assertCreated();
        self::assertSame('At 126 h: spark plugs gone over, the old used again', $signed->json('entry.in_words'));
        self::assertStringContainsString('Spark plugs: due at 226 h', $signed->json('line.why'));
        self::assertSame('2', $this->getJson("/api/supplies/{$plug}")->json('left.value'));
    }

    public function test_a_plug_that_is_replaced_meets_its_rule_and_what_the_old_one_was_like_is_kept(): void
    {
        $this->machine = $this->machine([
            'name' => 'Siskin',
            'rules' => [['task' => 'Drain plug', 'kind' => 'replace', 'spots' => ['engine_oil_drain'], 'every' => ['hours' => '500']]],
        ]);
        $this->make(['rules' => $this->rules('Drain plug')])->assertCreated();
        $this->walk(said: ['compare:engine_oil_drain' => ['found' => 'its thread is pulled']]);
        $signed = $this->signOff(['hours' => '126'])->assertCreated();
        self::assertSame(
            'At 126 h: engine oil drained, drain plug replaced, engine oil drain closed, engine oil topped up, 0.4 L, engine oil measured',
            $signed->json('entry.in_words'),
            'what ran out meanwhile is caught and poured back',
        );
        self::assertStringContainsString('due at 626 h', $signed->json('line.why'));
        $words = array_column($this->getJson("/api/machines/{$this->machine}/walk")->json('findings'), 'why');
        self::assertContains('The old one: its thread is pulled.', $words);
    }

    public function test_a_level_plug_that_is_replaced_and_opened_again_for_the_reading_was_replaced_once(): void
    {
        $this->machine = $this->machine([
            'name' => 'Siskin',
            'class' => 'all_terrain_vehicle',
            'rules' => [['task' => 'Transmission oil', 'kind' => 'replace', 'spots' => ['transmission', 'transmission_level'], 'every' => ['hours' => '500']]],
        ]);
        $this->sheetOf($this->machine, 'transmission', ['capacities' => [['amount' => '2 L', 'kind' => 'refill']], 'service' => ['run' => 5]]);
        $this->make(['rules' => $this->rules('Transmission')])->assertCreated();
        self::assertContains('reopen:transmission_level', $this->walk());
        $this->signOff(['hours' => '126'])->assertCreated();
        $acts = array_column($this->getJson("/api/machines/{$this->machine}/spots/transmission_level")->json('acts'), 'kind');
        self::assertSame(1, count(array_keys($acts, 'replaced', true)), implode(', ', $acts));
    }

    public function test_a_machine_that_is_run_for_its_own_sake_meets_its_rule(): void
    {
        $this->machine = $this->machine([
            'name' => 'Dunlin',
            'class' => 'generator',
            'rules' => [['task' => 'Run under load', 'kind' => 'run', 'spots' => ['set'], 'every' => ['months' => 1]]],
        ]);
        $this->make(['rules' => $this->rules('Run')]);
        self::assertContains('run_loaded:set', $this->walk());
        $signed = $this->signOff(['hours' => '12'])->assertCreated();
        self::assertSame('At 12 h: run under load done', $signed->json('entry.in_words'));
        self::assertStringContainsString('1 month after', $signed->json('line.why'));
    }

    public function test_what_another_machine_has_used_up_meanwhile_is_said_at_the_step(): void
    {
        $filter = $this->postJson('/api/supplies', ['kind' => 'part', 'name' => 'Filter', 'number' => 'WD 15'])->json('id');
        $this->tell(null, 'bought', ['supply' => $filter, 'count' => 1])->assertCreated();
        $this->make(['rules' => $this->rules('Engine oil')]);
        self::assertSame([], $this->job()['lacking']);
        $this->tell(null, 'counted', ['supply' => $filter, 'pieces' => 0, 'because' => 'Teal had it'])->assertCreated();
        self::assertSame([['step' => 'fit:engine_oil_filter', 'number' => 'WD 15']], $this->job()['lacking']);
        $washer = $this->postJson('/api/supplies', ['kind' => 'part', 'name' => 'Washer', 'number' => 'W-18'])->json('id');
        $this->tell(null, 'bought', ['supply' => $washer, 'count' => 1])->assertCreated();
        $this->tell(null, 'counted', ['supply' => $washer, 'pieces' => 0, 'because' => 'Teal had it'])->assertCreated();
        self::assertContains(['step' => 'close:engine_oil_drain', 'number' => 'W 18'], $this->job()['lacking'], 'a seal as well as a part');
        $this->walk();
        self::assertStringContainsString('By the book there was no Filter left', implode(' ', array_column($this->signOff(['hours' => '126'])->json('entry.doubts'), 'asks')));
    }

    public function test_what_the_oil_looks_like_speaks_at_once_and_stays_open(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('what_ran_out:engine_oil_drain');
        $seen = array_column($this->asks('what_ran_out:engine_oil_drain')['seen'], null, 'id');
        self::assertSame('stand_down', $seen['chips']['verdict']);
        $amounts = $this->asks('what_ran_out:engine_oil_drain')['amounts'];
        self::assertSame([0, 1620, 1981], array_column($amounts, 'from_ml'));
        $this->step('what_ran_out:engine_oil_drain', 'done', ['seen' => ['milky'], 'amount' => '2.2 L'])->assertCreated();
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();
        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated();
        self::assertSame(
            'Less than 2 L (2.11 qt) that had gone in. Does it still drip, was it low, or is there a second drain?',
            $this->asks('what_ran_out:engine_oil_drain')['amounts'][0]['says'],
            '0.4 L in the filter and 1.6 L',
        );
        self::assertStringContainsString('water', strtolower($this->getJson("/api/machines/{$this->machine}/walk")->json('findings.0.why')));
    }

    public function test_torque_stands_in_the_units_of_the_yards_wrenches_and_out_of_range_is_refused(): void
    {
        $yard = $this->getJson('/api/yard')->json();
        $this->patchJson('/api/yard', ['wrenches' => [
            ['name' => 'Small', 'least' => '5 N·m', 'most' => '25 N·m'],
            ['name' => 'Long', 'least' => '20 ft-lb', 'most' => '150 ft-lb'],
            ['name' => 'Crow-foot', 'least' => '5 N·m', 'most' => '60 N·m', 'adapter' => ['wrench_length' => '300 mm', 'extension' => '60 mm', 'angle' => 0]],
        ]], ['If-Match' => "\"{$yard['version']}\""])->assertOk();
        $this->make(['rules' => $this->rules('Engine oil')]);
        $settings = array_column($this->stepOf('torque:engine_oil_drain')['torque']['settings'], null, 'name');
        // 22 ft·lbf is 29.83 N·m; with 60 mm in line of 300 mm it is set to 5/6 of that.
        self::assertSame(['act', 'fit', 'fit'], [$settings['Small']['verdict'], $settings['Long']['verdict'], $settings['Crow-foot']['verdict']]);
        self::assertStringContainsString('24.9', $settings['Crow-foot']['setting']);
        self::assertStringContainsString('take a larger one', $settings['Small']['warnings'][0]);
        $this->walk('torque:engine_oil_drain');
        $this->step('torque:engine_oil_drain', 'done', ['wrench' => 'Small'])->assertUnprocessable()
            ->assertJsonPath('errors.wrench.0', fn (string $why): bool => str_contains($why, 'take a larger one'));
        $this->step('torque:engine_oil_drain', 'done', ['wrench' => 'Long'])->assertCreated();
        $odd = $this->patchJson('/api/yard', ['wrenches' => [['name' => 'Odd', 'least' => '5 L', 'most' => '']]], ['If-Match' => '"2"']);
        self::assertSame('The least of a wrench is a torque, like 1 N·m.', $odd->assertUnprocessable()->json('errors')['wrenches.0.least'][0]);
    }

    public function test_what_goes_in_while_air_goes_out_is_poured_too(): void
    {
        $this->machine = $this->machine([
            'name' => 'Godwit',
            'class' => 'tractor',
            'rules' => [['task' => 'Coolant', 'kind' => 'replace', 'spots' => ['coolant'], 'every' => ['months' => 24]]],
        ]);
        $this->sheetOf($this->machine, 'coolant', ['capacities' => [['amount' => '7 L']], 'specification' => ['kind' => 'coolant']]);
        $this->make(['rules' => $this->rules('Coolant')])->assertCreated();
        self::assertSame([3500, 3500], [$this->asks('pour:coolant')['most_ml'], $this->asks('pour:coolant:water')['most_ml']], 'two pours, each its share');
        $this->walk('purge:coolant', ['pour:coolant' => ['ml' => 3500], 'pour:coolant:water' => ['ml' => 3000]]);
        $this->step('purge:coolant', 'poured', ['ml' => 400])->assertCreated();
        $this->walk();
        self::assertStringContainsString('replaced, 6.9 L', $this->signOff(['hours' => '126'])->assertCreated()->json('entry.in_words'));
    }

    public function test_a_filter_is_one_by_its_spot_at_the_bench_and_where_it_is_got_ready_for(): void
    {
        $this->machine = $this->machine(['name' => 'Ash', 'rules' => [
            ['task' => 'Engine oil and filter', 'kind' => 'replace', 'spots' => ['engine_oil', 'engine_oil_filter'], 'every' => ['hours' => '100']],
        ]]);
        $this->sheetOf($this->machine, 'engine_oil', ['capacities' => [
            ['amount' => '6.8 qt', 'kind' => 'without_filter'],
            ['amount' => '7.4 qt', 'kind' => 'with_filter'],
        ], 'specification' => ['kind' => 'engine_oil']]);
        $rules = $this->rules('Engine oil');
        $needs = (string) $this->getJson('/api/needs?rules[]='.$rules[0])->assertOk()->getContent();
        $this->make(['rules' => $rules])->assertCreated();
        self::assertSame('7.4 qt', $this->asks('pour:engine_oil')['book'], 'nobody wrote a number down');
        self::assertStringContainsString('7.4 qt', $needs);
        self::assertStringNotContainsString('6.8 qt', $needs);
    }

    public function test_a_pan_that_is_too_small_is_said_at_the_drain(): void
    {
        $yard = $this->getJson('/api/yard')->json();
        $this->patchJson('/api/yard', ['pans' => ['1 L']], ['If-Match' => "\"{$yard['version']}\""])->assertOk();
        $this->make(['rules' => $this->rules('Engine oil')]);
        self::assertStringContainsString('more than your largest pan takes (1 L', $this->stepOf('open:engine_oil_drain')['says']);
    }

    public function test_a_step_carries_the_findings_that_it_puts_right(): void
    {
        $this->send([$this->look($this->machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'act', 'words' => 'Dripping'])]);
        $findings = array_column($this->getJson("/api/machines/{$this->machine}/walk")->json('findings'), 'check');
        $this->make(['findings' => $findings])->assertCreated();
        $adjust = array_values(array_filter($this->job()['steps'], fn (array $step): bool => $step['act'] === 'adjust'));
        self::assertSame([$findings], array_column($adjust, 'answers'));
    }

    public function test_a_task_is_put_off_with_a_reason_and_what_was_found_is_put_right(): void
    {
        $this->send([$this->look($this->machine, 'leaks', ['said' => 'not_fine', 'verdict' => 'act', 'words' => 'Dripping'])]);
        $this->make(['rules' => [...$this->rules('Engine oil'), ...$this->rules('Grease')], 'findings' => ['leaks']])->assertCreated();
        [$oil] = $this->rules('Engine oil');
        $this->step('secure', 'put_off', ['rule' => $oil])->assertUnprocessable()
            ->assertJsonPath('errors.because.0', 'Say why it is put off.');
        $this->step('secure', 'put_off', ['rule' => $oil, 'because' => 'The filter is not here'])->assertCreated();
        $this->patchJson("/api/jobs/{$this->job}", ['rules' => $this->rules('Grease'), 'findings' => ['leaks']], ['If-Match' => '"1"'])->assertOk();
        $this->walk();
        $entry = $this->signOff(['hours' => '126'])->assertCreated()->json('entry');
        self::assertStringContainsString('Put off: engine oil and filter', $entry['in_words']);
        self::assertStringContainsString('put off: The filter is not here', $entry['note']);
        self::assertSame(['past', 'fresh'], [$this->state('Engine oil'), $this->state('Grease')]);
        self::assertSame([], $this->getJson("/api/machines/{$this->machine}/walk")->json('findings'));
    }

    public function test_a_clock_that_was_set_back_makes_no_wait_longer_and_none_shorter(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')]);
        $this->walk('run');
        $this->step('run', 'started')->assertCreated();
        $this->travel(6)->minutes();
        // The device says it is an hour earlier than it is.
        $early = now()->subHour()->format('Y-m-d\TH:i:s\Z');
        $sent = $this->postJson('/api/notes', ['sent_at' => $early, 'notes' => [[
            'id' => '6f0d7c1e-0b1a-4c55-8f1e-2b6a4e1d9c01',
            'kind' => 'step',
            'at' => $early,
            'machine_id' => $this->machine,
            'job' => $this->job,
            'step' => 'run',
            'did' => 'done',
        ]]]);
        self::assertSame('written', $sent->json('results.0.status'));
        $told = array_column($this->job()['told'], null, 'id');
        self::assertSame(now()->toAtomString(), $told['6f0d7c1e-0b1a-4c55-8f1e-2b6a4e1d9c01']['at']);
    }

    public function test_what_is_not_written_down_is_asked_for_instead_of_a_blind_procedure(): void
    {
        $this->make([])->assertUnprocessable()->assertJsonPath('errors.rules.0', 'Choose at least one thing to do.');
        $this->make(['rules' => [999_999]])->assertUnprocessable();
        $this->make(['findings' => ['nothing']])->assertUnprocessable();
        $this->step('secure')->assertUnprocessable();
    }

    /** @return array<string, mixed> */
    private function asks(string $key): array
    {
        return $this->stepOf($key)['asks'];
    }

    /** @return array<string, mixed> */
    private function row(string $key, int $level): array
    {
        return array_column($this->asks($key)['rows'], null, 'level')[$level];
    }

    private function state(string $task): string
    {
        return collect($this->sheet($this->machine)['rules'])->first(
            fn (array $rule): bool => str_starts_with($rule['task'], $task),
        )['standing']['state'];
    }

    /** Whoever stands at a machine while the program is made newer goes on with their plan. */
    public function test_a_plan_made_before_phones_looked_up_what_they_had_worked_out_says_it_after_the_upgrade(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated();
        $job = Job::query()->firstOrFail();
        $plan = $job->plan;
        $older = $plan;
        foreach ($plan['steps'] as $index => $step) {
            $older['steps'][$index]['asks'] = $step['asks'] === null ? null : array_diff_key($step['asks'], ['degrees' => true, 'asked_over_ml' => true]);
            foreach ($step['asks']['rows'] ?? [] as $row => $level) {
                unset($older['steps'][$index]['asks']['rows'][$row]['stands']);
            }
        }
        $job->update(['plan' => $older]);
        self::assertNotEquals($plan, $job->refresh()->plan);

        (require database_path('migrations/2026_12_01_000005_plans_say_what_phones_look_up.php'))->up();

        self::assertEqualsCanonicalizing(
            array_map(fn (array $step): ?array => $step['asks'], $plan['steps']),
            array_map(fn (array $step): ?array => $step['asks'], $job->refresh()->plan['steps']),
        );
    }
}
