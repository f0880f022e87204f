<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Fluid\Sheet\DrainWay;
use Core\Machine\Caution;
use Core\Machine\MachineClass;
use Core\Procedure\Engine;
use Core\Procedure\Step;
use Core\Procedure\StepVerb;
use Core\Starter\StarterRule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Drawn;

/** What plans once got wrong, one sentence each, and every starter's rules by every way. */
final class WaysTest extends TestCase
{
    use ReckonedSteps;

    private const SEED = 20261201;

    private const DRAIN = ['role' => 'drain', 'seal' => 'W 18', 'torque' => '22 ft-lb'];

    #[DataProvider('classes')]
    #[Group('long')]
    public function test_every_rule_of_a_starter_keeps_the_laws_by_every_way(MachineClass $class): void
    {
        $all = [];
        foreach (StarterMachine::rules($class) as $task => $rule) {
            foreach ($this->machines($class, $rule->spots) as $way => $machine) {
                $all[] = ["{$class->value}, {$task}, {$way}", $machine, $rule];
            }
        }
        $drawn = Drawn::of($all, self::SEED);
        foreach ($drawn as [$name, $machine, $rule]) {
            foreach ([false, true] as $isRaised) {
                Laws::hold($machine->plan($rule, raised: $isRaised), $name);
            }
        }
        self::assertNotSame([], $drawn);
    }

    /** @return iterable<string, array{MachineClass}> */
    public static function classes(): iterable
    {
        foreach (MachineClass::cases() as $class) {
            yield $class->value => [$class];
        }
    }

    /**
     * @param  list<string>  $spots
     * @return iterable<string, StarterMachine> as it comes, and with each of its compartments emptied by each way
     */
    private function machines(MachineClass $class, array $spots): iterable
    {
        $usual = new StarterMachine($class);
        yield '' => $usual;
        foreach (array_intersect($spots, array_keys($usual->compartments)) as $compartment) {
            foreach ($usual->waysOf($compartment) as $way) {
                yield "{$compartment} by {$way->value}" => new StarterMachine($class, [$compartment => $way]);
            }
        }
    }

    public function test_suction_without_a_place_to_suck_at_pours_nothing_on_the_old_oil(): void
    {
        $this->expectExceptionMessage('nothing says how it is emptied');
        (new StarterMachine(MachineClass::RiderMower, ['engine_oil' => DrainWay::Suction]))->plan($this->rule(MachineClass::RiderMower, 'Engine oil and filter'));
    }

    public function test_brakes_are_never_emptied_and_never_purged_like_a_drive(): void
    {
        $plan = $this->starter(MachineClass::UtilityVehicle, 'Brake fluid');
        self::assertSame([], $plan->by(StepVerb::Purge, StepVerb::Drain, StepVerb::Warm));
        $this->inOrder($plan, 'look:brake_fluid', 'open:brake_fluid_fill', 'suck:brake_fluid', 'pour:brake_fluid', 'bleed:brake_fluid_draw', 'torque:brake_fluid_draw', 'read:brake_fluid', 'pedal:brake_fluid', 'try');
        self::assertStringContainsString('at the line on its tank', $plan->steps['read:brake_fluid']->says);
        self::assertContains(Caution::BrakeFluid, $plan->steps['open:brake_fluid_fill']->cautions);
        self::assertSame(['torque:brake_fluid_draw'], $plan->steps['pedal:brake_fluid']->bonds->needs, 'no pedal is tried where it was not bled');
    }

    public function test_brakes_are_bled_whatever_somebody_wrote_down_of_how_they_are_emptied(): void
    {
        $plan = (new StarterMachine(MachineClass::UtilityVehicle, ['brake_fluid' => DrainWay::Suction]))->plan($this->rule(MachineClass::UtilityVehicle, 'Brake fluid'));
        self::assertSame(['suck:brake_fluid'], array_column($plan->by(StepVerb::Suck, StepVerb::Drain), 'key'), 'the reservoir alone, never below its outlet');
        $this->inOrder($plan, 'pour:brake_fluid', 'bleed:brake_fluid_draw', 'pedal:brake_fluid');
    }

    public function test_posts_are_cleaned_dead(): void
    {
        $plan = $this->starter(MachineClass::ElectricCart, 'Terminals');
        $this->inOrder($plan, 'undo:terminals', 'clean:terminals', 'couple:terminals');
        self::assertContains(Caution::Battery, $plan->steps['undo:terminals']->cautions);
    }

