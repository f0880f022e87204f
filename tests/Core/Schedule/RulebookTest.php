<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Forecast\FirstThings;
use Core\Forecast\Outlook;
use Core\Forecast\Rail;
use Core\Forecast\TaskStanding;
use Core\Machine\Point;
use Core\Machine\Subject;
use Core\Machine\Task;
use Core\Machine\TaskKind;
use Core\Meter\Limit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Leeway;
use Core\Schedule\Provenance;
use Core\Schedule\Rule;
use Core\Schedule\Rulebook;
use Core\Schedule\RulebookLine;
use Core\Schedule\RuleFacts;
use Core\Schedule\Severity;
use Core\Schedule\SeverityMark;
use Core\Schedule\SeverityTable;
use Core\Schedule\StandingOf;
use Core\Schedule\StandingWords;
use Core\Schedule\State;
use Core\Schedule\Warranty;
use Core\Schedule\YearWindow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Drawn;

final class RulebookTest extends TestCase
{
    private const RULEBOOKS = 50_000;

    public function test_a_task_that_goes_with_another_is_due_with_it_and_says_when_it_was_left_out(): void
    {
        $book = new Rulebook(
            [
                self::line('1', 'Blade', 25),
                new RulebookLine(new Task('2', 'Spindle', TaskKind::Lubricate), null, goesWith: '1'),
            ],
        );
        $blade = new Point(BigDecimal::of(100), null, new \DateTimeImmutable('2026-05-03T00:00:00Z'));
        $now = new Point(BigDecimal::of(124), null, new \DateTimeImmutable('2026-05-14T00:00:00Z'));

        $spindle = $book->standings(
            ['1' => new RuleFacts(done: [$blade]), '2' => new RuleFacts(done: [$blade])],
            $now,
        )['2'];
        self::assertSame(
            [State::Nearing, 'Goes with blade: due at 125 h, 25 h after 100 h. 1 h left, inside the early window.', []],
            [$spindle->state, StandingWords::why($spindle), $spindle->notes],
        );
        self::assertSame(
            ['Left out when blade was last done, on 3 May 2026.'],
            $book->standings(['1' => new RuleFacts(done: [$blade])], $now)['2']->notes,
        );
    }

    public function test_a_task_with_its_own_interval_goes_with_another_where_that_comes_first(): void
    {
        $book = new Rulebook(
            [
                self::line('1', 'Blade', 25),
                new RulebookLine(
                    new Task('2', 'Spindle', TaskKind::Lubricate),
                    new Rule(Interval::ofHours(10)),
                    goesWith: '1',
                ),
            ],
        );
        $at = fn (int $blade, int $spindle): string => (string) $book->standings(
            ['1' => new RuleFacts(done: [self::at($blade)]), '2' => new RuleFacts(done: [self::at($spindle)])],
            self::at(100),
        )['2']->limiting?->at;

        self::assertSame(['105', '102'], [$at(99, 95), $at(77, 99)]);
    }

    public function test_tasks_in_a_circle_and_a_task_that_never_falls_due_are_refused(): void
    {
        foreach ([[new RulebookLine(new Task('1', 'A', TaskKind::Clean), null, goesWith: '2'), new RulebookLine(new Task('2', 'B', TaskKind::Clean), null, goesWith: '1')], [new RulebookLine(new Task('1', 'A', TaskKind::Clean), null, goesWith: '7')]] as $lines) {
            try {
                new Rulebook($lines);
                self::fail('It should have been refused.');
            } catch (\InvalidArgumentException $refused) {
                self::assertStringStartsWith('A ', $refused->getMessage());
            }
        }
    }

    /**
     * Handbook, section 4: book says air cleaner at 100 h, the keeper does 50 h in dust; the shares are common
     * practice, no source.
     */
    public function test_dust_halves_the_air_cleaners_interval_and_says_so(): void
    {
        $rule = SeverityTable::usual()->tighten(
            new Rule(Interval::ofHours(100)),
            [Subject::AirCleaner],
            [new SeverityMark(Severity::Dust)],
            new \DateTimeImmutable('2026-05-14'),
        );
        $standing = StandingOf::rule($rule, null, [self::at(400)], self::at(430));

        self::assertSame(
            'Due at 450 h, 50 h after 400 h. 20 h left. 100 h × 0.5 for dust makes 50 h.',
            StandingWords::why($standing),
        );
    }

