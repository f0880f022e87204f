<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Entry;
use App\Machines\Yard;
use App\People\Role;
use App\Yard\YardLine;

final class ReadingsTest extends TestCase
{
    public function test_logging_hours_moves_the_notch_and_the_standing(): void
    {
        $machine = $this->machine();

        $line = $this->log($machine, '95,5', ['note' => 'orchard done'])->assertCreated()->json('line');

        self::assertSame(
            ['95.5', 'nearing', '95.5'],
            [$line['meters'][0]['value'], $line['state'], $line['rail']['now']],
        );
        self::assertSame(
            'Engine oil: due at 100 h, 100 h after 0 h, its beginning. 4.5 h left, inside the early window.',
            preg_replace('/ At .*/', '', $line['why']),
        );
        self::assertSame(
            '95,5',
            $this->getJson("/api/machines/{$machine}/entries")->json('data.0.readings.0.typed'),
            'what was typed is kept',
        );
    }

    public function test_an_implausible_reading_is_asked_about_and_can_be_confirmed_with_a_reason(): void
    {
        $machine = $this->machine();
        $this->log($machine, '24.6', ['at' => '2026-05-08'])->assertCreated();

        $this->log($machine, '412.6')
            ->assertStatus(409)
            ->assertJson(['type' => '/problems/implausible-reading', 'kind' => 'too_fast', 'typed' => '412.6', 'suggestions' => ['41.6', '42.6'],
                'detail' => '412.6 is 388 h more than 24.6 on 8 May 2026, within 7 days; at most 24 h can be gained in a day. Did you mean 41.6 or 42.6?']);
        self::assertSame('24.6', $this->sheet($machine)['line']['meters'][0]['value'], 'nothing was written');
        $this->log($machine, '412.6', ['confirmed_because' => ' '])->assertStatus(409);

        $entry = $this->log($machine, '412.6', ['confirmed_because' => 'It ran through the storm'])
            ->assertCreated()
            ->json('entry');
        self::assertSame('It ran through the storm', $entry['confirmed_because']);
    }

    public function test_a_lower_reading_asks_whether_the_meter_was_replaced(): void
    {
        $machine = $this->machine();
        $this->log($machine, '90');

        $this->log($machine, '0.2')
            ->assertStatus(409)
            ->assertJson(['kind' => 'lower'])
            ->assertJsonFragment(
                [
                    'detail' => '0.2 is 89.8 h less than 90 on 14 May 2026: a slip, or a new meter. Did you mean 90.2, or was the meter replaced?',
                ],
            );
    }

    public function test_late_readings_leave_the_same_state_as_if_they_had_come_in_order(): void
    {
        $days = ['2026-05-03' => '12', '2026-05-05' => '21.5', '2026-05-09' => '60', '2026-05-12' => '88.2'];
        $outcomes = [];
        foreach ([array_keys($days), array_reverse(array_keys($days)), ['2026-05-09', '2026-05-03', '2026-05-12', '2026-05-05']] as $index => $order) {
            $machine = $this->machine(['name' => "Heron {$index}"]);
            foreach ($order as $day) {
                $this->log($machine, $days[$day], ['at' => $day])->assertCreated();
            }
            $line = $this->sheet($machine)['line'];
            $outcomes[] = [
                $line['state'],
                $line['why'],
                $line['per_week'],
                $line['rail']['now'],
                $line['meters'][0]['value'],
            ];
        }

        self::assertSame($outcomes[0], $outcomes[1]);
        self::assertSame($outcomes[0], $outcomes[2]);
    }

    public function test_a_late_reading_is_also_held_against_the_one_after_it(): void
    {
        $machine = $this->machine();
        $this->log($machine, '40', ['at' => '2026-05-10']);

        $this->log($machine, '55', ['at' => '2026-05-05'])->assertStatus(409)->assertJson(['kind' => 'lower']);
    }

