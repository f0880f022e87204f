<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use App\Shelf\Ready\CounterLink;
use App\Shelf\Ready\ReckonOrders;
use Core\Supply\Need\Preference;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Getting ready: what jobs need, lists that are gathered, and the link for the counter. Names and numbers are invented. */
final class ReadyTest extends WalkTestCase
{
    private const OIL = ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API CI-4']];

    private const RULES = [
        ['task' => 'Engine oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['months' => 6]],
        ['task' => 'Oil filter', 'kind' => 'replace', 'spots' => ['engine_oil_filter'], 'every' => ['months' => 6]],
        ['task' => 'Blades', 'kind' => 'inspect', 'spots' => ['blades'], 'every' => ['months' => 6]],
    ];

    /** @var array<string, int> by name */
    private array $machines = [];

    /** @var array<string, int> by name */
    private array $supplies = [];

    protected function setUp(): void
    {
        parent::setUp();
        foreach (['Heron', 'Teal'] as $name) {
            $this->machines[$name] = $this->machine(['name' => $name, 'rules' => self::RULES, 'began_on' => '2026-01-10', 'at' => '2026-01-10']);
            $this->sheetOf($this->machines[$name], 'engine_oil', [
                'capacities' => [['amount' => '1.8/2.0 L']],
                'specification' => ['kind' => 'engine_oil', 'grades' => [['grade' => '10W-30']], 'makers_own' => 'Wader Red'],
            ]);
            $this->sheetOf($this->machines[$name], 'engine_oil_filter', [
                'kind' => 'filter',
                'number' => 'WD 15',
                'seal' => 'WD 16 ring',
                'equivalents' => [
                    ['number' => 'Wyndle 9', 'will_do' => true],
                    ['number' => 'Wyndle 20', 'will_do' => false, 'because' => 'It is too short.'],
                ],
            ]);
            $this->sheetOf($this->machines[$name], 'engine_oil_drain', ['seal' => 'WD 12', 'tool' => '19 mm socket']);
        }
        $this->keep('Wader Red', ['label' => ['kind' => 'engine_oil', 'grade' => '10W-30', 'makers_own' => 'Wader Red'],
            'sold_in' => [['size' => '1 L', 'price' => '12'], ['size' => '4 L', 'price' => '40']], 'delivery_days' => 10]);
        $this->keep('Orchard', ['label' => self::OIL, 'sold_in' => [['size' => '5 L', 'price' => '30']]]);
        $this->keep('Filter', ['kind' => 'part', 'number' => 'WD 15', 'sold_in' => [['price' => '14']]]);
        $this->keep('Other filter', ['kind' => 'part', 'number' => 'Wyndle 9', 'sold_in' => [['price' => '9']]]);
        $this->keep('Short filter', ['kind' => 'part', 'number' => 'Wyndle 20', 'sold_in' => [['price' => '2']]]);
        $this->tell(null, 'bought', ['supply' => $this->supplies['Wader Red'], 'size' => '1 L', 'count' => 1])->assertCreated();
        $this->tell(null, 'bought', ['supply' => $this->supplies['Short filter'], 'count' => 5])->assertCreated();
    }

    public function test_one_list_for_all_that_is_due_by_a_day_each_thing_once_what_is_there_and_what_to_buy(): void
    {
        $needs = $this->needs(['until' => '2026-07-31']);

        self::assertSame(['Heron', 'Heron', 'Heron', 'Teal', 'Teal', 'Teal'], collect($needs['works'])->pluck('machine')->sort()->values()->all());
        self::assertSame([['Wader Red', '4 L (4.23 qt)', '1 L (1.06 qt)', '3 L (3.17 qt)', ['Heron, engine oil', 'Teal, engine oil']]], array_map(
            fn (array $one): array => [$one['name'], $one['amount']['display'], $one['have']['display'], $one['short']['display'], $one['for']],
            $needs['fluids'],
        ));
        self::assertSame(
            ['WD 12' => [2, 0, 2], 'WD 15' => [2, 0, 2], 'WD 16 ring' => [2, 0, 2]],
            array_map(
                fn (array $one): array => [$one['count'], $one['have'], $one['short']],
                collect($needs['parts'])->sortBy('number')->keyBy('number')->all(),
            ),
            'a filter that fits and will not do is not counted on',
        );
        self::assertSame(['19 mm socket' => 'Heron, engine oil drain; Teal, engine oil drain'], array_column($needs['tools'], 'for', 'tool'));
        self::assertSame([['3', '1 L', '36.00'], ['2', null, null], ['2', null, '28.00'], ['2', null, null]], array_map(
            fn (array $one): array => [(string) $one['count'], $one['size'], $one['cost']],
            $needs['to_buy'],
        ));
        self::assertSame(
            ['makers' => ['cost' => '64.00', 'unpriced' => 2], 'equivalents' => ['cost' => '48.00', 'unpriced' => 2]],
            $needs['costs'],
            '3 × 12 and 2 × 14; or 30 and 2 × 9',
        );
        self::assertSame([], $this->needs(['until' => '2026-06-30'])['works']);
        $ofTeal = $this->needs(['until' => '2026-07-31', 'machines' => [$this->machines['Teal']]])['works'];
        self::assertCount(3, $ofTeal);
        $rules = array_column($ofTeal, 'rule_id');
        $but = $this->needs(['until' => '2026-07-31', 'without' => [$rules[0]], 'rules' => [$rules[1]]])['works'];
        self::assertEqualsCanonicalizing(
            array_diff(array_column($needs['works'], 'rule_id'), [$rules[0]]),
            array_column($but, 'rule_id'),
            'what is chosen besides and due already is done once',
        );
    }

    public function test_equivalents_are_bought_where_somebody_prefers_them_and_the_makers_stays_where_there_is_none(): void
    {
        $needs = $this->needs(['until' => '2026-07-31', 'preference' => 'equivalents']);

        self::assertSame(['Orchard'], array_column($needs['fluids'], 'name'));
        self::assertSame(['Orchard', 'WD 12', 'Other filter', 'WD 16 ring'], array_column($needs['to_buy'], 'name'));
    }

    /** Row 6: a reused seal is counted and stands on the next list. Row 40: a rounded plug; a new one never bought. */
    public function test_a_seal_that_was_used_again_is_told_and_a_rounded_plug_comes_onto_the_list(): void
    {
        $this->tell($this->machines['Heron'], 'service', [
            'hours' => '5',
            'other' => [['spot' => 'engine_oil_drain', 'act' => 'closed', 'seal' => 'WD 12', 'reused' => true]],
        ])->assertCreated();
        $drain = $this->getJson("/api/machines/{$this->machines['Heron']}/spots/engine_oil_drain")->json('id');
        $needs = $this->needs(['until' => '2026-07-31', 'spots' => [$drain]]);
        $parts = collect($needs['parts'])->keyBy('number');

        self::assertSame('the old one was used again the last time', $parts['WD 12']['again']);
        self::assertSame(1, $parts['Engine oil drain of Heron']['count']);
        self::assertContains(
            'Heron: nobody has written down which part the engine oil drain is.',
            $needs['unknown'],
        );
        self::assertSame(2, $parts['WD 12']['count'], 'one washer for the plug, whether it is new or not');
    }

    /** Row 9: each spot by its own specification; nothing that is kept goes where it will not do. */
    public function test_what_nothing_on_the_shelf_will_do_for_is_said(): void
    {
        $this->sheetOf($this->machines['Teal'], 'engine_oil', [
            'capacities' => [['amount' => '2 L']],
            'specification' => ['kind' => 'engine_oil', 'grades' => [['grade' => '0W-20']]],
        ]);
        $needs = $this->needs(['until' => '2026-07-31', 'machines' => [$this->machines['Teal']]]);

        self::assertSame(['Teal, engine oil: nothing that is kept will do. It takes engine oil, 0W-20.'], $needs['unknown']);
        self::assertSame(['Engine oil, 0W-20', null, '2 L (2.11 qt)'], [
            $needs['to_buy'][0]['name'],
            $needs['to_buy'][0]['size'],
            $needs['to_buy'][0]['amount']['display'],
        ]);
    }

    public function test_a_list_stays_while_it_is_gathered_and_what_was_done_meanwhile_falls_off_it(): void
    {
        $works = $this->needs(['until' => '2026-07-31'])['works'];
        $list = $this->begin($works);
        self::assertSame([], $list['gathered']);
        $key = $list['parts'][0]['key'];
        $gather = fn (string $item, bool $got): TestResponse => $this->tell(
            null,
            'gather',
            ['list' => $list['id'], 'item' => $item, 'got' => $got],
        )->assertCreated();
        $first = $gather($key, true)->json('entry_id');
        self::assertSame($first, $gather('tool 19 mm socket', true)->json('entry_id'), 'one line of the book for a day\'s gathering');
        self::assertSame([$key, 'tool 19 mm socket'], $this->list($list['id'])['gathered']);
        $gather($key, false);
        self::assertSame(['tool 19 mm socket'], $this->list($list['id'])['gathered']);

        $this->tell($this->machines['Heron'], 'service', ['hours' => '5', 'tasks' => [$this->taskId($this->machines['Heron'])]])
            ->assertCreated();
        $after = $this->list($list['id']);
        self::assertSame(['Engine oil'], collect($after['works'])->where('is_done', true)->pluck('name')->all());
        self::assertSame('2 L (2.11 qt)', $after['fluids'][0]['amount']['display'], 'of the other machine alone');
        $this->tell(null, 'gather', ['list' => 999, 'item' => 'x', 'got' => true])->assertUnprocessable();
    }

    /** A phone without signal sends what was ticked later, and twice. */
    public function test_what_was_gathered_out_of_reach_arrives_once_and_in_its_own_order(): void
    {
        $list = $this->begin($this->needs(['until' => '2026-07-31'])['works']);
        $note = fn (string $at, bool $got): array => [
            'id' => (string) Str::uuid(),
            'kind' => 'gather',
            'at' => "2026-05-14T{$at}:00Z",
            'list' => $list['id'],
            'item' => 'tool 19 mm socket',
            'got' => $got,
        ];
        $notes = [$note('09:20', true), $note('09:10', false)];
        self::assertSame(['written', 'written'], array_column($this->send($notes), 'status'));
        self::assertSame(['already', 'already'], array_column($this->send($notes), 'status'));

        self::assertSame(['tool 19 mm socket'], $this->list($list['id'])['gathered'], 'it was got after it had been put back');
    }

    public function test_a_list_is_changed_as_seen_carried_as_a_table_and_closed(): void
    {
        $list = $this->begin($this->needs(['until' => '2026-07-31'])['works']);
        $change = fn (int $version, array $change): TestResponse => $this->patchJson(
            "/api/lists/{$list['id']}",
            $change,
            ['If-Match' => "\"{$version}\""],
        );
        $this->postJson("/api/lists/{$list['id']}/things", ['name' => 'Rags', 'count' => 2])->assertCreated();
        $change(1, ['preference' => 'equivalents'])->assertOk()->assertJsonPath('fluids.0.name', 'Orchard');
        $change(1, ['name' => 'Other'])->assertStatus(412);
        $csv = (string) $this->get("/api/lists/{$list['id']}/list.csv")->assertOk()->getContent();
        $rows = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim($csv)));
        self::assertSame(['what', 'name', 'number or size'], array_slice($rows[0], 0, 3));
        self::assertContains(['buy', 'Orchard', '5 L', '', '', '1', '30.00', '', ''], $rows);
        self::assertContains(['buy', 'Rags', '', '', '', '2', '', 'put on the list by hand', ''], $rows);
        $thing = $this->list($list['id'])['wanted'][0]['id'];
        $this->deleteJson("/api/lists/{$list['id']}/things/{$thing}")->assertOk()->assertJsonPath('wanted', []);
        $change(2, ['is_closed' => true])->assertOk();
        self::assertSame([], $this->getJson('/api/lists')->json('lists'));
        $this->postJson('/api/lists', ['name' => 'Nothing'])->assertUnprocessable()
            ->assertJsonPath('errors.rules.0', 'Choose at least one job.');
    }

    public function test_the_link_at_the_counter_shows_what_is_to_be_bought_and_nothing_else_until_it_ends_or_is_taken_back(): void
    {
        $list = $this->begin($this->needs(['until' => '2026-07-31'])['works']);
        $open = fn (): array => $this->postJson("/api/lists/{$list['id']}/links")->assertCreated()->json();
        [$first, $second] = [$open(), $open()];
        self::assertSame(16, strlen((string) base64_decode(strtr(basename($first['path']), '-_', '+/'))), '128 random bits');
        self::assertNotSame($first['path'], $second['path']);
        $read = function (string $path): TestResponse {
            $this->app['auth']->forgetGuards();
            $this->flushSession();

            return $this->getJson("/api{$path}");
        };
        $told = $read($first['path'])->assertOk();
        self::assertEqualsCanonicalizing(['name', 'for_day', 'yard', 'ends_at', 'to_buy', 'wanted'], array_keys($told->json()));
        self::assertEqualsCanonicalizing(
            ['key', 'name', 'number', 'size', 'count', 'amount'],
            array_keys($told->json('to_buy.0')),
            'no prices, no machines',
        );
        self::assertSame('noindex, nofollow', $told->headers->get('X-Robots-Tag'));
        self::assertSame(0, CounterLink::query()->where('token', basename($first['path']))->count(), 'kept encrypted');
        $this->getJson('/api/lists')->assertUnauthorized();
        $this->as(Role::Keeper)->deleteJson("/api/lists/{$list['id']}/links/{$first['id']}")->assertNoContent();
        $read($first['path'])->assertNotFound();
        $this->travel(14)->days();
        $read($second['path'])->assertNotFound();
    }

    public function test_in_a_large_yard_nobody_waits_for_the_orders_to_be_reckoned(): void
    {
        DB::table('machines')->insert(array_map(
            fn (int $number): array => ['name' => "Filler {$number}", 'class' => 'generator', 'place' => 'Field', 'history' => 'known'],
            range(1, 150),
        ));
        Queue::fake();
        $ask = fn (): array => $this->getJson('/api/shelf/orders')->assertOk()->json();

        self::assertSame([true, []], [$ask()['is_behind'], $ask()['orders']]);
        Queue::assertPushed(ReckonOrders::class);
        $this->app->call([new ReckonOrders(Preference::Makers), 'handle']);
        $this->forgetRequest();
        $known = $ask();
        self::assertFalse($known['is_behind']);
        self::assertNotSame([], $known['orders']);

        $this->postJson('/api/supplies', ['kind' => 'part', 'name' => 'Ring', 'number' => 'WD 38'])->assertCreated();
        self::assertSame([true, $known['orders']], [$ask()['is_behind'], $ask()['orders']], 'what was reckoned last is shown meanwhile');
    }

    public function test_what_to_order_for_three_months_and_by_when_it_must_be_ordered_to_be_here(): void
    {
        $orders = $this->getJson('/api/shelf/orders')->assertOk()->json();
        self::assertSame('2026-08-14', $orders['until']);
        $byName = collect($orders['orders'])->keyBy('name');
        self::assertSame(['2026-06-30', false, 3], [
            $byName['Wader Red']['order_by'],
            $byName['Wader Red']['is_now'],
            $byName['Wader Red']['count'],
        ], 'due on 10 July, and ten days on its way');
        self::assertNull($byName['WD 12']['order_by']);
        self::assertStringContainsString('nobody has written down how long it takes', $byName['WD 12']['why']);
    }

    /** @param  array<string, mixed>  $asked */
    private function needs(array $asked): array
    {
        return $this->as(Role::Keeper)->getJson('/api/needs?'.http_build_query($asked))->assertOk()->json();
    }

    /**
     * @param  list<array<string, mixed>>  $works
     * @return array<string, mixed>
     */
    private function begin(array $works): array
    {
        return $this->postJson('/api/lists', ['name' => 'Thursday', 'rules' => array_column($works, 'rule_id')])
            ->assertCreated()->json();
    }

    /** @return array<string, mixed> */
    private function list(int $id): array
    {
        return $this->getJson("/api/lists/{$id}")->assertOk()->json();
    }

    /** @param  array<string, mixed>  $given */
    private function keep(string $name, array $given): void
    {
        $this->supplies[$name] = $this->as(Role::Keeper)->postJson('/api/supplies', ['name' => $name, ...$given])
            ->assertCreated()->json('id');
    }
}