    public function test_the_hardest_of_several_counts_alone_and_only_what_it_wears_is_touched(): void
    {
        $table = SeverityTable::usual();
        $marks = [
            new SeverityMark(Severity::Heat),
            new SeverityMark(Severity::ShortColdRuns),
            new SeverityMark(Severity::LightUse),
        ];
        $today = new \DateTimeImmutable('2026-05-14');
        $oil = $table->tighten(
            new Rule(new Interval(BigDecimal::of(100), months: 12)),
            [Subject::EngineOil],
            $marks,
            $today,
        );

        self::assertTrue($oil->every->hours?->isEqualTo(50), 'short cold runs: half');
        self::assertSame(6, $oil->every->months);
        self::assertSame(
            ['fuel' => 6, 'other' => 12],
            array_map(
                fn (Subject $subject): ?int => $table->tighten(
                    new Rule(new Interval(months: 12)),
                    [$subject],
                    $marks,
                    $today,
                )->every->months,
                ['fuel' => Subject::Fuel, 'other' => Subject::Other],
            ),
        );
        $hours = $table->tighten(new Rule(Interval::ofHours(100)), [Subject::Fuel], $marks, $today);
        self::assertTrue($hours->every->hours?->isEqualTo(100), 'standing about wears by the calendar alone');
    }

    public function test_of_several_spots_the_one_that_is_worn_the_hardest_counts(): void
    {
        $rule = SeverityTable::usual()->tighten(
            new Rule(Interval::ofHours(100)),
            [Subject::EngineOil, Subject::AirCleaner],
            [new SeverityMark(Severity::Dust)],
            new \DateTimeImmutable('2026-05-14'),
        );

        self::assertTrue($rule->every->hours?->isEqualTo(50));
    }

    public function test_a_season_s_severity_holds_in_its_season_and_a_yard_sets_its_own_shares(): void
    {
        $table = SeverityTable::with(['dust' => ['air_cleaner' => '0.25']]);
        $marks = [new SeverityMark(Severity::Dust, YearWindow::between('05-01', '09-30'))];
        $every = fn (string $day): string => $table->tighten(
            new Rule(Interval::ofHours(100)),
            [Subject::AirCleaner],
            $marks,
            new \DateTimeImmutable($day),
        )->every->inWords();

        self::assertSame(['25 h', '100 h'], [$every('2026-07-01'), $every('2026-11-01')]);
        $this->expectException(\InvalidArgumentException::class);
        SeverityTable::with(['dust' => ['air_cleaner' => '1.5']]);
    }

    #[DataProvider('warranties')]
    public function test_a_warranty_runs_to_its_day_or_its_hours_whichever_comes_first(
        Warranty $warranty,
        int $hours,
        string $day,
        bool $runs,
    ): void {
        self::assertSame(
            $runs,
            $warranty->runs(new Point(BigDecimal::of($hours), null, new \DateTimeImmutable("{$day}T00:00:00Z"))),
        );
    }

    /** @return iterable<array{Warranty, int, string, bool}> */
    public static function warranties(): iterable
    {
        $both = new Warranty(new \DateTimeImmutable('2027-05-14T00:00:00Z'), BigDecimal::of(1000));
        yield [$both, 999, '2027-05-14', true];
        yield [$both, 1001, '2026-05-14', false];
        yield [$both, 10, '2027-05-15', false];
        yield [new Warranty(hours: BigDecimal::of(500)), 500, '2099-01-01', true];
        yield [new Warranty, 0, '2026-01-01', false];
    }

    public function test_on_a_machine_without_a_past_one_looks_first_and_then_changes_what_cannot_be_seen(): void
    {
        $unknown = fn (string $name, TaskKind $kind, int $every): TaskStanding => new TaskStanding(
            new Task($name, $name, $kind),
            StandingOf::rule(new Rule(Interval::ofHours($every)), null, [], self::at(900)),
            null,
            null,
            new \DateTimeImmutable('2026-05-14'),
        );
        $known = new TaskStanding(
            new Task('9', 'Belt', TaskKind::Inspect),
            StandingOf::rule(new Rule(Interval::ofHours(50)), null, [self::at(890)], self::at(900)),
            null,
            null,
            new \DateTimeImmutable('2026-05-14'),
        );
        $turns = FirstThings::of(
            [
                $unknown('Coolant', TaskKind::Replace, 400),
                $unknown('Grease', TaskKind::Lubricate, 50),
                $unknown('Oil', TaskKind::Replace, 100),
                $known,
                $unknown('Brakes', TaskKind::Inspect, 50),
            ],
        );

        self::assertSame(
            [['Brakes'], ['Oil', 'Coolant'], ['Grease']],
            array_map(
                fn (FirstThings $turn): array => array_map(
                    fn (TaskStanding $task): string => $task->task->name,
                    $turn->tasks,
                ),
                $turns,
            ),
        );
    }