    public function test_a_replaced_meter_keeps_the_machines_hours_going(): void
    {
        $machine = $this->machine();
        $this->log($machine, '90');
        $this->travel(1)->hours();
        $this->tell(
            $machine,
            'meter',
            ['meter' => 'hours', 'old_value' => '92.4', 'new_value' => '0.5', 'note' => 'old one went dark'],
        )->assertCreated();
        $this->travel(1)->days();
        $line = $this->log($machine, '6')->assertCreated()->json('line');

        self::assertSame(
            ['6', '97.9', '97.9'],
            [$line['meters'][0]['value'], $line['meters'][0]['run'], $line['rail']['now']],
        );
        self::assertSame('nearing', $line['state']);
        self::assertCount(2, $this->sheet($machine)['meters']);
        self::assertSame(
            '2',
            $this->sheet($machine)['countdown']['set'],
            '102.1 left on the new meter would be wrong; 100 h run is 8.1 on it',
        );
    }

    public function test_a_meter_is_not_replaced_before_it_was_fitted_nor_where_there_is_none(): void
    {
        $machine = $this->machine();
        $this->log($machine, '20', ['at' => '2026-05-05']);
        $this->log($machine, '60', ['at' => '2026-05-12']);
        $replace = fn (array $given) => $this->tell(
            $machine,
            'meter',
            ['meter' => 'hours', 'new_value' => '0', ...$given],
        );
        $replace(['at' => '2026-05-13'])->assertCreated();

        $replace(['at' => '2026-05-10'])->assertUnprocessable()->assertJsonPath(
            'errors.at.0',
            'The meter on the machine was fitted later than that.',
        );
        $replace(['meter' => 'distance'])->assertUnprocessable()->assertJsonPath(
            'errors.new_value.0',
            'Heron has no such meter to replace.',
        );
        $replace(['old_value' => '900'])->assertStatus(409)->assertJsonStructure(['errors' => ['old_value']]);
        self::assertCount(2, $this->sheet($machine)['meters'], 'what was refused left nothing');

        $line = $replace(['run' => '75', 'new_value' => '3'])->assertCreated()->json('line');
        self::assertSame(
            ['3', '75'],
            [$line['meters'][0]['value'], $line['meters'][0]['run']],
            'the old one had stopped; the machine had really run 75 h',
        );
    }

    public function test_striking_the_change_of_meters_puts_the_old_one_back_unless_the_new_one_has_been_read(): void
    {
        $machine = $this->machine();
        $this->log($machine, '90');
        $this->travel(1)->hours();
        $change = $this->tell($machine, 'meter', ['meter' => 'hours', 'new_value' => '0'])->json('entry.id');
        $this->travel(1)->hours();
        $reading = $this->log($machine, '1')->json('entry.id');

        $this->tellOf($change, 'strike', ['because' => 'wrong machine'])->assertConflict();
        $this->tellOf($reading, 'strike', ['because' => 'wrong machine'])->assertCreated();
        $line = $this->tellOf($change, 'strike', ['because' => 'wrong machine'])->assertCreated()->json('line');
        self::assertSame(['90', '90'], [$line['meters'][0]['value'], $line['rail']['now']]);
    }

    public function test_miles_stay_miles(): void
    {
        $machine = $this->machine(
            [
                'class' => 'small_truck',
                'meters' => [['unit' => 'mi', 'value' => '0']],
                'rules' => [
                    [
                        'task' => 'Engine oil',
                        'kind' => 'replace',
                        'spots' => ['engine_oil'],
                        'every' => ['mi' => '5,000'],
                    ],
                ],
            ],
        );
        $line = $this->log($machine, '4,900', ['confirmed_because' => 'a long tour'])->assertCreated()->json('line');

        self::assertSame(
            ['mi', '4900', '4900', 'nearing'],
            [$line['rail']['unit'], $line['rail']['now'], $line['meters'][0]['value'], $line['state']],
        );
        self::assertStringContainsString('due at 5,000 mi, 5,000 mi after 0 mi', $line['why']);
        self::assertSame('5,000 mi, engine oil', $line['rail']['stakes'][0]['label']);
    }

