<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Machines\Machine;
use App\People\Role;
use Illuminate\Testing\TestResponse;

/** Compartments, fluids and parts through the API. Figures and names are invented. */
final class FluidsTest extends WalkTestCase
{
    private const TRACTOR = [
        'name' => 'Gadwall',
        'class' => 'tractor',
        'at' => '2026-01-01',
        'rules' => [
            ['task' => 'Engine oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '100']],
            ['task' => 'PTO oil', 'kind' => 'replace', 'spots' => ['pto_housing'], 'every' => ['hours' => '400']],
        ],
        'began_on' => '2026-01-01',
        'meters' => [['unit' => 'h', 'value' => '0']],
    ];

    private const ENGINE = [
        'capacities' => [['amount' => '6.4/6.8 qt']],
        'specification' => [
            'kind' => 'engine_oil',
            'grades' => [['grade' => '10W-30']],
            'designations' => ['API CI-4'],
        ],
        'drain_way' => 'plug',
        'cooling' => 'liquid',
    ];

    private int $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->machine = $this->machine(self::TRACTOR);
    }

    public function test_what_a_book_says_is_written_down_as_typed_and_told_in_both_systems(): void
    {
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $engine = $this->compartment('engine_oil');

        self::assertSame([['without filter', '6.4 qt', '6.06 L'], ['with filter', '6.8 qt', '6.44 L']], array_map(
            fn (array $row): array => [$row['kind'], $row['written'], $row['other']],
            $engine['capacities'],
        ));
        self::assertSame('engine oil, 10W-30, API CI-4', $engine['takes'][0]['in_words']);
        self::assertSame('7.1–9 qt', $engine['usual'], 'a hint, common practice, beside the book\'s figure');
        self::assertSame(['fill', 'drain', 'level'], array_column($engine['openings'], 'role'));
        self::assertStringContainsString('on level ground', $engine['protocol']);
        self::assertSame('engine_oil', $this->page()['compartments'][0]['key']);
        self::assertSame(
            $engine['sheet'],
            $this->getJson("/api/machines/{$this->machine}/spots/engine_oil")->json('sheet'),
            'the plate tells the same',
        );
    }

    public function test_what_cannot_be_stands_beside_its_field_and_changes_nothing(): void
    {
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $this->write(
            'engine_oil',
            [
                ...self::ENGINE,
                'capacities' => [
                    ['amount' => '2–1 L'],
                    ['kind' => 'dry', 'amount' => '5 kg'],
                    ['kind' => 'with_filter', 'amount' => '255 mL (9 fl oz)'],
                ],
            ],
        )
            ->assertUnprocessable()
            ->assertJsonPath('errors', [
                'sheet.capacities.0.amount' => ['The least, 2 L, is over the most, 1 L.'],
                'sheet.capacities.1.amount' => ['A capacity is a volume, and 5 kg is a mass.'],
                'sheet.capacities.2.amount' => [
                    '"9 fl oz" is 266 mL, not 255 mL. Look which of the two the book means, and write that one.',
                ],
            ]);

        self::assertCount(2, $this->compartment('engine_oil')['capacities']);
    }

    /** Row 15: two housings share their oil and somebody "thinks so, it has been a while". */
    public function test_shared_oil_is_on_record_and_what_is_done_to_one_is_done_to_both(): void
    {
        $this->write('pto_housing', ['shares_with' => 'hydrostatic'])->assertOk();
        $this->log($this->machine, '5')->assertCreated();
        $this->tell(
            $this->machine,
            'fluid',
            ['spot' => 'pto_housing', 'act' => 'changed', 'amount' => '30 L'],
        )->assertCreated();

        self::assertSame('hydrostatic', $this->compartment('pto_housing')['shares_with']['key']);
        self::assertSame(['pto_housing'], array_column($this->compartment('hydrostatic')['shared_by'], 'key'));
        self::assertSame($this->life('hydrostatic'), $this->life('pto_housing'));
        self::assertNotNull($this->life('hydrostatic')['since'], 'the act stands at the one that holds the oil');
        $this->write('hydrostatic', ['shares_with' => 'pto_housing'])->assertUnprocessable()
            ->assertJsonFragment(
                ['PTO housing oil shares with Hydrostatic oil already: one of the two holds the fluid.'],
            );
        $this->write('reduction_gear', ['shares_with' => 'pto_housing'])->assertUnprocessable()
            ->assertJsonFragment(['PTO housing oil shares with Hydrostatic oil itself: name that one.']);
        $this->write('hydrostatic', ['shares_with' => 'hydrostatic'])->assertUnprocessable();
    }