    public function test_a_crawlers_transmission_is_read_by_its_stick_and_nothing_just_runs_there(): void
    {
        $plan = $this->starter(MachineClass::Crawler, 'Transmission oil', 'replace');
        self::assertStringContainsString('stick', $plan->steps['pour:transmission']->says);
        self::assertFalse($plan->has('torque:transmission_level'), 'no stick is tightened');
        $this->inOrder($plan, 'pour:transmission', 'idle:transmission', 'read:transmission');
    }

    public function test_coolant_brake_fluid_and_tanks_have_no_stick(): void
    {
        foreach ([[MachineClass::Tractor, 'Coolant'], [MachineClass::SmallTruck, 'Brake fluid']] as [$class, $task]) {
            foreach ($this->starter($class, $task)->steps as $step) {
                self::assertDoesNotMatchRegularExpression('/\bstick\b/', $step->says, $step->key);
            }
        }
    }

    public function test_what_runs_out_with_a_filter_goes_back_before_anything_runs(): void
    {
        $plan = $this->starter(MachineClass::Crawler, 'Filters under the floor');
        foreach (['transmission', 'hydraulic'] as $circuit) {
            $this->inOrder($plan, "remove:{$circuit}_filter", "what_ran_out:{$circuit}_filter", "fit:{$circuit}_filter", "pour:{$circuit}", 'run', "read:{$circuit}");
        }
    }

    public function test_drives_that_share_a_tank_are_one_circuit(): void
    {
        $drive = fn (string $key, array $more = []): array => ['key' => $key, 'kind' => 'hydrostatic', 'openings' => [
            ['key' => "{$key} drain", ...self::DRAIN],
            ...$more,
        ], ...$key === 'tank' ? [] : ['shares_with' => 'tank']];
        $this->reckon([['act' => 'replace', 'at' => 'left']], [
            [...$drive('tank', [['key' => 'cap', 'role' => 'fill'], ['key' => 'line', 'role' => 'level']]), 'fill' => ['method' => 'line']],
            $drive('left'),
            $drive('right'),
        ]);
        foreach (['tank', 'left', 'right'] as $housing) {
            $this->inThisOrder("open:{$housing} drain", "what_ran_out:{$housing} drain", "close:{$housing} drain", 'pour:tank');
        }
        self::assertSame(['purge:tank'], array_values(preg_grep('/^purge:/', array_keys($this->steps)) ?: []), 'one purge, one fill');
        self::assertCount(1, preg_grep('/^pour:/', array_keys($this->steps)) ?: []);
    }

    public function test_a_filter_comes_off_when_its_oil_has_run_out_and_the_new_one_goes_on_at_once(): void
    {
        $plan = $this->starter(MachineClass::RiderMower, 'Engine oil and filter');
        $this->inOrder($plan, 'what_ran_out:engine_oil_drain', 'remove:engine_oil_filter', 'fit:engine_oil_filter');
        self::assertSame($plan->steps['remove:engine_oil_filter']->bonds->block, $plan->steps['fit:engine_oil_filter']->bonds->block);
    }

    public function test_level_plugs_are_taken_out_for_a_check_and_tightened_after_it(): void
    {
        $plan = $this->starter(MachineClass::Crawler, 'Final drive oil', 'check_level');
        foreach (['inner_left', 'outer_left', 'inner_right', 'outer_right'] as $drive) {
            $this->inOrder($plan, "open:final_drive_{$drive}_level", "read:final_drive_{$drive}", "top_up:final_drive_{$drive}", "close:final_drive_{$drive}_level", "torque:final_drive_{$drive}_level");
        }
    }

    public function test_a_screen_below_the_level_comes_off_over_a_pan(): void
    {
        $plan = $this->starter(MachineClass::Generator, 'Oil strainer');
        self::assertStringContainsString('Pan under it', $plan->steps['remove:oil_strainer']->says);
        $this->inOrder($plan, 'remove:oil_strainer', 'what_ran_out:oil_strainer', 'fit:oil_strainer', 'pour:engine_oil', 'run');
    }