    public function test_the_log_line_tells_what_it_will_do_and_does_it(): void
    {
        $machine = $this->machine();
        $this->log($machine, '24.6', ['at' => '2026-05-08']);

        $this->postJson('/api/log-line/preview', ['text' => 'heron 31'])->assertJson(
            [
                'understood' => true,
                'asks' => false,
                'machine_id' => $machine,
                'sentence' => 'Heron at 31 h. 31 is 6.4 h more than 24.6 on 8 May 2026.',
            ],
        );
        $this->postJson('/api/log-line/preview', ['text' => 'heron 412.6'])->assertJson(
            ['asks' => true, 'suggestions' => ['heron 41.6', 'heron 42.6']],
        );
        $this->postJson('/api/log-line/preview', ['text' => 'hreon 31'])->assertJson(
            ['understood' => false, 'suggestions' => ['heron 31']],
        );
        $this->postJson('/api/log-line/preview', ['text' => ''])->assertJson(['understood' => false]);
        self::assertSame('24.6', $this->sheet($machine)['line']['meters'][0]['value'], 'a preview writes nothing');

        $this->tell(null, 'line', ['text' => 'heron +6.4'])
            ->assertCreated()
            ->assertJson(
                ['line' => ['meters' => [['value' => '31']]], 'entry' => ['readings' => [['typed' => '+6.4']]]],
            );
        $this->tell(null, 'line', ['text' => 'heron 900'])->assertStatus(409);
        $this->tell(null, 'line', ['text' => 'ostrich 3'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.text.0', 'No machine of this yard is named in "ostrich 3".');
        $this->as(Role::Reader)->tell(null, 'line', ['text' => 'heron 32'])->assertForbidden();
    }

    public function test_hours_and_kilometres_in_one_line_are_one_entry_that_is_struck_and_corrected_whole(): void
    {
        $machine = $this->machine(
            [
                'name' => 'Wren',
                'class' => 'utility_vehicle',
                'meters' => [['unit' => 'h', 'value' => '10'], ['unit' => 'km', 'value' => '100']],
                'rules' => [],
            ],
        );
        $preview = $this->postJson('/api/log-line/preview', ['text' => 'wren 180 km 12.5 h'])
            ->assertOk()
            ->json('sentence');
        self::assertStringStartsWith('Wren at 180 km, 12.5 h. ', $preview);
        $entry = $this->tell(null, 'line', ['text' => 'wren 180 km 12.5 h'])->assertCreated()->json('entry');
        self::assertSame(
            [['180', 'km'], ['12.5', 'h']],
            array_map(fn (array $reading): array => [$reading['value'], $reading['unit']], $entry['readings']),
        );
        self::assertSame('180 km, 12.5 h', $entry['in_words']);

        $right = $this->tellOf($entry['id'], 'correction', ['because' => 'A slip.', 'distance' => '170'])
            ->assertCreated()
            ->json('entry');
        self::assertSame('170 km, 12.5 h', $right['in_words']);
        $this->tellOf($right['id'], 'strike', ['because' => 'Wrong machine.'])->assertCreated();
        self::assertSame(['10', '100'], array_column($this->sheet($machine)['line']['meters'], 'value'));
    }

    public function test_a_value_that_can_be_read_two_ways_is_asked_about_and_keeps_its_day(): void
    {
        $machine = $this->machine(['at' => '2025-05-01', 'began_on' => '2025-05-01']);
        $this->postJson('/api/log-line/preview', ['text' => 'heron 1.204 yesterday'])
            ->assertOk()
            ->assertJson(['understood' => false, 'suggestions' => ['heron 1204 yesterday', 'heron 1.2 yesterday']]);
        $this->tell(null, 'line', ['text' => 'heron 1.204'])->assertUnprocessable();
        $this->log($machine, '1.204')
            ->assertUnprocessable()
            ->assertJsonPath('errors.value.0', '"1.204" can be read two ways. Write 1204 or 1.2040.');
        $this->log($machine, '1,204')->assertCreated()->assertJsonPath('entry.readings.0.value', '1204');
    }

    public function test_a_suggestion_keeps_the_day_that_was_typed(): void
    {
        $machine = $this->machine();
        $this->log($machine, '40.5', ['at' => '2026-05-08'])->assertCreated();

        $this->postJson('/api/log-line/preview', ['text' => 'heron 445 yesterday'])->assertJson(
            ['asks' => true, 'suggestions' => ['heron 44.5 yesterday']],
        );
    }

    public function test_a_gain_far_above_what_is_usual_is_written_and_asked_about_softly(): void
    {
        $machine = $this->machine();
        foreach (['2026-05-03' => '2', '2026-05-06' => '4', '2026-05-10' => '6'] as $day => $value) {
            self::assertNull($this->log($machine, $value, ['at' => $day])->assertCreated()->json('entry.doubts.0.asks'));
        }

        self::assertSame(
            '60 is 54 h more than 6 on 10 May 2026, within 5 days: far above the 4.7 h a week that is usual. Is that so?',
            $this->log($machine, '60')->assertCreated()->json('entry.doubts.0.asks'),
        );
    }

    public function test_rebuilding_what_is_computed_changes_nothing(): void
    {
        $machine = $this->machine();
        $this->log($machine, '95');
        $this->tell($machine, 'service', ['tasks' => [$this->taskId($machine)], 'hours' => '95.5'])->assertCreated();
        $this->getJson('/api/machines')->assertOk();
        $before = YardLine::query()->findOrFail($machine)->toArray();

        $this->artisan('yard:rebuild')->assertSuccessful();

        self::assertSame($before, YardLine::query()->findOrFail($machine)->toArray());
    }

    public function test_a_new_day_is_noticed_without_anybody_writing(): void
    {
        $machine = $this->machine(
            [
                'class' => 'utility_vehicle',
                'rules' => [
                    [
                        'task' => 'Brake fluid',
                        'kind' => 'replace',
                        'spots' => ['brake_fluid'],
                        'every' => ['months' => 1],
                    ],
                ],
            ],
        );
        self::assertSame('fresh', $this->getJson('/api/machines')->json('data.0.state'));

        $this->travelTo('2026-05-30T10:00:00Z');
        self::assertSame('nearing', $this->getJson('/api/machines')->json('data.0.state'));
        $this->travelTo('2026-06-20T10:00:00Z');
        self::assertSame('past', $this->getJson('/api/machines?state=past')->json('data.0.state'));
        self::assertSame($machine, $this->getJson('/api/machines?state=past')->json('data.0.id'));
    }

    /** Whoever reads the yard late at night in its own time zone sees its own day. */
    public function test_days_are_the_yards_own(): void
    {
        $this->travelTo('2026-05-14T23:30:00Z');

        self::assertSame('2026-05-15', Yard::query()->firstOrFail()->today()->format('Y-m-d'));
    }

    public function test_every_entry_knows_who_when_and_from_where(): void
    {
        $machine = $this->machine();
        $this->as(Role::Operator)
            ->withHeader('Jardinier-Device', 'phone')
            ->log($machine, '9', ['at' => '2026-05-10'])
            ->assertCreated();
        $entry = Entry::query()->latest('id')->firstOrFail();

        self::assertSame(
            ['Operator', 'phone', true, '2026-05-10', '2026-05-14'],
            [
                $entry->person?->name,
                $entry->device,
                $entry->day_only,
                $entry->happened_at->toDateString(),
                $entry->written_at->toDateString(),
            ],
        );
    }
}