    public function test_what_runs_out_of_the_drain_of_one_that_shares_is_told_of_both_and_its_job_takes_the_others_fluid(): void
    {
        $this->write('hydrostatic', ['capacities' => [['amount' => '30 L']]])->assertOk();
        $this->write('pto_housing', ['shares_with' => 'hydrostatic', 'capacities' => [['amount' => '4 L']]])->assertOk();
        $drained = ['spot' => 'pto_housing_drain', 'act' => 'drained', 'amount' => '20 L'];
        $this->tell($this->machine, 'fluid', $drained)->assertCreated();
        foreach (['hydrostatic', 'pto_housing'] as $spot) {
            self::assertSame(['drained, 20 L'], array_column($this->compartment($spot)['lately'], 'in_words'));
        }
        $fluids = collect($this->page()['tasks'])
            ->first(fn (array $task): bool => in_array('hydrostatic', array_column($task['fluids'], 'spot'), true))['fluids'];
        self::assertSame(['30 L'], array_column(array_filter($fluids, fn (array $fluid): bool => $fluid['spot'] === 'hydrostatic'), 'amount'));
        self::assertNotContains('pto_housing', array_column($fluids, 'spot'));
    }

    public function test_a_pour_that_nobody_measured_breaks_no_sum(): void
    {
        $oil = $this->bottle('Orchard', ['kind' => 'engine_oil', 'grade' => '10W-30']);
        $poured = ['spot' => 'engine_oil', 'act' => 'topped_up', 'fluid' => $oil];
        $this->tell($this->machine, 'service', ['hours' => '5', 'other' => [$poured]])->assertCreated();
        self::assertSame('topped up, Orchard', $this->compartment('engine_oil')['lately'][0]['in_words']);
        self::assertSame('0', $this->life('engine_oil')['added']['value']);
        $this->getJson("/api/machines/{$this->machine}/spots/engine_oil")->assertOk();
        $this->getJson("/api/machines/{$this->machine}/trends")->assertOk();
    }

    /** Row 10: ordinary engine oil in a wet-brake axle; through the door by which it is told. */
    public function test_a_wrong_oil_is_refused_with_its_reason_and_where_it_is_in_already_it_is_found_wrong(): void
    {
        $cart = $this->machine(
            ['name' => 'Moorhen', 'class' => 'utility_vehicle', 'meters' => [['unit' => 'h', 'value' => '0']]],
        );
        $oil = $this->bottle(
            'Orchard 10W-30',
            ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API SN']],
        );
        $pour = fn (array $more = []): TestResponse => $this->tell(
            $cart,
            'top_up',
            ['spot' => 'rear_axle', 'amount' => '0.2 qt', 'fluid' => $oil, ...$more],
        );

        $refused = $pour();
        self::assertSame([409, '/problems/unlikely'], [$refused->getStatusCode(), $refused->json('type')]);
        self::assertStringContainsString('does not go into a wet brake axle', $refused->json('errors.fluid.0'));
        self::assertSame(
            [],
            $this->getJson("/api/machines/{$cart}/compartments/rear_axle")->json('lately'),
            'nothing was written',
        );
        $pour(['confirmed_because' => 'It was in before anybody looked'])->assertCreated();
        $story = $this->getJson("/api/machines/{$cart}/spots/rear_axle")->json();
        self::assertSame('act', $story['findings'][0]['verdict']);
        self::assertStringContainsString('Orchard 10W-30 was poured', $story['findings'][0]['why']);
    }

