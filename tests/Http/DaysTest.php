<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Machines\Machine;
use App\Machines\Yard;
use App\People\Person;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\Days;
use Tests\Drawn;

/**
 * The demo is laid out from today, so every day is another product: on each of them it loads, answers, shows every
 * stake, and a rebuild changes nothing.
 */
final class DaysTest extends TestCase
{
    /** What is computed from facts and kept. */
    private const KEPT = ['yard_lines', 'walk_lines', 'weekly_readings', 'class_seasons'];

    #[Group('long')]
    #[DataProvider('days')]
    public function test_the_demo_stands_on_any_day(string $moment): void
    {
        $this->travelTo($moment);
        Yard::query()->delete();
        self::assertSame(0, Artisan::call('demo:load'), Artisan::output());
        $this->as(Person::query()->where('sign_in_name', 'rosa')->firstOrFail());
        $this->getJson('/api/yard')->assertOk()->assertJsonPath('machines', Machine::query()->count());
        foreach ($this->getJson('/api/machines?limit=200')->assertOk()->json('data') as $line) {
            $sheet = $this->sheet($line['id']);
            self::assertSame($line, $sheet['line'], "{$line['name']} stands on the yard as on its own sheet");
            $this->assertNoStakeIsLost($sheet);
            $this->assertOneFactCountsEverywhere($sheet);
        }
        $kept = array_map(fn (string $table): array => DB::table($table)->orderByRaw('1')->get()->all(), self::KEPT);
        Artisan::call('yard:rebuild');
        self::assertEquals(
            $kept,
            array_map(fn (string $table): array => DB::table($table)->orderByRaw('1')->get()->all(), self::KEPT),
            'a rebuild changes nothing',
        );
    }

    /** @return iterable<string, array{string}> */
    public static function days(): iterable
    {
        foreach (Drawn::of(Days::all(), seed: 2912, least: 2) as $name => $moment) {
            yield "{$name}, {$moment}" => [$moment];
        }
    }

    /**
     * No place tells another state of a spot: the rows of the machine's page, its chart, its grease page, what is open
     * on it, its line in the yard, and
     * the calendar.
     *
     * @param  array<string, mixed>  $sheet
     */
    private function assertOneFactCountsEverywhere(array $sheet): void
    {
        $name = $sheet['name'];
        $walk = $this->getJson("/api/machines/{$sheet['id']}/walk")->assertOk()->json();
        $rules = array_column($sheet['rules'], null, 'id');
        $isAt = fn (array $rule, string $spot): bool => in_array($spot, array_column($rule['spots'], 'key'), true)
            || (
                $rule['all_points']
                && in_array(
                    [$spot, $rule['id']],
                    array_map(
                        fn (array $point): array => [$point['key'], $point['rule_id']],
                        $walk['grease']['points'],
                    ),
                    true,
                )
            );
        foreach ($walk['findings'] as $finding) {
            foreach (array_filter($rules, fn (array $rule): bool => $isAt($rule, $finding['spot'])) as $rule) {
                self::assertContains(
                    $finding['check'],
                    array_column($rule['findings'], 'check'),
                    "{$name}: {$rule['task']} tells of {$finding['title']}",
                );
                self::assertGreaterThanOrEqual(
                    self::hardness($finding['verdict']),
                    self::hardness($rule['told']),
                    "{$name}: {$rule['task']} is told as hard as {$finding['title']}",
                );
            }
        }
        foreach ($rules as $rule) {
            self::assertSame(
                [],
                array_diff(array_column($rule['findings'], 'check'), array_column($walk['findings'], 'check')),
                "{$name}: {$rule['task']} tells of nothing that the walk knows nothing of",
            );
            self::assertGreaterThanOrEqual(
                self::hardness($rule['standing']['state']),
                self::hardness($rule['told']),
                "{$name}: {$rule['task']}",
            );
            $points = array_filter(
                $walk['grease']['points'],
                fn (array $point): bool => $point['rule_id'] === $rule['id'],
            );
            if ($points !== []) {
                $hardest = max(array_map(fn (array $point): int => self::hardness($point['state']), $points));
                self::assertSame(
                    $hardest,
                    self::hardness($rule['standing']['state']),
                    "{$name}: {$rule['task']} is {$rule['standing']['state']}: {$rule['standing']['why']} Points: ".implode(
                        ', ',
                        array_map(fn (array $point): string => "{$point['name']} {$point['state']}", $points),
                    ),
                );
            }
        }
        $this->assertPlateTellsTheSame($sheet, $walk);
        $chart = array_column(
            $this->getJson("/api/machines/{$sheet['id']}/chart")->assertOk()->json('rows'),
            'in_words',
            'rule_id',
        );
        self::assertEquals(
            $chart,
            array_intersect_key(array_column($sheet['rules'], 'in_words', 'id'), $chart),
            "{$name}: the chart reads as the rows",
        );
        if ($sheet['line']['stood_down'] === null) {
            $states = array_column(array_column($sheet['rules'], 'standing'), 'state');
            $pressing = array_intersect(['past', 'due', 'nearing'], $states);
            self::assertSame(
                $pressing === [] ? in_array('unknown', $states, true) ? 'unknown' : 'fresh' : reset($pressing),
                $sheet['line']['state'],
                "{$name}: its line tells the hardest of its rows",
            );
        }
    }

