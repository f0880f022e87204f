<?php

declare(strict_types=1);

namespace Tests\Http;

/**
 * Mistakes that really happen (handbook section 16): each is tried at the bench. Those of which nothing stands here are
 * tried in {@see BenchTest} and in the core's tests of procedures, tables and torques.
 */
final class BenchMistakesTest extends BenchTestCase
{
    public function test_1_the_new_filter_is_fitted_over_the_old_ones_gasket(): void
    {
        $this->makeOilChange();
        $this->walk('look:engine_oil_filter');
        $this->refused('fit:engine_oil_filter', 'Look: Engine oil filter');
        self::assertStringContainsString('Did the old gasket of engine oil filter come off with it?', $this->told('look:engine_oil_filter'));
    }

    public function test_11_a_coolant_of_another_chemistry_is_poured_in(): void
    {
        $this->machine = $this->machine([
            'name' => 'Godwit',
            'class' => 'tractor',
            'rules' => [['task' => 'Coolant', 'kind' => 'replace', 'spots' => ['coolant'], 'every' => ['months' => 24]]],
        ]);
        $this->sheetOf($this->machine, 'coolant', [
            'capacities' => [['amount' => '7 L']],
            'specification' => ['kind' => 'coolant', 'chemistry' => 'hoat'],
        ]);
        $bottle = $this->postJson('/api/supplies', [
            'kind' => 'fluid',
            'name' => 'Tern',
            'label' => ['kind' => 'coolant', 'chemistry' => 'oat'],
        ])->json('id');
        $this->tell(null, 'bought', ['supply' => $bottle, 'size' => '5 L', 'count' => 1])->assertCreated();
        $this->make(['rules' => $this->rules('Coolant')])->assertCreated();
        $this->walk('pour:coolant');
        $this->step('pour:coolant', 'poured', [
            'ml' => 3500,
            'container' => $this->getJson("/api/supplies/{$bottle}")->json('containers.0.id'),
        ])->assertConflict()->assertJsonPath(
            'errors.container.0',
            fn (string $why): bool => str_starts_with($why, 'Tern will not do for Coolant.'),
        );
    }

    public function test_brakes_are_bled_wheel_by_wheel_and_the_pedal_is_tried_before_it_moves(): void
    {
        $this->machine = $this->machine(['name' => 'Moorhen', 'class' => 'utility_vehicle', 'rules' => [
            ['task' => 'Brake fluid', 'kind' => 'replace', 'spots' => ['brake_fluid'], 'every' => ['months' => 24]],
        ]]);
        $this->make(['rules' => [$this->ruleId($this->machine, 0)]])->assertCreated();
        $done = $this->walk();
        $order = ['look:brake_fluid', 'suck:brake_fluid', 'pour:brake_fluid', 'bleed:brake_fluid_draw', 'torque:brake_fluid_draw', 'read:brake_fluid', 'pedal:brake_fluid', 'try'];
        self::assertSame($order, array_values(array_intersect($done, $order)));
        self::assertStringContainsString('never below its outlet', $this->told('suck:brake_fluid'));
        self::assertStringContainsString('shut before it comes up', $this->told('bleed:brake_fluid_draw'));
        $this->signOff(['hours' => '126'])->assertCreated();
    }

    public function test_nothing_is_poured_on_what_cannot_come_out(): void
    {
        $this->sheetOf($this->machine, 'engine_oil', ['drain_way' => 'suction']);
        $this->make(['rules' => $this->rules('Engine oil')])->assertJsonPath(
            'errors.rules.0',
            'Engine oil: nothing says how it is emptied. Give it a drain, a filter that is taken off, or the place where it is sucked out.',
        );
    }

    public function test_21_what_the_new_filter_drank_is_never_topped_up(): void
    {
        $this->makeOilChange();
        $this->walk('run');
        $this->refused('read:engine_oil', 'Run it: Engine oil');
        $this->walk('top_up:engine_oil');
        $this->signOff(['hours' => '126'])->assertConflict()
            ->assertJsonPath('detail', 'Not yet. First: Top up: Engine oil.');
    }