    public function test_any_bottle_is_held_against_a_compartment_by_the_keepers_school_and_the_warranty(): void
    {
        $this->write(
            'hydrostatic',
            ['specification' => ['kind' => 'tractor_fluid', 'designations' => ['HM'], 'makers_own' => 'Wader Draught']],
        )->assertOk();
        $ask = fn (): string => $this->postJson(
            "/api/machines/{$this->machine}/compartments/hydrostatic/will-it-do",
            ['fluid' => ['kind' => 'tractor_fluid', 'designations' => ['HV']]],
        )->assertOk()->json('will_it');

        self::assertSame('yes', $ask());
        Machine::query()->whereKey($this->machine)->update(['warranty_until' => '2027-01-01']);
        self::assertSame('no', $ask(), 'the maker\'s own while the warranty runs');
        $this->patchJson('/api/yard', ['fluid_school' => 'equivalents'], ['If-Match' => '"1"'])->assertOk();
        self::assertSame('yes', $ask());
        $this->patchJson('/api/yard', ['fluid_school' => 'prayer'], ['If-Match' => '"2"'])->assertUnprocessable();
    }

    public function test_the_season_ahead_is_the_yards_own(): void
    {
        $this->patchJson(
            '/api/yard',
            ['coldest_night' => '-28', 'hottest_day' => '95 °F'],
            ['If-Match' => '"1"'],
        )->assertOk()
            ->assertJson(['coldest_night' => '-28 °C', 'hottest_day' => '95 °F']);
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $answer = $this->postJson(
            "/api/machines/{$this->machine}/compartments/engine_oil/will-it-do",
            ['fluid' => ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['CK-4']]],
        );

