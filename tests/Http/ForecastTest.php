<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Readings\WeeklyReadings;
use App\Rulebook\Standings\ClassSeason;
use App\Yard\YardLine;
use Illuminate\Support\Facades\DB;

/** What the readings foretell, and that the kept results always follow from the facts. */
final class ForecastTest extends TestCase
{
    public function test_weeks_of_readings_give_a_day_with_its_band(): void
    {
        $machine = $this->machine(['began_on' => '2025-05-14', 'at' => '2025-05-14']);
        $this->logWeekly($machine, range(1, 52), 3);
        $standing = $this->sheet($machine)['rules'][0]['standing'];

        self::assertSame('past', $standing['state']);
        $this->tell($machine, 'service', ['tasks' => [$this->taskId($machine)], 'hours' => '156'])->assertCreated();
        $rule = $this->sheet($machine)['rules'][0];
        self::assertMatchesRegularExpression(
            '/^About \d+ (December|January)( 2027)?, between .* and .*\.$/',
            (string) $rule['standing']['when_in_words'],
        );
        $stake = $this->sheet($machine)['line']['rail']['stakes'][0];
        self::assertTrue(
            $stake['when']['p10'] < $stake['when']['p50'] && $stake['when']['p50'] < $stake['when']['p90'],
        );
        self::assertTrue((float) $stake['band'][0] < 256 && (float) $stake['band'][1] > 256);
        self::assertEqualsWithDelta(3, $this->sheet($machine)['line']['per_week'], 0.3);
    }

    public function test_three_years_of_use_are_told_week_by_week_and_a_meter_nobody_reads_is_told(): void
    {
        $machine = $this->machine();
        self::assertSame('none', $this->getJson("/api/machines/{$machine}/use")->assertOk()->json('confidence'));
        $this->log($machine, '7', ['at' => '2026-05-08']);
        $use = $this->getJson("/api/machines/{$machine}/use")->assertOk()->json();

        self::assertCount(156, $use['weeks']);
        self::assertSame(['2026-05-11', null], [$use['weeks'][155]['from'], $use['weeks'][155]['use']]);
        self::assertEqualsWithDelta(7.0, array_sum(array_column($use['weeks'], 'use')), 0.05);
        self::assertSame('thin', $use['confidence']);
        $this->travelTo('2026-06-20T10:00:00Z');
        self::assertStringContainsString(
            'Nobody has read this meter for 43 days',
            $this->getJson("/api/machines/{$machine}/use")->json('why'),
        );
    }

    public function test_late_and_struck_readings_leave_the_same_state_as_if_they_had_come_in_order(): void
    {
        [$heron, $teal] = [
            $this->machine(['at' => '2025-05-01', 'began_on' => '2025-05-01']),
            $this->machine(['name' => 'Teal', 'class' => 'tractor', 'at' => '2025-05-01', 'began_on' => '2025-05-01']),
        ];
        $this->logWeekly($heron, range(1, 50), 2);
        $weeks = range(1, 50);
        mt_srand(2);
        shuffle($weeks);
        $this->logWeekly($teal, $weeks, 2);
        $wrong = $this->log($teal, '104', ['at' => '2026-05-13T08:00:00Z', 'confirmed_because' => 'test'])
            ->assertCreated()
            ->json('entry.id');
        $this->tellOf($wrong, 'strike', ['because' => 'misread'])->assertCreated();

        [$one, $other] = WeeklyReadings::query()->orderBy('meter_id')->get()->pluck('weekly')->all();
        self::assertSame($one, $other);
    }

    public function test_rebuilding_from_the_facts_changes_nothing(): void
    {
        $machine = $this->machine(['at' => '2025-01-01', 'began_on' => '2025-01-01']);
        $this->logWeekly($machine, range(1, 60), 4);
        $this->log($machine, '242', ['at' => '2026-05-13']);
        $this->getJson('/api/machines')->assertOk();
        $kept = fn (): string => json_encode(
            [YardLine::query()->get(), WeeklyReadings::query()->get(), ClassSeason::query()->get()],
            JSON_THROW_ON_ERROR,
        );
        $before = $kept();
        $this->artisan('yard:rebuild')->assertSuccessful();

        self::assertSame($before, $kept());
    }

    public function test_something_that_comes_to_light_from_long_ago_moves_the_season_its_class_lends(): void
    {
        $heron = $this->machine(['at' => '2025-01-01', 'began_on' => '2025-01-01']);
        $this->logWeekly($heron, range(1, 60), 4);
        $teal = $this->machine(['name' => 'Teal']);
        $this->getJson('/api/machines')->assertOk();
        $season = DB::table('yard_lines')->where('machine_id', $teal)->value('season');
        $this->log(
            $heron,
            '107.5',
            ['at' => '2025-07-05', 'confirmed_because' => 'found in the old book'],
        )->assertCreated();
        $this->getJson('/api/machines')->assertOk();

        self::assertNotSame($season, DB::table('yard_lines')->where('machine_id', $teal)->value('season'));
    }

    /** @param  list<int>  $weeks */
    private function logWeekly(int $machine, array $weeks, int $perWeek): void
    {
        $began = new \DateTimeImmutable(DB::table('machines')->where('id', $machine)->value('began_on'));
        foreach ($weeks as $week) {
            $this->log(
                $machine,
                (string) ($perWeek * $week),
                ['at' => $began->modify("+{$week} weeks")->format('Y-m-d'), 'confirmed_because' => 'test'],
            )->assertCreated();
        }
    }
}