    public function test_23_a_cartridge_is_put_in_the_wrong_way_round_and_24_its_spring_is_left_in_the_pan(): void
    {
        $this->sheetOf($this->machine, 'engine_oil_filter', [
            'kind' => 'filter',
            'orientation' => 'open end to the engine',
            'loose' => ['spring', 'cover ring'],
        ]);
        $this->makeOilChange();
        $this->walk('count_off:engine_oil_filter');
        $this->step('look:engine_oil_filter')->assertCreated();
        $this->step('compare:engine_oil_filter')->assertCreated();
        $this->refused('fit:engine_oil_filter', 'Count the pieces: Engine oil filter');
        self::assertStringContainsString('open end to the engine', $this->told('fit:engine_oil_filter'));
        $this->walk('count_on:engine_oil_filter');
        self::assertSame(['spring', 'cover ring'], $this->stepOf('count_on:engine_oil_filter')['pieces']);
        self::assertContains('count_on:engine_oil_filter', $this->stepOf('pour:engine_oil')['after']);
        $this->step('pour:engine_oil', 'poured', ['ml' => 500])->assertConflict();
        $this->step('count_on:engine_oil_filter', 'cannot', ['because' => 'The spring is gone.'])->assertCreated();
        self::assertSame([], array_intersect(['pour:engine_oil', 'run'], $this->walk()));
    }

    public function test_25_the_person_before_fitted_too_small_a_filter_and_nobody_compared(): void
    {
        $this->makeOilChange();
        $this->walk('compare:engine_oil_filter');
        $this->step('look:engine_oil_filter')->assertCreated();
        $this->refused('fit:engine_oil_filter', 'Compare old with new: Engine oil filter');
        $this->walk(said: ['compare:engine_oil_filter' => ['found' => 'too small for this engine']]);
        $this->signOff(['hours' => '126'])->assertCreated();
        $finding = $this->getJson("/api/machines/{$this->machine}/walk")->json('findings.0');
        self::assertSame(['watch', 'The old one: too small for this engine.'], [$finding['verdict'], $finding['why']]);
        self::assertSame(
            'too small for this engine',
            $this->getJson("/api/machines/{$this->machine}/spots/engine_oil_filter")->json('part_place.fitted.found'),
        );
    }

    public function test_27_a_hose_touches_the_hot_filter(): void
    {
        $this->makeOilChange();
        $this->walk('look_over:engine_oil_filter');
        $this->refused('run', 'Look it over: Engine oil filter', 'started');
        self::assertStringContainsString('nothing touches a hot part', $this->told('look_over:engine_oil_filter'));
    }

    public function test_37_a_point_that_nobody_ever_gets_is_shown_and_joins_the_job(): void
    {
        $never = fn (): array => $this->getJson("/api/machines/{$this->machine}/job-choices")->assertOk()->json('never_greased');
        $point = $never()[0];
        $this->make(['rules' => $this->rules('Engine oil'), 'spots' => [$point['id']]])->assertCreated();
        $this->walk();
        $this->signOff(['hours' => '126'])->assertCreated();
        self::assertNotContains($point['id'], array_column($never(), 'id'));
    }

    public function test_42_fluid_amount_and_number_are_guessed_and_43_the_trick_is_found_out_anew(): void
    {
        $drain = $this->getJson("/api/machines/{$this->machine}/spots/engine_oil_drain")->json();
        $this->patchJson(
            "/api/spots/{$drain['id']}",
            ['trick' => 'Swivel on a quarter-inch drive'],
            ['If-Match' => "\"{$drain['version']}\""],
        )->assertOk();
        $this->makeOilChange();
        self::assertStringContainsString('Swivel on a quarter-inch drive', $this->told('open:engine_oil_drain'));
        self::assertSame('WD 15', $this->stepOf('fit:engine_oil_filter')['part']['number']);
        $pour = $this->stepOf('pour:engine_oil')['asks'];
        self::assertSame(['1.6-1.8 L', 1800], [$pour['book'], $pour['holds_ml']]);
    }

    public function test_45_the_machines_own_reminder_is_reset_before_the_work(): void
    {
        $this->makeOilChange();
        $this->refused('reset', 'Make it safe');
        $this->walk('reset');
        self::assertSame('reset', array_key_last(array_column($this->job()['steps'], null, 'key')));
        $this->signOff(['hours' => '126'])->assertConflict();
    }

    private function makeOilChange(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated();
    }

    private function refused(string $step, string $waitsFor, string $did = 'done'): void
    {
        $this->step($step, $did)->assertConflict()->assertJsonPath('detail', "Not yet. First: {$waitsFor}.");
    }

    private function told(string $step): string
    {
        return $this->stepOf($step)['says'];
    }
}