        self::assertSame('no', $answer->json('will_it'));
        self::assertStringContainsString('good down to -25 °C by SAE J300', $answer->json('reasons.0'));
    }

    public function test_what_a_drained_oil_looks_like_is_read_at_once_and_stands_the_machine_down_where_it_must(): void
    {
        $this->tell(
            $this->machine,
            'fluid',
            [
                'spot' => 'front_axle_drain',
                'act' => 'drained',
                'amount' => '4 qt',
                'seen' => ['grey'],
                'first_service' => true,
            ],
        )->assertCreated();
        $act = $this->getJson("/api/machines/{$this->machine}/compartments/front_axle")->json('lately.0');
        self::assertStringContainsString('break-in metal', $act['why']);

        $this->tell(
            $this->machine,
            'fluid',
            ['spot' => 'front_axle', 'act' => 'sampled', 'seen' => ['slivers', 'milky']],
        )->assertCreated();
        $machine = $this->getJson("/api/machines/{$this->machine}")->json();
        self::assertStringContainsString('something is breaking', $machine['line']['stood_down']['because']);
    }

    public function test_more_than_it_holds_coming_out_is_asked_not_refused(): void
    {
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $drain = ['spot' => 'engine_oil', 'act' => 'drained', 'amount' => '9 qt'];
        $asked = $this->tell($this->machine, 'fluid', $drain);

        self::assertSame([409, '/problems/unlikely'], [$asked->getStatusCode(), $asked->json('type')]);
        self::assertStringContainsString('water or fuel', $asked->json('errors.amount.0'));
        $this->tell(
            $this->machine,
            'fluid',
            [...$drain, 'confirmed_because' => 'Water: it stood in the flood'],
        )->assertCreated();
    }

    public function test_a_fluid_act_is_refused_beside_its_field(): void
    {
        foreach ([
            'spot' => ['spot' => 'front_tyres', 'act' => 'filled', 'amount' => '1 L'],
            'amount' => ['spot' => 'engine_oil', 'act' => 'filled', 'amount' => '3 psi'],
            'act' => ['spot' => 'engine_oil', 'act' => 'greased'],
            'fluid' => ['spot' => 'engine_oil', 'act' => 'filled', 'amount' => '1 L', 'fluid' => 999_999],
            'seen.0' => ['spot' => 'engine_oil', 'act' => 'drained', 'seen' => ['pink']],
        ] as $field => $given) {
            self::assertSame(
                [$field],
                array_keys($this->tell($this->machine, 'fluid', $given)->assertUnprocessable()->json('errors')),
            );
        }
    }

    public function test_a_life_tells_what_is_in_it_since_when_what_was_added_and_what_is_missing(): void
    {
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $oil = $this->bottle(
            'Orchard 10W-30',
            ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API CI-4']],
        );
        $at = fn (string $day, string $hours): TestResponse => $this->log(
            $this->machine,
            $hours,
            ['at' => $day, 'confirmed_because' => 'Long days'],
        );
        $at('2026-03-01', '10')->assertCreated();
        $this->tell($this->machine, 'service', ['on' => '2026-03-01', 'hours' => '10', 'other' => [
            ['spot' => 'engine_oil', 'act' => 'drained', 'amount' => '6.5 qt', 'seen' => ['dark']],
            ['spot' => 'engine_oil', 'act' => 'changed', 'amount' => '6.8 qt', 'fluid' => $oil],
            ['spot' => 'engine_oil_drain', 'act' => 'closed', 'seal' => 'AS 12 washer', 'reused' => true],
        ]])->assertCreated();
        $at('2026-04-01', '60')->assertCreated();
        $this->tell(
            $this->machine,
            'top_up',
            ['on' => '2026-04-01', 'spot' => 'engine_oil', 'amount' => '0.5 qt', 'fluid' => $oil],
        )->assertCreated();
        $at('2026-05-01', '80')->assertCreated();
        $life = $this->life('engine_oil');

        self::assertSame(
            ['Orchard 10W-30', 70, '0.5 qt (0.47 L)'],
            [$life['fluid'], $life['hours'], $life['added']['display']],
        );
        self::assertEqualsWithDelta(0.2, (float) $life['missing']['value'], 0.01, '0.5 qt in 50 h, and 20 h since');
        $drawn = $this->getJson("/api/machines/{$this->machine}/compartments/engine_oil")->json('drawn');
        self::assertSame(
            [['qt', 10, 80], [0, 0.5]],
            [
                [$drawn['unit'], $drawn['changes'][0]['hours'], $drawn['now']],
                array_values(array_unique(array_column($drawn['points'], 'added'))),
            ],
        );

        // What was reused stands on the next list.
        $takes = collect($this->page()['tasks'])->first(
            fn (array $task): bool => in_array('engine_oil', array_column($task['fluids'], 'spot'), true),
        );
        self::assertSame('6.4 qt', collect($takes['fluids'])->firstWhere('spot', 'engine_oil')['amount'] ?? null);
        $this->change(
            'engine_oil_drain',
            ['sheet' => ['seal' => 'AS 12 washer', 'tool' => '19 mm socket', 'torque' => '36 ft-lb']],
        )->assertOk();
        $takes = collect($this->page()['tasks'])->first(
            fn (array $task): bool => in_array('engine_oil', array_column($task['fluids'], 'spot'), true),
        );
        self::assertSame(
            ['AS 12 washer', 'the old one was used again the last time'],
            [$takes['parts'][0]['name'], $takes['parts'][0]['again']],
        );
        self::assertSame(['19 mm socket'], array_column($takes['tools'], 'tool'));
    }

    /** Row 25: the person before fitted too small a filter; nobody compared. */
    public function test_what_was_found_fitted_is_recorded_and_judged(): void
    {
        $this->change('hydrostatic_filter', ['sheet' => [
            'kind' => 'filter',
            'number' => 'AS 38-114',
            'equivalents' => [
                [
                    'number' => 'Wyndle 20',
                    'will_do' => false,
                    'because' => 'an engine oil filter: it filters too coarsely.',
                ],
            ],
        ]])->assertOk();
        $this->tell($this->machine, 'service', ['hours' => '5', 'other' => [
            [
                'spot' => 'hydrostatic_filter',
                'act' => 'replaced',
                'number' => 'Wyndle 20',
                'found' => 'crushed, too tight a clamp',
            ],
        ]])->assertCreated();
        $place = collect($this->page()['parts'])->firstWhere('key', 'hydrostatic_filter');

        self::assertFalse($place['fitted']['will_do']);
        self::assertStringContainsString('fits but will not do', $place['fitted']['why']);
        self::assertSame('crushed, too tight a clamp', $place['fitted']['found']);
        self::assertSame(
            $place['fitted'],
            $this->getJson("/api/machines/{$this->machine}/spots/hydrostatic_filter")->json('part_place.fitted'),
        );
    }

    /**
     * Row 43: the trick that worked found out anew each time. Row 42: fluid, quantity, part number looked up with oily
     * hands.
     */
    public function test_the_trick_stays_with_the_opening_and_amount_and_number_with_the_place(): void
    {
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $this->change(
            'engine_oil_drain',
            [
                'trick' => 'Swivel on a quarter-inch drive, wheel right',
                'sheet' => ['comes_off' => 'Skid plate', 'magnet' => true, 'side' => 'left', 'loose' => ['spring']],
            ],
        )->assertOk();
        $drain = collect($this->compartment('engine_oil')['openings'])->firstWhere('role', 'drain');

        self::assertSame('Swivel on a quarter-inch drive, wheel right', $drain['trick']);
        self::assertSame(
            ['Skid plate', true, 'left', ['spring']],
            [
                $drain['sheet']['comes_off'],
                $drain['sheet']['magnet'],
                $drain['sheet']['side'],
                $drain['sheet']['loose'],
            ],
        );
        $story = $this->getJson("/api/machines/{$this->machine}/spots/engine_oil")->json();
        self::assertSame('6.4 qt', $story['fluid']['capacities'][0]['written']);
        self::assertNotSame([], $story['takes']);
        $this->change('engine_oil_drain', ['sheet' => ['seal' => 'washer', 'sealant' => 'tape']])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['sheet.sealant']]);
    }

    public function test_a_manuals_page_is_pasted_understood_asked_about_and_written(): void
    {
        $read = $this->postJson(
            "/api/machines/{$this->machine}/capacities",
            ['text' => "Item\tCapacity\tOil\nCrankcase\t7.1 qt\t10W-30 CI-4\nFlux\t1 L\t\n"],
        )
            ->assertOk()
            ->json('rows');
        self::assertSame(['engine_oil', null], array_column($read, 'compartment'));
        self::assertSame(
            [],
            $this->compartment('engine_oil')['capacities'],
            'nothing is saved before it is understood',
        );

        $row = fn (string $compartment, string $amount): array => [
            'compartment' => $compartment,
            'capacities' => [['kind' => 'refill', 'amount' => $amount]],
            'specification' => null,
        ];
        $put = fn (array $rows): TestResponse => $this->putJson(
            "/api/machines/{$this->machine}/capacities",
            ['rows' => $rows],
        );
        self::assertSame(
            ['rows.1.capacities.0.amount'],
            array_keys(
                $put([$row('engine_oil', '7.1 qt'), $row('coolant', '5 kg')])->assertUnprocessable()->json('errors'),
            ),
        );
        self::assertSame([], $this->compartment('engine_oil')['capacities'], 'all or none');
        $put([$row('engine_oil', '7.1 qt'), $row('engine_oil', '8 qt')])->assertUnprocessable();
        $put([['compartment' => 'engine_oil', 'capacities' => ['7.1 qt'], 'specification' => null]])
            ->assertUnprocessable()->assertJsonStructure(['errors' => ['rows.0.capacities.0']]);
        $this->write('coolant', ['capacities' => [['amount' => '6 gal', 'book' => 'component']]])->assertOk();
        $put([$row('engine_oil', '7.1 qt'), $row('coolant', '6.5 gal')])->assertOk()->assertJson(['written' => 2]);
        self::assertSame(
            ['6.5 gal', '6 gal'],
            array_column($this->compartment('coolant')['capacities'], 'written'),
            'the component maker\'s stays beside it',
        );
        $this->postJson("/api/machines/{$this->machine}/capacities", ['text' => "a\tb\nc\td"])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['text']]);
    }

    public function test_what_is_for_one_machine_alone_is_asked_when_a_sister_takes_it_over(): void
    {
        $this->write('engine_oil', self::ENGINE)->assertOk();
        $this->change(
            'fuel_filter',
            ['sheet' => ['kind' => 'filter', 'number' => 'AS 22', 'only_for' => 'serial numbers from 2200 on']],
        )->assertOk();
        $sister = $this->machine([...self::TRACTOR, 'name' => 'Pintail']);
        $sheets = $this->getJson("/api/machines/{$sister}/sister-sheets?from={$this->machine}")
            ->assertOk()
            ->json('sheets');

        self::assertSame(
            [
                'engine_oil' => '',
                'fuel_filter' => 'On Gadwall this is only for serial numbers from 2200 on: is it the same here?',
            ],
            array_column($sheets, 'asks', 'key'),
        );
        $this->postJson(
            "/api/machines/{$sister}/sister-sheets",
            ['from' => $this->machine, 'spots' => ['engine_oil']],
        )->assertOk();
        self::assertSame(
            '6.4 qt',
            $this->getJson("/api/machines/{$sister}/compartments/engine_oil")->json('capacities.0.written'),
        );
        self::assertNull($this->getJson("/api/machines/{$sister}/spots/fuel_filter")->json('sheet'));
        $this->getJson("/api/machines/{$sister}/sister-sheets?from={$sister}")->assertUnprocessable();
        $cart = $this->machine(
            ['name' => 'Dabchick', 'class' => 'petrol_cart', 'meters' => [['unit' => 'h', 'value' => '0']]],
        );
        $this->getJson("/api/machines/{$sister}/sister-sheets?from={$cart}")
            ->assertUnprocessable()
            ->assertJsonFragment(['Dabchick is of another class.']);
    }

    public function test_a_top_up_sent_again_by_a_phone_without_signal_is_poured_once(): void
    {
        $note = $this->note($this->machine, 'top_up', ['spot' => 'engine_oil', 'amount' => '0.3 qt', 'round' => null]);
        self::assertSame(
            ['written', 'already'],
            [$this->send([$note])[0]['status'], $this->send([$note])[0]['status']],
        );

        self::assertSame(
            ['topped up, 0.3 qt'],
            array_column(
                $this->getJson("/api/machines/{$this->machine}/compartments/engine_oil")->json('lately'),
                'in_words',
            ),
        );
    }

    public function test_the_log_line_tops_up_and_drains_and_asks_where_it_is_not_clear(): void
    {
        $preview = fn (string $text): array => $this->postJson(
            '/api/log-line/preview',
            ['text' => $text],
        )->assertOk()->json();
        self::assertSame(
            "Gadwall's engine oil topped up with 0.3 qt (0.28 L).",
            $preview('gadwall +0.3 qt engine')['sentence'],
        );
        self::assertSame(
            "350 mL (11.8 fl oz) drained from Gadwall's coolant on 13 May 2026.",
            $preview('gad -350ml coolant yesterday')['sentence'],
        );
        self::assertContains(
            'gadwall +1 L engine oil',
            $preview('gadwall +1 L')['suggestions'] ?: $preview('gadwall +1 L flux')['suggestions'],
        );
        self::assertFalse($preview('gadwall +1 L')['understood']);
        self::assertFalse($preview('gadwall +1 L flux')['understood']);
        $line = fn (string $text, Role $who): array => $this->as($who)->send(
            [$this->note($this->machine, 'line', ['text' => $text, 'machine_id' => null, 'round' => null])],
        )[0];
        self::assertSame('written', $line('gadwall +0.3 qt engine', Role::Keeper)['status']);
        self::assertSame('refused', $line('gadwall -1 qt engine', Role::Operator)['status'], 'draining is service');
        $this->as(Role::Keeper);
        self::assertSame('0.3 qt', $this->life('engine_oil')['added']['value'].' qt');
    }

    public function test_a_struck_pour_is_gone_from_the_life_and_a_corrected_one_keeps_its_fluid(): void
    {
        $oil = $this->bottle('Orchard', ['kind' => 'engine_oil', 'grade' => '10W-30']);
        $told = $this->tell(
            $this->machine,
            'service',
            [
                'hours' => '5',
                'other' => [['spot' => 'engine_oil', 'act' => 'changed', 'amount' => '6.8 qt', 'fluid' => $oil]],
            ],
        )->assertCreated();
        $this->tell(
            $this->machine,
            'correction',
            ['entry' => $told->json('entry.id'), 'because' => 'Slip', 'hours' => '6'],
        )->assertCreated();
        self::assertSame('Orchard', $this->life('engine_oil')['fluid']);
        $poured = $this->tell(
            $this->machine,
            'top_up',
            ['spot' => 'engine_oil', 'amount' => '1 qt', 'fluid' => $oil],
        )->assertCreated();
        $this->tell(
            $this->machine,
            'strike',
            ['entry' => $poured->json('entry.id'), 'because' => 'Other machine'],
        )->assertSuccessful();
        self::assertSame('0', $this->life('engine_oil')['added']['value']);
    }

    public function test_an_accepted_seep_stays_silent_until_it_is_worse(): void
    {
        $seen = fn (string $day, string $said, ?string $verdict = null): TestResponse => $this->as(Role::Keeper)->tell(
            $this->machine,
            'look',
            ['on' => $day, 'check' => 'leaks', 'said' => $said, ...$verdict === null ? [] : ['verdict' => $verdict]],
        )->assertCreated();
        $open = fn (): array => array_column(
            $this->getJson("/api/machines/{$this->machine}/spots/leaks")->json('findings'),
            'verdict',
        );
        $accept = fn (array $more): TestResponse => $this->tell(
            $this->machine,
            'accept',
            ['on' => '2026-03-02', 'check' => 'leaks', ...$more],
        );
        $seen('2026-03-01', 'not_fine', 'watch');
        self::assertSame(['note'], array_keys($accept([])->assertUnprocessable()->json('errors')));
        $accept(['note' => 'Old seal', 'loses' => '5 psi'])->assertUnprocessable();
        $accept(['note' => 'Old seal', 'loses' => '0.5 qt'])->assertCreated();
        self::assertSame([], $open());
        $accept(['note' => 'Again'])->assertUnprocessable();
        $seen('2026-04-01', 'fine');
        $seen('2026-04-10', 'not_fine', 'watch');
        self::assertSame([], $open(), 'no worse than it was accepted');
        $seen('2026-05-01', 'not_fine', 'act');
        self::assertSame(['act'], $open());
        $history = $this->getJson("/api/machines/{$this->machine}/findings/leaks")->assertOk()->json('findings');
        self::assertContains('accepted', array_column($history, 'course'));
    }

    /** Handbook section 17: it speaks again only when it loses more. */
    public function test_an_accepted_seep_speaks_again_when_more_goes_in_than_was_accepted(): void
    {
        $this->tell($this->machine, 'look', ['on' => '2026-03-01', 'check' => 'leaks', 'said' => 'not_fine', 'verdict' => 'watch'])
            ->assertCreated();
        $accepted = ['on' => '2026-03-02', 'check' => 'leaks', 'note' => 'Old seal', 'loses' => '0.5 L'];
        $this->tell($this->machine, 'accept', [...$accepted, 'of' => 'nothing'])->assertUnprocessable()
            ->assertJsonPath('errors.of.0', 'Gadwall has no such fluid.');
        $this->tell($this->machine, 'accept', [...$accepted, 'of' => 'hydraulic'])->assertCreated()
            ->assertJsonPath('entry.in_words', 'Accepted as it is: Leaks: Loses 0.5 L a year of hydraulic oil.');
        $open = fn (): array => $this->getJson("/api/machines/{$this->machine}/spots/leaks")->json('findings');
        $pour = fn (string $day, string $amount): TestResponse => $this->tell(
            $this->machine,
            'top_up',
            ['on' => $day, 'spot' => 'hydraulic', 'amount' => $amount],
        )->assertCreated();
        $pour('2026-02-01', '0.4 L');
        $pour('2026-04-01', '80 mL');
        self::assertSame([], $open(), '59 days at 0.5 L a year are 81 mL');
        $pour('2026-05-02', '0.2 L');
        self::assertSame(['watch'], array_column($open(), 'verdict'));
        self::assertSame(
            '0.28 L (0.3 qt) went in within 90 days, and 0.5 L a year was accepted.',
            $open()[0]['why'],
        );
    }

    public function test_a_bottle_is_kept_once_by_its_name_and_its_label_is_read(): void
    {
        $id = $this->bottle('Orchard', ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API SN']]);
        $this->postJson('/api/supplies', ['name' => 'Orchard', 'label' => ['kind' => 'coolant']])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $this->postJson('/api/supplies', ['name' => 'Other', 'label' => ['kind' => 'engine_oil', 'chemistry' => 'oat']])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['label.chemistry']]);
        $change = fn (int $version): TestResponse => $this->patchJson(
            "/api/supplies/{$id}",
            ['name' => 'Orchard', 'label' => ['kind' => 'engine_oil', 'grade' => '15W-40']],
            ['If-Match' => "\"{$version}\""],
        );
        $change(1)->assertOk()->assertJson(['in_words' => 'engine oil, 15W-40']);
        $change(1)->assertStatus(412);
        self::assertSame(['Orchard'], array_column($this->getJson('/api/shelf')->json('supplies'), 'name'));
    }

    /**
     * @param  array<string, mixed>  $sheet
     */
    private function write(string $spot, array $sheet): TestResponse
    {
        $version = $this->compartment($spot)['version'];

        return $this->putJson(
            "/api/machines/{$this->machine}/compartments/{$spot}",
            ['sheet' => $sheet],
            ['If-Match' => "\"{$version}\""],
        );
    }

    /** @param  array<string, mixed>  $change */
    private function change(string $spot, array $change): TestResponse
    {
        $story = $this->getJson("/api/machines/{$this->machine}/spots/{$spot}")->json();

        return $this->patchJson("/api/spots/{$story['id']}", $change, ['If-Match' => "\"{$story['version']}\""]);
    }

    /** @return array<string, mixed> */
    private function compartment(string $spot): array
    {
        return $this->as(Role::Keeper)
            ->getJson("/api/machines/{$this->machine}/compartments/{$spot}")
            ->assertOk()
            ->json();
    }

    /** @return array<string, mixed> */
    private function life(string $spot): array
    {
        return $this->compartment($spot)['life'];
    }

    /** @return array<string, mixed> */
    private function page(): array
    {
        return $this->getJson("/api/machines/{$this->machine}/compartments")->assertOk()->json();
    }

    /** @param  array<string, mixed>  $label */
    private function bottle(string $name, array $label): int
    {
        return $this->as(Role::Keeper)
            ->postJson('/api/supplies', ['name' => $name, 'label' => $label])
            ->assertCreated()
            ->json('id');
    }
}
