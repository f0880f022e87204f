<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The fills and drains of the trade handbook (sections 7 to 9 and 17), step by step, through the calculator. */
final class ProcedureTest extends TestCase
{
    use ReckonedSteps;

    private const DRAIN = ['role' => 'drain', 'seal' => 'W 18', 'torque' => '22 ft-lb'];

    public function test_an_engine_of_1_6_to_1_8_litres_with_a_filter_that_hangs_upright(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'oil'], ['act' => 'replace', 'at' => 'filter']], [[
            'key' => 'oil',
            'kind' => 'engine',
            'capacity' => ['min' => '1.6 L', 'max' => '1.8 L'],
            'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'plug', ...self::DRAIN]],
            'fill' => ['method' => 'stick', 'prefill' => '0.8 L', 'run' => 5],
            'protocol' => ['engine' => 'off', 'wait_minutes' => 2, 'held' => 'rested'],
        ]], [['key' => 'filter', 'kind' => 'filter', 'in' => 'oil', 'hangs' => 'upright', 'drinks' => '0.2 L', 'loose' => ['spring']]]);
        $this->inThisOrder(
            'secure',
            'warm',
            'clean_round',
            'open:cap',
            'open:plug',
            'what_ran_out:plug',
            'remove:filter',
            'compare:filter',
            'label:filter',
            'fit:filter',
        );
        $this->inThisOrder(
            'compare:filter',
            'prefill:filter',
            'fit:filter',
            'count_on:filter',
            'pour:oil',
            'close:cap',
            'run',
            'wait:oil',
            'read:oil',
            'top_up:oil',
            'try',
            'leaks_again',
            'reset',
        );
        $this->inThisOrder('remove:filter', 'look:filter', 'fit:filter');
        $this->inThisOrder('remove:filter', 'count_off:filter', 'fit:filter');
        $this->inThisOrder('open:plug', 'drain:plug', 'what_ran_out:plug', 'close:plug', 'torque:plug', 'run');
        self::assertSame([5, 10, 5, 2], array_column([$this->steps['warm'], $this->steps['drain:plug'], $this->steps['run'], $this->steps['wait:oil']], 'minutes'));
        self::assertFalse($this->steps['drain:plug']['attended'], 'other work meanwhile');
        self::assertSame(['spring'], $this->steps['count_on:filter']['pieces']);
        self::assertStringContainsString('with a new W 18', $this->steps['close:plug']['says']);
    }

    /** Handbook section 12: the main schools, the first of each where nothing is chosen. */
    public function test_where_keepers_differ_the_steps_say_what_the_machines_keeper_does(): void
    {
        $this->schools([]);
        self::assertStringContainsString('with a new W 18', $this->steps['close:plug']['says']);
        self::assertStringContainsString('as far as is printed on it', $this->steps['fit:filter']['says']);

        $this->schools(['seals' => 'reuse', 'spin_on' => 'three_quarters']);
        self::assertStringContainsString('with its W 18, the old one if it is sound', $this->steps['close:plug']['says']);
        self::assertStringContainsString('then up to 3/4 turn', $this->steps['fit:filter']['says']);
    }

    /** Handbook sections 12 and 17. */
    #[DataProvider('eachSchool')]
    public function test_each_school_changes_what_is_done(
        string $school,
        string $other,
        array $work,
        string $step,
        string $usually,
        string $otherwise,
    ): void {
        foreach ([[[], $usually], [[$school => $other], $otherwise]] as [$chosen, $says]) {
            $this->reckon(
                [$work],
                [
                    ['key' => 'oil', 'kind' => 'engine', 'capacity' => '2 L', 'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'plug', ...self::DRAIN]]],
                    ['key' => 'coolant', 'kind' => 'coolant', 'capacity' => '7 L', 'openings' => [['key' => 'radiator cap', 'role' => 'fill'], ['key' => 'tap', ...self::DRAIN]]],
                    ['key' => 'shaft', 'kind' => 'pivot_shaft', 'openings' => [['key' => 'shaft fill', 'role' => 'fill'], ['key' => 'shaft drain', ...self::DRAIN]]],
                    ['key' => 'tank', 'kind' => 'fuel'],
                ],
                [
                    ['key' => 'filter', 'kind' => 'filter', 'in' => 'oil'],
                    ['key' => 'fuel filter', 'kind' => 'filter', 'in' => 'tank'],
                    ['key' => 'air filter', 'kind' => 'filter', 'subject' => 'air_cleaner'],
                    ['key' => 'spark plug', 'kind' => 'plug', 'subject' => 'ignition'],
                ],
                ['class' => 'tractor', 'engine' => 'diesel', 'schools' => $chosen],
            );
            self::assertStringContainsString($says, $this->steps[$step]['says'] ?? '');
        }
    }

    /** @return iterable<string, array{string, string, array<string, string>, string, string, string}> */
    public static function eachSchool(): iterable
    {
        $new = fn (string $at): array => ['act' => 'replace', 'at' => $at];
        yield 'a filter, from hand tight' => ['spin_on', 'from_hand_tight', $new('filter'), 'fit:filter', 'printed on it', 'hand tight, then up to 3/4 turn'];
        yield 'its gasket' => ['gasket', 'grease', $new('filter'), 'fit:filter', 'its gasket wetted with fresh oil', 'its gasket given a film of grease'];
        yield 'a fuel filter' => ['fuel_filter', 'filled', $new('fuel filter'), 'fit:fuel filter', 'fitted dry, then bled', 'filled with clean fuel first'];
        yield 'the last of the oil' => ['last_of_oil', 'turned', $new('oil'), 'drain:plug', 'drip for 10 min. Other work', 'engine turned over slowly by hand, plugs out, key out'];
        yield 'coolant' => ['coolant', 'premix', $new('coolant'), 'pour:coolant', '3.5 L of concentrate and 3.5 L of distilled water', 'premix of the right chemistry, nothing added'];
        yield 'a new plug\'s gap' => ['plug_gap', 'delivered', $new('spark plug'), 'compare:spark plug', 'the gap set as the book says', 'the gap left as delivered'];
        yield 'a plug' => ['spark_plug', 'regapped', $new('spark plug'), 'fit:spark plug', 'Fit the new spark plug', 'much less than half a turn'];
        yield 'its thread' => ['plug_thread', 'anti_seize', $new('spark plug'), 'fit:spark plug', 'as the plug\'s maker says', 'anti-seize, and less torque for it'];
        yield 'an air element' => ['element_seat', 'dry', $new('air filter'), 'fit:air filter', 'its seat greased', 'its seat dry'];
    }

    public function test_oil_is_held_in_by_a_vacuum_where_its_keeper_does_it_so_and_let_go_before_it_runs(): void
    {
        $this->reckon(
            [['act' => 'replace', 'at' => 'filter']],
            [['key' => 'oil', 'kind' => 'hydraulic', 'openings' => [['key' => 'cap', 'role' => 'fill']], 'fill' => ['method' => 'sight_glass']]],
            [['key' => 'filter', 'kind' => 'filter', 'in' => 'oil']],
            ['schools' => ['filter_alone' => 'vacuum']],
        );
        self::assertStringContainsString('a light vacuum on its tank', $this->steps['shut_off:oil']['says']);
        $this->inThisOrder('shut_off:oil', 'remove:filter', 'fit:filter', 'turn_on:oil', 'run');
    }

    public function test_a_pivot_shaft_is_drained_and_filled_or_where_it_takes_grease_greased(): void
    {
        $shaft = fn (array $schools): array => $this->reckon(
            [['act' => 'replace', 'at' => 'shaft']],
            [['key' => 'shaft', 'kind' => 'pivot_shaft', 'openings' => [['key' => 'fill', 'role' => 'fill'], ['key' => 'drain', ...self::DRAIN]]]],
            [],
            ['class' => 'crawler', 'schools' => $schools],
        );
        $shaft([]);
        $this->inThisOrder('drain:drain', 'pour:shaft');
        $shaft(['pivot_shaft' => 'grease']);
        self::assertArrayNotHasKey('pour:shaft', $this->steps);
        self::assertStringContainsString('About 50 strokes, 75 where it was long neglected; too many blow its seal', $this->steps['lubricate:shaft']['says']);
    }

    /** @param  array<string, string>  $chosen */
    private function schools(array $chosen): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'oil'], ['act' => 'replace', 'at' => 'filter']], [[
            'key' => 'oil',
            'kind' => 'engine',
            'capacity' => '1.7 L',
            'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'plug', ...self::DRAIN]],
        ]], [['key' => 'filter', 'kind' => 'filter', 'in' => 'oil']], ['class' => 'tractor', 'schools' => $chosen]);
    }

    public function test_two_drives_of_2_quarts_are_filled_until_their_vents_run_and_purged_off_the_ground(): void
    {
        $drive = fn (string $side): array => [
            'key' => $side,
            'kind' => 'hydrostatic',
            'capacity' => '2 qt',
            'openings' => [
                ['key' => "{$side} fill", 'role' => 'fill', 'torque' => '180 in-lb'],
                ['key' => "{$side} vent", 'role' => 'vent', 'torque' => '180 in-lb'],
                ['key' => "{$side} drain", ...self::DRAIN],
            ],
            'fill' => ['method' => 'line', 'vents' => true, 'purge' => 6],
        ];
        $answer = $this->reckon(
            [['act' => 'replace', 'at' => 'left'], ['act' => 'replace', 'at' => 'right']],
            [$drive('left'), $drive('right')],
        );
        foreach (['left', 'right'] as $side) {
            $this->inThisOrder("open:{$side} vent", "open:{$side} drain", "close:{$side} drain", "pour:{$side}", "close:{$side} vent", 'raise', "purge:{$side}", 'lower', "wait:{$side}", "read:{$side}");
            self::assertStringContainsString('6 cycles', $this->steps["purge:{$side}"]['says']);
            self::assertContains('The wheels are off the ground and turn: nobody near.', $this->steps["purge:{$side}"]['cautions']);
        }
        self::assertCount(1, array_filter($answer['steps'], fn (array $step): bool => $step['act'] === 'warm'), 'one warm-up for both');
        self::assertContains(['resource' => 'stand', 'from' => 'raise', 'to' => 'lower'], $answer['holds']);
    }

    public function test_a_sump_with_a_tank_and_two_drains_and_a_transmission_of_8_gallons(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'sump'], ['act' => 'replace', 'at' => 'gear']], [
            [
                'key' => 'sump',
                'kind' => 'engine',
                'capacity' => '7 qt',
                'openings' => [['key' => 'f', 'role' => 'fill'], ['key' => 's1', ...self::DRAIN], ['key' => 's2', ...self::DRAIN], ['key' => 'tank', ...self::DRAIN]],
                'fill' => ['method' => 'stick', 'share_first' => '0.7', 'run' => 10],
                'protocol' => ['engine' => 'off', 'temperature' => 'warm'],
            ],
            [
                'key' => 'gear',
                'kind' => 'transmission',
                'capacity' => '8 gal',
                'openings' => [['key' => 'gf', 'role' => 'fill'], ['key' => 'front', ...self::DRAIN], ['key' => 'rear', ...self::DRAIN], ['key' => 'plug', 'role' => 'level']],
                'fill' => ['method' => 'level_plug'],
            ],
        ]);
        foreach (['s1', 's2', 'tank'] as $drain) {
            $this->inThisOrder("drain:{$drain}", "close:{$drain}", 'pour:sump');
        }
        foreach (['front', 'rear'] as $drain) {
            $this->inThisOrder('loosen:gf', "open:{$drain}", "drain:{$drain}", "close:{$drain}", 'pour:gear', 'read:gear', 'close:plug');
            self::assertSame(10, $this->steps["drain:{$drain}"]['minutes'], 'as long as any oil, unless its way says more');
        }
        $this->inThisOrder('open:plug', 'pour:gear');
        self::assertSame(10, $this->steps['run']['minutes']);
    }

    public function test_coolant_is_opened_cold_and_concentrate_and_water_are_two_pours(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'coolant']], [[
            'key' => 'coolant',
            'kind' => 'coolant',
            'capacity' => '7 gal',
            'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'tap', 'role' => 'drain']],
            'fill' => ['method' => 'line'],
        ]]);
        $this->inThisOrder('secure', 'cool:coolant', 'open:cap', 'open:tap', 'pour:coolant', 'pour:coolant:water', 'purge:coolant', 'close:cap', 'wait:coolant', 'read:coolant', 'top_up:coolant');
        self::assertContains('Never open the cooling system hot.', $this->steps['open:cap']['cautions']);
        // Handbook section 9: 7 gal at 50 % is 3.5 gal of concentrate and 3.5 gal of distilled water.
        $mix = Catalogue::reckon('coolant-mix', ['volume' => '7 gal', 'percent' => '50', 'glycol' => 'ethylene'], new \DateTimeImmutable('2026-05-14'));
        self::assertSame(['3.5', '3.5'], [$mix['concentrate']['value'], $mix['water']['value']]);
    }

    public function test_a_final_drive_is_turned_to_its_plug_drained_inside_and_outside_and_turned_to_its_marks(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'hub']], [[
            'key' => 'hub',
            'kind' => 'final_drive',
            'capacity' => '1.5 qt',
            'drain_way' => 'hub',
            'openings' => [['key' => 'f', 'role' => 'fill', 'tool' => '22 mm'], ['key' => 'inner', ...self::DRAIN], ['key' => 'outer', ...self::DRAIN], ['key' => 'mark', 'role' => 'level']],
            'fill' => ['method' => 'level_plug'],
        ]], machine: ['class' => 'crawler', 'engine' => 'diesel', 'raised' => true]);
        foreach (['inner', 'outer'] as $drain) {
            $this->inThisOrder('raise', 'turn_low:hub', "open:{$drain}", "close:{$drain}", 'turn_level:hub', 'pour:hub', 'lower');
        }
    }

    public function test_a_power_shift_is_read_idling(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'shift'], ['act' => 'replace', 'at' => 'oil']], [
            [
                'key' => 'shift',
                'kind' => 'transmission',
                'openings' => [['key' => 'f', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']],
                'protocol' => ['engine' => 'idling'],
            ],
            ['key' => 'oil', 'kind' => 'engine', 'openings' => [['key' => 'c', 'role' => 'fill'], ['key' => 'p', 'role' => 'drain']]],
        ]);
        $this->inThisOrder('run', 'wait:oil', 'read:oil', 'top_up:oil', 'idle:shift', 'read:shift');
        self::assertArrayNotHasKey('wait:shift', $this->steps, 'stopped it reads over full');
        self::assertStringContainsString('stopped it reads over full', $this->steps['idle:shift']['says']);
    }

    public function test_a_level_plug_that_is_opened_again_for_the_reading_lets_hot_oil_out(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'shift']], [[
            'key' => 'shift',
            'kind' => 'transmission',
            'openings' => [['key' => 'f', 'role' => 'fill'], ['key' => 'd', ...self::DRAIN], ['key' => 'l', 'role' => 'level']],
            'fill' => ['method' => 'level_plug'],
            'protocol' => ['engine' => 'idling'],
        ]]);
        $this->inThisOrder('open:l', 'close:l', 'idle:shift', 'reopen:l', 'read:shift', 'reshut:l');
        self::assertStringContainsString('Hot oil', implode(' ', $this->steps['reopen:l']['cautions']));
    }

    public function test_a_fuel_filter_of_a_diesel_is_shut_off_bled_and_looked_over(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'filter']], [['key' => 'fuel', 'kind' => 'fuel', 'valve' => 'lever across is shut']], [
            ['key' => 'filter', 'kind' => 'filter', 'in' => 'fuel'],
        ], ['class' => 'tractor', 'engine' => 'diesel']);
        $this->inThisOrder('shut_off:fuel', 'remove:filter', 'fit:filter', 'turn_on:fuel', 'purge:fuel', 'try');
        $this->inThisOrder('fit:filter', 'look_over:filter', 'try');
        // Handbook section 16, row 39: tank not full, valve shut, screw turned in before the bubbles end.
        foreach (['Tank full', 'valve open', 'until no bubbles come'] as $condition) {
            self::assertStringContainsString($condition, $this->steps['purge:fuel']['says']);
        }
        self::assertContains('No flame, no sparks; ventilate and wear gloves.', $this->steps['remove:filter']['cautions']);
    }

    public function test_a_filters_only_change_is_run_and_read_since_the_new_ones_drink(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'filter']], [[
            'key' => 'drive',
            'kind' => 'hydraulic',
            'openings' => [['key' => 'f', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain'], ['key' => 'glass', 'role' => 'level']],
        ]], [['key' => 'filter', 'kind' => 'filter', 'in' => 'drive']]);
        $this->inThisOrder('remove:filter', 'what_ran_out:filter', 'fit:filter', 'pour:drive', 'run', 'read:drive', 'top_up:drive');
        self::assertArrayNotHasKey('drain:d', $this->steps, 'the oil stays in');
    }

    public function test_pedals_uncoupled_for_measuring_are_coupled_again_before_anything_runs(): void
    {
        $this->reckon([
            ['act' => 'adjust', 'at' => 'pedals', 'check' => 'pedal play', 'undoes' => 'pedals uncoupled'],
            ['act' => 'lubricate', 'at' => 'pivot', 'undoes' => ['pedals uncoupled']],
        ], [], [['key' => 'pedals', 'kind' => 'other'], ['key' => 'pivot', 'kind' => 'other']]);
        $this->inThisOrder('undo:pedals_uncoupled', 'measure:pedals:pedal play', 'adjust:pedals:pedal play', 'measure_again:pedals:pedal play', 'couple:pedals_uncoupled', 'try');
        $this->inThisOrder('undo:pedals_uncoupled', 'lubricate:pivot', 'couple:pedals_uncoupled');
    }

    public function test_what_is_sucked_out_needs_no_washer_and_no_proof_and_is_measured(): void
    {
        $this->reckon([['act' => 'replace', 'at' => 'oil']], [[
            'key' => 'oil',
            'kind' => 'engine',
            'openings' => [['key' => 'cap', 'role' => 'fill'], ['key' => 'stick', 'role' => 'draw']],
        ]]);
        self::assertArrayNotHasKey('loosen:cap', $this->steps);
        self::assertStringContainsString('until it draws air, and measure it', $this->steps['suck:stick']['says']);
        $this->inThisOrder('open:stick', 'suck:stick', 'pour:oil');
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('refused')]
    public function test_what_cannot_be_led_is_refused_with_why(array $given, string $field, string $why): void
    {
        try {
            Catalogue::reckon('procedure', $given, new \DateTimeImmutable('2026-05-14'));
            self::fail('refused');
        } catch (BadInput $refused) {
            self::assertStringContainsString($why, $refused->errors[$field][0] ?? json_encode($refused->errors) ?: '');
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        $change = [['act' => 'replace', 'at' => 'oil']];
        $oil = fn (array ...$openings): array => [['key' => 'oil', 'kind' => 'engine', 'openings' => $openings]];
        yield 'no way out' => [['tasks' => $change, 'compartments' => $oil(['key' => 'c', 'role' => 'fill'])], 'compartments', 'nothing says how it is emptied'];
        yield 'no way in' => [['tasks' => $change, 'compartments' => $oil(['key' => 'd', 'role' => 'drain'])], 'compartments', 'nothing says where it is filled'];
        $way = fn (string $way, array ...$openings): array => [['tasks' => $change, 'compartments' => [['drain_way' => $way, ...$oil(...$openings)[0]]]], 'compartments', 'nothing says how it is emptied'];
        yield 'suction and no place to suck at' => $way('suction', ['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']);
        yield 'a plug that is not there' => $way('plug', ['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'draw']);
        yield 'a filter that is not there' => $way('filter', ['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']);
        yield 'brakes that are bled nowhere' => [['tasks' => $change, 'compartments' => [['key' => 'oil', 'kind' => 'brake', 'openings' => [['key' => 'c', 'role' => 'fill']]]]], 'compartments', 'nothing says where it is bled'];
        yield 'sealed for life' => [['tasks' => $change, 'compartments' => [['drain_way' => 'none', ...$oil(['key' => 'c', 'role' => 'fill'])[0]]]], 'compartments', 'it is never emptied'];
        yield 'no way to read it' => [['tasks' => $change, 'compartments' => [['key' => 'oil', 'kind' => 'gearbox', 'openings' => [['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']]]]], 'compartments', 'nothing says how its level is read'];
        yield 'by measure, and nobody knows how much' => [['tasks' => $change, 'compartments' => [['key' => 'oil', 'kind' => 'gearbox', 'fill' => ['method' => 'by_measure'], 'openings' => [['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']]]]], 'compartments', 'nobody has written down how much'];
        yield 'nothing to do' => [['tasks' => []], 'tasks', 'Say what is to be done.'];
        yield 'nowhere' => [['tasks' => [['act' => 'clean', 'at' => 'x']]], 'tasks.0.at', 'has the key "x"'];
        yield 'a key twice' => [['tasks' => $change, 'compartments' => $oil(['key' => 'oil', 'role' => 'fill'])], 'compartments.0.openings.0.key', 'keys are unique'];
        yield 'a school that nobody follows' => [['tasks' => $change, 'compartments' => $oil(['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']), 'machine' => ['schools' => ['seals' => 'never']]], 'machine.schools.seals', 'is one of new, reuse'];
        yield 'an unknown field' => [['tasks' => $change, 'compartments' => $oil(['key' => 'c', 'role' => 'fill'], ['key' => 'd', 'role' => 'drain']), 'colour' => 'red'], 'colour', 'no such field'];
    }
}