    public function test_the_outer_hubs_of_a_crawler_are_turned_one_side_after_the_other(): void
    {
        $plan = $this->starter(MachineClass::Crawler, 'Final drive oil', 'replace');
        foreach (['left', 'right'] as $side) {
            $this->inOrder($plan, "turn_low:final_drive_outer_{$side}", "open:final_drive_outer_{$side}_drain", "turn_level:final_drive_outer_{$side}", "pour:final_drive_outer_{$side}");
        }
        $this->inOrder($plan, 'close:final_drive_outer_left_fill', 'turn_low:final_drive_outer_right');
        $this->inOrder($plan, 'close:final_drive_inner_right_drain', 'turn_low:final_drive_outer_left');
    }

    public function test_one_hole_that_is_filler_and_level_plug_is_led_once(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'box']], [[
            'key' => 'box',
            'kind' => 'gearbox',
            'openings' => [['key' => 'plug', 'roles' => ['fill', 'level'], 'torque' => '20 ft-lb'], ['key' => 'drain', ...self::DRAIN]],
            'fill' => ['method' => 'level_plug'],
        ]]);
        foreach (['loosen', 'open', 'close', 'torque'] as $verb) {
            self::assertCount(1, preg_grep("/^{$verb}:plug/", array_keys($this->steps)) ?: [], $verb);
        }
    }

    public function test_a_sleeve_comes_off_before_its_element_and_a_gasket_before_its_impeller(): void
    {
        $this->inOrder($this->starter(MachineClass::RiderMower, 'Air cleaner', 'clean'), 'remove:pre_cleaner', 'remove:air_cleaner', 'fit:air_cleaner', 'fit:pre_cleaner');
        $this->inOrder($this->starter(MachineClass::Generator, 'Impeller and its gasket'), 'remove:impeller_gasket', 'shut_off:impeller', 'remove:impeller', 'fit:impeller', 'fit:impeller_gasket');
    }

    public function test_a_deck_is_scraped_while_its_blades_are_off(): void
    {
        $machine = new StarterMachine(MachineClass::RiderMower);
        $blades = $this->rule(MachineClass::RiderMower, 'Blades');
        $deck = $this->rule(MachineClass::RiderMower, 'Deck underside');
        $both = new StarterRule($blades->task, $blades->kind, [...$blades->spots, ...$deck->spots], $blades->rule);
        $plan = $machine->plan($both);
        $this->inOrder($plan, 'undo:spark_lead', 'remove:blades', 'clean:deck', 'fit:blades', 'torque:blades', 'couple:spark_lead', 'try');
        $this->inOrder($plan, 'clean:blades', 'balance:blades', 'fit:blades');
    }

    public function test_battery_water_has_no_dipstick_and_its_acid_is_warned_of(): void
    {
        $plan = $this->starter(MachineClass::ElectricCart, 'Battery water');
        self::assertStringContainsString('the plates are covered, up to the ring', $plan->steps['read:battery_water']->says);
        self::assertContains(Caution::BatteryAcid, $plan->steps['open:battery_water_fill']->cautions);
        self::assertStringContainsString('distilled water', $plan->steps['top_up:battery_water']->says);
    }

    public function test_a_filter_in_a_petrol_line_has_clamps_and_an_arrow_and_is_not_bled(): void
    {
        $plan = $this->starter(MachineClass::ZeroTurn, 'Fuel filter');
        self::assertStringContainsString('the arrow towards the engine', $plan->steps['fit:fuel_filter']->says);
        self::assertStringNotContainsString('gasket', implode(' ', array_map(fn (Step $step): string => $step->says, $plan->steps)));
        self::assertSame([], $plan->by(StepVerb::Purge, StepVerb::BleedOpen));
    }

    public function test_a_diesel_is_bled_in_its_own_order_with_fuels_caution_where_it_spills(): void
    {
        $plan = (new StarterMachine(MachineClass::Tractor))->plan($this->rule(MachineClass::Tractor, 'Fuel filter'), Engine::Diesel);
        $this->inOrder($plan, 'turn_on:fuel', 'bleed_open:fuel', 'purge:fuel', 'bleed_shut:fuel', 'try');
        self::assertContains(Caution::Fuel, $plan->steps['bleed_open:fuel']->cautions);
        self::assertSame(['turn_on:fuel'], $plan->steps['bleed_open:fuel']->bonds->needs, 'nothing is bled behind a shut valve');
    }

    public function test_a_standby_generator_has_no_implement_and_starting_is_made_impossible(): void
    {
        $plan = $this->starter(MachineClass::Generator, 'Engine oil and filter');
        self::assertDoesNotMatchRegularExpression('/implement|wheels|brake/', $plan->steps['secure']->says.$plan->steps['try']->says);
        $this->inOrder($plan, 'warm', 'undo:starting', 'open:engine_oil_drain', 'try', 'couple:starting', 'reset');
    }

    public function test_a_radiators_cap_stays_off_until_it_is_topped_up_and_the_thermostat_has_opened(): void
    {
        $plan = $this->starter(MachineClass::Tractor, 'Coolant');
        $this->inOrder($plan, 'pour:coolant', 'pour:coolant:water', 'purge:coolant', 'close:coolant_fill', 'wait:coolant', 'read:coolant');
        self::assertFalse($plan->has('warm'), 'coolant is opened cold');
    }

    public function test_what_a_pump_fills_or_a_filter_drinks_is_run_before_it_is_read(): void
    {
        $circuit = fn (string $kind, string $method): array => [['key' => 'oil', 'kind' => $kind, 'openings' => [
            ['key' => 'cap', 'role' => 'fill'], ['key' => 'drain', ...self::DRAIN], ['key' => 'level', 'role' => 'level'],
        ], 'fill' => ['method' => $method]]];
        $change = ['act' => 'replace', 'at' => 'oil'];
        $this->reckon([$change], $circuit('hydraulic', 'sight_glass'));
        $this->inThisOrder('pour:oil', 'run', 'read:oil');
        $this->reckon([$change, ['act' => 'replace', 'at' => 'filter']], $circuit('gearbox', 'level_plug'), [['key' => 'filter', 'kind' => 'spin_on', 'in' => 'oil']]);
        $this->inThisOrder('pour:oil', 'run', 'reopen:level', 'read:oil');
        $this->reckon([$change], $circuit('gearbox', 'level_plug'));
        self::assertArrayNotHasKey('run', $this->steps, 'nothing has to run for a gear case at its plug');
    }

    public function test_two_sump_plugs_are_opened_together(): void
    {
        $plan = $this->starter(MachineClass::Crawler, 'Engine oil and filter');
        foreach (['engine_oil_drain', 'engine_oil_drain_2'] as $drain) {
            self::assertSame([], array_filter(array_keys($plan->before["open:{$drain}"]), fn (string $before): bool => str_starts_with($before, 'drain:')));
        }
    }

    public function test_parts_without_a_torque_are_tightened_all_the_same(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'wheel'], ['act' => 'replace', 'at' => 'pads']], [], [
            ['key' => 'wheel', 'kind' => 'wheel'],
            ['key' => 'pads', 'kind' => 'pads'],
        ]);
        foreach (['wheel', 'pads'] as $part) {
            $this->inThisOrder("fit:{$part}", "torque:{$part}", 'try');
            self::assertStringContainsString('look it up', $this->steps["torque:{$part}"]['says']);
        }
        $this->inThisOrder('torque:pads', 'pedal:pads', 'try');
    }

    public function test_a_batterys_negative_goes_off_first_and_on_last_and_never_beside_open_fuel(): void
    {
        $this->reckon(
            [['act' => 'replace', 'at' => 'battery'], ['act' => 'replace', 'at' => 'filter']],
            [['key' => 'fuel', 'kind' => 'fuel']],
            [['key' => 'battery', 'kind' => 'battery'], ['key' => 'filter', 'kind' => 'in_line', 'in' => 'fuel', 'subject' => 'fuel']],
        );
        $this->inThisOrder('undo:battery', 'remove:battery', 'fit:battery', 'couple:battery', 'try');
        self::assertStringContainsString('negative cable off battery first', $this->steps['undo:battery']['says']);
        self::assertStringContainsString('the negative last', $this->steps['couple:battery']['says']);
        $this->inThisOrder('remove:filter', 'fit:filter', 'undo:battery');
        self::assertSame(['couple:battery', 'undo:battery'], [$this->steps['undo:battery']['pair'], $this->steps['couple:battery']['pair']]);
    }

    public function test_what_can_hurt_is_said_where_it_can_be_done(): void
    {
        $this->reckon(
            [['act' => 'replace', 'at' => 'battery'], ['act' => 'replace', 'at' => 'belt'], ['act' => 'replace', 'at' => 'coolant']],
            [['key' => 'coolant', 'kind' => 'coolant', 'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'tap', ...self::DRAIN]]]],
            [['key' => 'battery', 'kind' => 'battery'], ['key' => 'belt', 'kind' => 'v_belt']],
            ['class' => 'generator'],
        );
        foreach (['undo:battery' => Caution::Battery, 'slacken:belt' => Caution::Belts, 'open:cap' => Caution::HotCoolant, 'purge:coolant' => Caution::StartingGenerator] as $step => $caution) {
            self::assertContains($caution->says(), $this->steps[$step]['cautions'], $step);
        }
        self::assertNotContains(Caution::HotCoolant->says(), $this->steps['open:tap']['cautions'], 'once, where the cap comes off');
    }

    /** Common practice, no source. */
    public function test_what_is_read_cold_has_cooled(): void
    {
        $minutes = fn (Plan $plan, string $step): int => $plan->steps[$step]->minutes;
        self::assertSame(45, $minutes($this->starter(MachineClass::Tractor, 'Coolant'), 'wait:coolant'));
        self::assertSame(30, $minutes($this->starter(MachineClass::RiderMower, 'Hydrostatic oil and filter'), 'wait:hydrostatic'));
    }

    public function test_gear_cases_and_drives_are_driven_warm(): void
    {
        self::assertStringContainsString('idling warms no gears', $this->starter(MachineClass::RiderMower, 'Hydrostatic oil and filter')->steps['warm']->says);
        self::assertStringNotContainsString('idling', $this->starter(MachineClass::RiderMower, 'Engine oil and filter')->steps['warm']->says);
    }

    public function test_brakes_beyond_fluid_and_pads_are_a_licensed_trades(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'cylinder']], [], [['key' => 'cylinder', 'kind' => 'other', 'subject' => 'brakes']]);
        self::assertSame(['secure', 'clean_round', 'licensed:cylinder', 'reset'], array_keys($this->steps));
        self::assertStringContainsString('licensed mechanic', $this->steps['licensed:cylinder']['says']);
    }

    public function test_a_share_of_one_is_still_read(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'oil']], [[
            'key' => 'oil',
            'kind' => 'engine',
            'capacity' => '2 L',
            'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'drain', ...self::DRAIN]],
            'fill' => ['method' => 'stick', 'share_first' => '1'],
        ]]);
        $this->inThisOrder('pour:oil', 'run', 'wait:oil', 'read:oil');
    }

    public function test_a_step_carries_what_comes_where_hands_are_and_what_it_puts_right(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'oil'], ['act' => 'adjust', 'at' => 'chain', 'answers' => 'own-3']], [[
            'key' => 'oil',
            'kind' => 'engine',
            'capacity' => '2 L',
            'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'drain', ...self::DRAIN]],
        ]], [['key' => 'chain', 'kind' => 'other']]);
        self::assertSame('2', $this->steps['pour:oil']['amount']['value']);
        self::assertSame('oil', $this->steps['open:drain']['place']);
        self::assertSame(['own-3'], $this->steps['adjust:chain']['answers']);
        self::assertStringContainsString('about 2 L comes in all', $this->steps['open:drain']['says']);
    }

    public function test_two_works_at_one_spot_answer_the_findings_of_both(): void
    {
        $this->reckon([['act' => 'adjust', 'at' => 'chain', 'answers' => 'own-3'], ['act' => 'adjust', 'at' => 'chain', 'answers' => ['slack']]], [], [['key' => 'chain', 'kind' => 'other']]);
        self::assertSame(['own-3', 'slack'], $this->steps['adjust:chain']['answers']);
    }

    private function starter(MachineClass $class, string $task, string $kind = ''): Plan
    {
        return (new StarterMachine($class))->plan($this->rule($class, $task, $kind));
    }

    private function rule(MachineClass $class, string $task, string $kind = ''): StarterRule
    {
        foreach (StarterMachine::rules($class) as $rule) {
            if ($rule->task === $task && ($kind === '' || $rule->kind->value === $kind)) {
                return $rule;
            }
        }
        self::fail("No rule of {$class->value} is called {$task}: ".implode(', ', array_map(fn ($rule): string => $rule->task, iterator_to_array(StarterMachine::rules($class), false))));
    }

    private function inOrder(Plan $plan, string ...$keys): void
    {
        foreach ($keys as $at => $key) {
            self::assertTrue($plan->has($key), "{$key}: ".implode(' ', array_keys($plan->steps)));
            self::assertTrue($at === 0 || $plan->stands($keys[$at - 1], $key), $at === 0 ? '' : "{$keys[$at - 1]}, then {$key}");
        }
    }
}
