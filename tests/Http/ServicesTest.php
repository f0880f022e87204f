<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use Illuminate\Support\Str;

final class ServicesTest extends TestCase
{
    public function test_a_service_moves_the_stake_and_undoing_it_puts_it_back(): void
    {
        $machine = $this->machine();
        $this->log($machine, '97');
        $done = $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->taskId($machine)], 'hours' => '98.5', 'note' => 'Oil black'],
        )
            ->assertCreated()
            ->json();

        self::assertSame(['fresh', '198.5'], [$done['line']['state'], $done['line']['rail']['stakes'][0]['at']]);
        self::assertSame('At 98.5 h: engine oil replaced', $done['entry']['in_words']);
        self::assertSame(
            '98.5',
            $done['line']['meters'][0]['value'],
            'what the meter showed at the service is a reading too',
        );

        $line = $this->tellOf($done['entry']['id'], 'strike', ['because' => 'Taken back at once.'])
            ->assertCreated()
            ->json('line');
        self::assertSame(
            ['nearing', '100', '97'],
            [$line['state'], $line['rail']['stakes'][0]['at'], $line['meters'][0]['value']],
        );
    }

    public function test_a_correction_strikes_the_entry_and_leaves_it_readable_beside_the_right_one(): void
    {
        $machine = $this->machine();
        $this->log($machine, '97');
        $wrong = $this->tell(
            $machine,
            'service',
            ['tasks' => [$this->taskId($machine)], 'hours' => '98.5'],
        )->json('entry.id');
        $right = $this->tellOf(
            $wrong,
            'correction',
            ['because' => 'Misread', 'tasks' => [$this->taskId($machine)], 'hours' => '97.5'],
        )
            ->assertCreated()
            ->json();

        self::assertSame(
            [$wrong, '197.5'],
            [$right['entry']['corrects_id'], $right['line']['rail']['stakes'][0]['at']],
        );
        $history = collect($this->getJson("/api/machines/{$machine}/entries")->json('data'))->keyBy('id');
        self::assertSame(
            ['Misread', 'Keeper'],
            [$history[$wrong]['struck']['because'], $history[$wrong]['struck']['by']],
        );
        self::assertSame('At 98.5 h: engine oil replaced', $history[$wrong]['in_words']);
        self::assertNull($history[$right['entry']['id']]['struck']);
        $this->tellOf($wrong, 'strike', ['because' => 'again'])->assertConflict();
    }

    public function test_a_reading_is_corrected_with_the_time_it_was_taken(): void
    {
        $machine = $this->machine();
        $wrong = $this->log($machine, '40', ['at' => '2026-05-08'])->json('entry.id');
        $right = $this->tellOf($wrong, 'correction', ['because' => 'Read off the neighbour', 'hours' => '14,0'])
            ->assertCreated()
            ->json('entry');

        self::assertSame(
            ['2026-05-08', true, '14'],
            [substr($right['happened_at'], 0, 10), $right['day_only'], $right['readings'][0]['value']],
        );
        self::assertSame('14', $this->sheet($machine)['line']['meters'][0]['value']);
    }

    public function test_a_vehicle_with_two_meters_needs_both(): void
    {
        $machine = $this->machine(['class' => 'utility_vehicle', 'meters' => [
            ['unit' => 'h', 'value' => '10'],
            ['unit' => 'km', 'value' => '100'],
        ],
            'rules' => [
                [
                    'task' => 'Air cleaner',
                    'kind' => 'inspect',
                    'spots' => ['air_cleaner'],
                    'every' => ['hours' => '25', 'km' => '400'],
                ],
            ]]);
        $task = $this->taskId($machine);

        $this->tell($machine, 'service', ['tasks' => [$task], 'hours' => '11'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.distance.0', 'This is missing.');
        $line = $this->tell($machine, 'service', ['tasks' => [$task], 'hours' => '11', 'distance' => '120'])
            ->assertCreated()
            ->json('line');
        self::assertSame(
            ['36', 'At 11 h, 120 km: air cleaner inspected'],
            [$line['rail']['stakes'][0]['at'], $this->getJson('/api/entries')->json('data.0.in_words')],
        );
    }

    public function test_a_service_at_which_nobody_read_the_meter_stands_at_what_it_showed_then(): void
    {
        $machine = $this->machine();
        $this->log($machine, '40')->assertCreated();
        $service = ['id' => (string) Str::uuid(), 'kind' => 'service', 'at' => '2026-05-14T11:30:00Z', 'machine_id' => $machine];
        $service += ['tasks' => [$this->taskId($machine)], 'hours' => null];
        $hours = ['id' => (string) Str::uuid(), 'kind' => 'reading', 'at' => '2026-05-14T11:00:00Z', 'machine_id' => $machine, 'value' => '45', 'meter' => 'hours'];
        $this->travelTo('2026-05-14T12:00:00Z');
        // Both were told without signal; the phone had known nothing of the 45 h.
        $results = $this->postJson('/api/notes', ['notes' => [$hours, $service]])->assertOk()->json('results');

        self::assertSame(['written', 'written'], array_column($results, 'status'));
        self::assertEquals('145', $this->sheet($machine)['rules'][0]['standing']['due']['hours']);
        self::assertSame('45', $this->sheet($machine)['line']['meters'][0]['value']);
    }

    public function test_a_task_of_another_machine_is_refused(): void
    {
        $machine = $this->machine();
        $other = $this->machine(['name' => 'Teal']);

        $this->tell($machine, 'service', ['tasks' => [$this->taskId($other)], 'hours' => '5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['tasks']]);
    }

    public function test_a_stood_down_machine_says_so_until_somebody_lifts_it_with_a_reason(): void
    {
        $machine = $this->machine();
        $line = $this->as(Role::Operator)
            ->tell($machine, 'stand_down', ['note' => 'Seat switch dead'])
            ->assertCreated()
            ->json('line');
        self::assertSame(
            ['stood_down', 'Seat switch dead', 'Operator'],
            [$line['state'], $line['stood_down']['because'], $line['stood_down']['by']],
        );

        $this->lift($machine, ['note' => 'looks fine'])->assertForbidden();
        $this->as(Role::Mechanic);
        $this->lift($machine, ['note' => ' '])
            ->assertUnprocessable()
            ->assertJsonPath('errors.note.0', 'Say why it may be used again.');
        $this->tell($machine, 'lift', ['note' => 'Switch replaced'])
            ->assertJsonPath('errors.lifts.0', 'Say which of the words that stand it down are lifted.');
        self::assertSame(
            'fresh',
            $this->lift($machine, ['note' => 'Switch replaced'])->assertCreated()->json('line.state'),
        );
        $this->lift($machine, ['note' => 'again', 'lifts' => [$line['stood_down']['words'][0]['id']]])
            ->assertConflict()
            ->assertJsonPath('detail', 'Heron is not stood down.');
        $this->lift($machine, ['note' => 'again', 'lifts' => [(string) Str::uuid()]])
            ->assertJsonPath('errors', ['lifts.0' => ['That does not stand Heron down.']]);
    }

    public function test_a_used_machine_with_no_past_is_unknown_until_something_is_done(): void
    {
        $machine = $this->machine(['history' => 'unknown', 'meters' => [
            ['unit' => 'h', 'value' => '2306.4'],
        ], 'rules' => [
            ['task' => 'Engine oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => 100]], [
                'task' => 'Fuel filter',
                'kind' => 'replace',
                'spots' => ['fuel_filter'],
                'every' => ['hours' => 400],
            ]]]);
        self::assertSame(
            ['unknown', '2 tasks have no history. Say when each was last done, or do it now.'],
            array_values(array_intersect_key($this->sheet($machine)['line'], ['state' => 1, 'why' => 1])),
        );

        $tasks = array_column($this->sheet($machine)['rules'], 'task_id');
        $this->tell($machine, 'service', ['tasks' => $tasks, 'hours' => '2306.4'])->assertCreated();
        self::assertSame('fresh', $this->sheet($machine)['line']['state']);
    }

    public function test_a_machine_with_a_known_past_is_counted_from_it(): void
    {
        $machine = $this->machine(['class' => 'tractor', 'history' => 'known', 'meters' => [
            ['unit' => 'h', 'value' => '812'],
        ], 'rules' => [
            [
                'task' => 'Engine oil',
                'kind' => 'replace',
                'spots' => ['engine_oil'],
                'every' => ['hours' => 100],
                'counts_from' => 'last_done',
                'last_done' => ['date' => '2026-02-03', 'hours' => '790'],
            ],
            [
                'task' => 'Coolant',
                'kind' => 'replace',
                'spots' => ['coolant'],
                'every' => ['months' => 24],
                'counts_from' => 'last_done',
                'last_done' => ['date' => '2025-01-10'],
            ],
            [
                'task' => 'Fuel filter',
                'kind' => 'replace',
                'spots' => ['fuel_filter'],
                'every' => ['hours' => 400],
                'counts_from' => 'unknown',
            ],
        ]]);
        $due = collect($this->sheet($machine)['rules'])->mapWithKeys(
            fn (array $rule): array => [
                $rule['task'] => $rule['standing']['due']['hours']
                    ?? $rule['standing']['due']['date']
                    ?? $rule['standing']['state'],
            ],
        );

        self::assertEquals(['Engine oil' => 890, 'Coolant' => '2027-01-10', 'Fuel filter' => 'unknown'], $due->all());
        self::assertStringContainsString(
            'Taken over',
            json_encode($this->getJson("/api/machines/{$machine}/entries")->json()) ?: '',
        );
    }
}