    #[Group('long')]
    public function test_fifty_thousand_random_rulebooks_neither_crash_nor_hang(): void
    {
        mt_srand(11);
        $table = SeverityTable::usual();
        $judged = 0;
        for ($round = 0; $round < Drawn::times(self::RULEBOOKS); $round++) {
            $lines = $facts = [];
            $today = new \DateTimeImmutable('@'.mt_rand(0, 2_000_000_000));
            $now = new Point(self::some(5000), self::some(90_000), $today);
            for ($id = 1, $count = mt_rand(1, 3); $id <= $count; $id++) {
                try {
                    $rule = $table->tighten(
                        self::randomRule(),
                        [Subject::cases()[mt_rand(0, 15)]],
                        mt_rand(0, 2) === 0 ? [new SeverityMark(Severity::cases()[mt_rand(0, 6)])] : [],
                        $today,
                    );
                } catch (\InvalidArgumentException) {
                    $rule = null;
                }
                $lines[] = new RulebookLine(
                    new Task((string) $id, "Task {$id}", TaskKind::cases()[mt_rand(0, 7)]),
                    $rule,
                    self::someId(),
                );
                $points = array_map(
                    fn (): Point => new Point(
                        self::some(5000),
                        self::some(90_000),
                        mt_rand(0, 1) === 1 ? new \DateTimeImmutable('@'.mt_rand(0, 2_000_000_000)) : null,
                    ),
                    range(0, mt_rand(0, 2)),
                );
                $facts[$id] = new RuleFacts(
                    mt_rand(0, 1) === 1 ? $points[0] : null,
                    array_slice($points, 1),
                    mt_rand(0, 4) === 0 ? [$points[0]] : [],
                );
            }
            try {
                $standings = (new Rulebook($lines))->standings($facts, $now);
            } catch (\InvalidArgumentException $refused) {
                self::assertNotSame('', $refused->getMessage());

                continue;
            }
            $tasks = array_map(
                fn (RulebookLine $line): TaskStanding => new TaskStanding(
                    $line->task,
                    $standings[$line->task->id],
                    null,
                    null,
                    $today,
                ),
                $lines,
            );
            self::assertNotSame('', Outlook::of($tasks, null, null, $today)->why());
            Rail::of(Limit::Hours, $now->hours ?? BigDecimal::zero(), $tasks, null, $today);
            $judged += count($standings);
        }
        self::assertGreaterThan($round / 2, $judged, 'most can be judged');
    }

    private static function randomRule(): Rule
    {
        $interval = fn (): Interval => new Interval(
            self::some(400, 1),
            mt_rand(0, 3) === 0 ? self::some(9000, 1) : null,
            mt_rand(0, 2) === 0 ? mt_rand(1, 60) : null,
        );
        $window = fn (): YearWindow => YearWindow::between(
            sprintf('%02d-%02d', mt_rand(1, 12), mt_rand(1, 28)),
            sprintf('%02d-%02d', mt_rand(1, 12), mt_rand(1, 28)),
        );

        return new Rule($interval(), mt_rand(0, 2) === 0 ? [$interval()] : [], Anchor::cases()[mt_rand(0, 1)], new Leeway(BigDecimal::ofUnscaledValue(mt_rand(0, 100), 2), BigDecimal::ofUnscaledValue(mt_rand(0, 100), 2)),
            from: new Provenance(book: mt_rand(0, 3) === 0
                ? $interval()
                : null), windows
                : mt_rand(0, 3) === 0
                ? [$window()]
                : [], condition
                : mt_rand(0, 5) === 0
                ? 'it looks worn'
                : null);
    }

    private static function some(int $most, int $least = 0): ?BigDecimal
    {
        return mt_rand(0, 3) === 0 ? null : BigDecimal::ofUnscaledValue(mt_rand($least, 10 * $most), 1);
    }

    private static function someId(): ?string
    {
        return mt_rand(0, 3) === 0 ? (string) mt_rand(1, 3) : null;
    }

    private static function line(string $id, string $name, int $every): RulebookLine
    {
        return new RulebookLine(new Task($id, $name, TaskKind::Replace), new Rule(Interval::ofHours($every)));
    }

    private static function at(int $hours): Point
    {
        return new Point(BigDecimal::of($hours));
    }
}