    /**
     * Each spot of the plate is as hard as the hardest of its rows, its point and its findings. The story of one of
     * those that something is told of, of another on every day, says the same.
     *
     * @param  array<string, mixed>  $sheet
     * @param  array<string, mixed>  $walk
     */
    private function assertPlateTellsTheSame(array $sheet, array $walk): void
    {
        $plate = $this->getJson("/api/machines/{$sheet['id']}/plate")->assertOk()->json();
        $points = array_column($walk['grease']['points'], 'state', 'key');
        self::assertEquals($walk['grease'], $plate['grease'], "{$sheet['name']}: grease is told once");
        // Where compartments share their fluid, what is told of one is told of both.
        $shared = array_filter(array_map(
            fn (array $spot): ?string => $spot['sheet']['shares_with'] ?? null,
            array_column($plate['spots'], null, 'key'),
        ));
        $holder = fn (string $key): string => $shared[$key] ?? $key;
        foreach ($plate['spots'] as $spot) {
            $told = array_map(
                fn (array $finding): string => $finding['verdict'],
                array_filter(
                    $walk['findings'],
                    fn (array $finding): bool => in_array($finding['spot'], [$spot['key'], $holder($spot['key'])], true),
                ),
            );
            foreach ($sheet['rules'] as $rule) {
                if (
                    in_array($holder($spot['key']), array_map($holder, array_column($rule['spots'], 'key')), true)
                    && ($rule['kind'] !== 'lubricate' || ! isset($points[$spot['key']]))
                ) {
                    $told[] = $rule['standing']['state'];
                }
            }
            $told[] = $points[$spot['key']] ?? 'fresh';
            self::assertSame(
                max(array_map(self::hardness(...), $told)),
                self::hardness($spot['told']),
                "{$sheet['name']}: {$spot['name']} is {$spot['told']} on the plate",
            );
            self::assertSame($spot['told'] === 'fresh', $spot['because'] === null);
        }
        $pressing = array_values(array_filter($plate['spots'], fn (array $spot): bool => $spot['told'] !== 'fresh'));
        $spot = $pressing[crc32($sheet['line']['rail']['today'].$sheet['name']) % max(1, count($pressing))] ?? null;
        if ($spot === null) {
            return;
        }
        $story = $this->getJson("/api/machines/{$sheet['id']}/spots/{$spot['key']}")->assertOk()->json();
        self::assertSame([$spot['told'], $spot['because']], [$story['told'], $story['because']]);
        self::assertSame($points[$spot['key']] ?? null, $story['point']['state'] ?? null);
        $rows = array_column($sheet['rules'], null, 'id');
        foreach ($story['rules'] as $rule) {
            self::assertEquals($rows[$rule['id']], $rule, "{$sheet['name']}: {$spot['name']} tells its row");
        }
    }

    /** How hard a state or a verdict is, as a row tells the harder of the two. */
    private static function hardness(string $told): int
    {
        return (int) array_search(
            $told,
            ['fresh', 'unknown', 'watch', 'nearing', 'act', 'due', 'past', 'stand_down'],
            true,
        );
    }

    /**
     * Every rule that falls due within sight of the rail has a stake on it.
     *
     * @param  array<string, mixed>  $sheet
     */
    private function assertNoStakeIsLost(array $sheet): void
    {
        $rail = $sheet['line']['rail'];
        $staked = array_merge(
            [],
            ...array_map(fn (array $stake): array => array_column($stake['tasks'], 'rule_id'), $rail['stakes']),
        );
        foreach ($sheet['rules'] as $rule) {
            $due = $rule['standing']['due'][['h' => 'hours', 'km' => 'km', 'mi' => 'km', 'day' => 'date'][$rail['unit']]]
                ?? null;
            $isInSight = $due !== null
                && $rail['unit'] !== 'day'
                && $rail['unit'] !== 'mi'
                && (float) $due <= (float) $rail['to'];
            if ($isInSight || in_array($rule['standing']['state'], ['nearing', 'due', 'past'], true)) {
                self::assertContains(
                    $rule['id'],
                    $staked,
                    "{$sheet['line']['name']}: {$rule['task']}, {$rule['standing']['why']}",
                );
            }
        }
        foreach ($rail['stakes'] as $stake) {
            self::assertLessThanOrEqual((float) $rail['to'], (float) $stake['at']);
        }
    }
}
