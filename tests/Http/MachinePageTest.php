<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\People\Role;

/** What a machine's sheet and its history say. */
final class MachinePageTest extends TestCase
{
    public function test_the_sheet_says_what_to_set_on_the_machines_own_countdown(): void
    {
        $machine = $this->machine(
            [
                'rules' => [
                    ['task' => 'Oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '50']],
                ],
            ],
        );
        $this->log($machine, '31.2', ['at' => '2026-05-10']);
        $countdown = $this->sheet($machine)['countdown'];
        self::assertSame(
            ['18.8', '18', '49.2', false],
            [$countdown['remaining'], $countdown['set'], $countdown['rings_at'], $countdown['past']],
        );

        $this->patchJson("/api/machines/{$machine}", ['countdown_step' => '5'], ['If-Match' => '"1"'])->assertOk();
        self::assertSame('15', $this->sheet($machine)['countdown']['set']);
        $this->log($machine, '52', ['at' => '2026-05-12']);
        self::assertTrue($this->sheet($machine)['countdown']['past']);
    }

    public function test_rules_stand_most_urgent_first_each_with_its_reason_and_cautions(): void
    {
        $machine = $this->machine(['class' => 'generator', 'rules' => [
            ['task' => 'Coolant', 'kind' => 'replace', 'spots' => ['coolant'], 'every' => ['months' => 24]],
            ['task' => 'Fuel filter', 'kind' => 'replace', 'spots' => ['fuel_filter'], 'every' => ['hours' => 30]],
            [
                'task' => 'Engine oil',
                'kind' => 'replace',
                'spots' => ['engine_oil'],
                'every' => ['hours' => 20],
                'first' => [['hours' => 5]],
                'book' => ['hours' => 25],
                'source' => 'keeper',
            ],
        ]]);
        $this->log($machine, '28', ['at' => '2026-05-10']);
        $rules = $this->sheet($machine)['rules'];

        self::assertSame(['Engine oil', 'Fuel filter', 'Coolant'], array_column($rules, 'task'));
        self::assertSame(
            ['past', 'nearing', 'fresh'],
            array_map(fn (array $rule): string => $rule['standing']['state'], $rules),
        );
        self::assertSame(
            'Due at 5 h for the first time, counted from 0 h. Past by 23 h, allowed 0.5 h.',
            $rules[0]['standing']['why'],
        );
        self::assertSame([], $rules[0]['standing']['notes'], 'tighter than the book is fine');
        self::assertStringContainsString('No flame', implode(' ', $rules[1]['cautions']));
        self::assertStringContainsString('licensed electrician', implode(' ', $rules[2]['cautions']));
        foreach (['Park level', 'brake on', 'implement down', 'key out', 'chocked', 'manual wins'] as $words) {
            self::assertStringContainsString($words, $this->sheet($machine)['before_any_work'], 'handbook, section 6');
        }
    }

    public function test_the_history_pages_by_cursor_newest_first_and_by_kind(): void
    {
        $machine = $this->machine();
        foreach (['2026-05-03' => '4', '2026-05-06' => '9', '2026-05-09' => '15'] as $day => $hours) {
            $this->log($machine, $hours, ['at' => $day]);
        }
        $this->tell($machine, 'service', ['tasks' => [$this->taskId($machine)], 'hours' => '16', 'at' => '2026-05-10']);
        $seen = [];
        $cursor = '';
        do {
            $page = $this->getJson("/api/machines/{$machine}/entries?limit=2{$cursor}")->assertOk();
            $seen = [...$seen, ...array_column($page->json('data'), 'in_words')];
            $cursor = '&cursor='.$page->json('next_cursor');
        } while ($page->json('next_cursor') !== null);

        self::assertSame(['At 16 h: engine oil replaced', '15 h', '9 h', '4 h'], array_slice($seen, 0, 4));
        self::assertSame(['Entered in the book at 0 h'], array_slice($seen, 4));
        self::assertCount(1, $this->getJson("/api/machines/{$machine}/entries?kind=service")->json('data'));
        $this->getJson("/api/machines/{$machine}/entries?kind=gossip")->assertUnprocessable();
    }

    public function test_a_struck_entry_counts_for_nothing_and_stays(): void
    {
        $machine = $this->machine();
        $this->log($machine, '20', ['at' => '2026-05-05']);
        $wrong = $this->log($machine, '96', ['at' => '2026-05-12'])->json('entry.id');
        self::assertSame('nearing', $this->sheet($machine)['line']['state']);

        $line = $this->tellOf($wrong, 'strike', ['because' => 'Wrong machine'])->assertCreated()->json('line');
        self::assertSame(['fresh', '20'], [$line['state'], $line['rail']['now']]);
        self::assertSame(1, Entry::query()->whereKey($wrong)->whereNotNull('struck_at')->count());
        $this->tellOf($wrong, 'correction', ['because' => 'again', 'value' => '21'])->assertConflict();
        $this->tellOf($wrong, 'strike', ['because' => ''])->assertUnprocessable();
    }

    public function test_striking_a_lift_stands_the_machine_down_again(): void
    {
        $machine = $this->machine();
        $this->tell($machine, 'stand_down', ['note' => 'Fuel leak']);
        $this->travel(1)->minutes();
        $lift = $this->lift($machine, ['note' => 'Hose replaced'])->json('entry.id');
        self::assertSame(
            'stood_down',
            $this->tellOf($lift, 'strike', ['because' => 'It drips still'])->json('line.state'),
        );
    }

    public function test_entries_that_only_tell_of_a_change_are_not_struck(): void
    {
        $machine = $this->machine();
        $entered = $this->getJson("/api/machines/{$machine}/entries?kind=machine_added")->json('data.0');

        self::assertFalse($entered['may_strike']);
        $this->tellOf($entered['id'], 'strike', ['because' => 'no'])->assertConflict();
        $this->tellOf($entered['id'], 'correction', ['because' => 'no'])->assertConflict();
    }

    public function test_a_late_service_counts_where_it_belongs(): void
    {
        $machine = $this->machine();
        $this->log($machine, '98', ['at' => '2026-05-12']);
        $line = $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->taskId($machine)], 'hours' => '92.5', 'at' => '2026-05-10'],
        )
            ->assertCreated()
            ->json('line');

        self::assertSame(
            ['98', 'fresh', '192.5'],
            [$line['rail']['now'], $line['state'], $line['rail']['stakes'][0]['at']],
        );
        $this->tell($machine, 'service', ['tasks' => [$this->taskId($machine)], 'hours' => '110', 'at' => '2026-05-11'])
            ->assertStatus(409)
            ->assertJsonStructure(['errors' => ['hours']]);
        self::assertSame(
            1,
            Entry::query()->where(['machine_id' => $machine, 'kind' => EntryKind::Service])->count(),
            'the refused one left nothing',
        );
    }

    public function test_the_log_line_knows_days_meters_and_who_may(): void
    {
        $machine = $this->machine(
            [
                'name' => 'Little Grebe',
                'class' => 'utility_vehicle',
                'meters' => [['unit' => 'h', 'value' => '10'], ['unit' => 'km', 'value' => '100']],
                'rules' => [],
            ],
        );
        $this->tell(null, 'line', ['text' => 'little grebe 180 km yesterday'])
            ->assertCreated()
            ->assertJsonPath('entry.readings.0.unit', 'km')
            ->assertJsonPath('entry.day_only', true);
        $this->tell(null, 'line', ['text' => 'little 12'])
            ->assertCreated()
            ->assertJsonPath('entry.readings.0.unit', 'h');
        $this->tell(null, 'line', ['text' => 'little 300 mi'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.text.0', 'Little Grebe\'s meter counts km.');
        $this->tell(null, 'line', ['text' => 'little 13 2026-05-20'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.text.0', '"2026-05-20" is 20 May 2026, which has not come yet.');
        $this->postJson('/api/log-line/preview', ['text' => 'little 13 2026-05-20'])
            ->assertOk()
            ->assertJson(['understood' => false, 'sentence' => '"2026-05-20" is 20 May 2026, which has not come yet.']);
        self::assertSame(['12', '180'], array_column($this->sheet($machine)['line']['meters'], 'value'));
        $this->as(Role::Reader)->postJson('/api/log-line/preview', ['text' => 'little 14'])->assertForbidden();
    }

    public function test_the_rail_names_what_falls_due_together(): void
    {
        $machine = $this->machine(['class' => 'tractor', 'rules' => [
            [
                'task' => 'Engine oil',
                'kind' => 'replace',
                'spots' => ['engine_oil'],
                'every' => ['hours' => 100],
            ], [
                'task' => 'Air cleaner',
                'kind' => 'clean',
                'spots' => ['air_cleaner'],
                'every' => ['hours' => 50],
            ], ['task' => 'Coolant', 'kind' => 'replace', 'spots' => ['coolant'], 'every' => ['months' => 1]]]]);
        $this->log($machine, '14', ['at' => '2026-05-08']);
        $stakes = collect($this->sheet($machine)['line']['rail']['stakes']);

        self::assertSame(
            ['50 h, air cleaner', '100 h, engine oil and 1 more'],
            $stakes->where('by_date', false)->take(2)->pluck('label')->all(),
        );
        $byDate = $stakes->firstWhere('by_date', true);
        self::assertSame(['1 month, coolant', '2026-06-01'], [$byDate['label'], $byDate['when']['p50']]);
        self::assertTrue($stakes->where('at', '150')->first()['again']);
    }
}
