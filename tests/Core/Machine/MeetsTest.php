<?php

declare(strict_types=1);

namespace Tests\Core\Machine;

use Brick\Math\BigDecimal;
use Core\Machine\ActDone;
use Core\Machine\ActKind;
use Core\Machine\LastDone;
use Core\Machine\Meets;
use Core\Machine\NewestAct;
use Core\Machine\OneOccasion;
use Core\Machine\Outcome;
use Core\Machine\Point;
use Core\Machine\Task;
use Core\Machine\TaskKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Which act meets which task at the same spot. The table stands in the model's own description, kept in
 * `tests/Reference/which-act-meets.csv`.
 */
final class MeetsTest extends TestCase
{
    private const LEVEL_CHECKS = ['engine_oil'];

    /**
     * Every act, by the check that the task names, by another, by none and by one that reads a level.
     *
     * @param  list<string>  $met  as the table words it
     */
    #[DataProvider('table')]
    public function test_an_act_meets_a_task_as_the_table_has_it(TaskKind $kind, array $met): void
    {
        foreach (ActKind::cases() as $act) {
            foreach ([null, 'belt'] as $named) {
                foreach (['', 'belt', 'other', 'engine_oil', Meets::LEVEL] as $by) {
                    foreach ([true, false] as $fit) {
                        $done = self::done(
                            new Task('1', 'Task', $kind, ['spot'], $named),
                            ['spot' => [self::act($act, 100, $by, $fit)]],
                        );
                        self::assertSame(
                            self::holds($met, $act, $named, $by, $fit),
                            $done->point !== null,
                            "{$act->value} by \"{$by}\", named ".($named ?? 'none'),
                        );
                    }
                }
            }
        }
    }

    /** @return iterable<string, array{TaskKind, list<string>}> */
    public static function table(): iterable
    {
        foreach (array_slice((array) file(dirname(__DIR__, 2).'/Reference/which-act-meets.csv', FILE_IGNORE_NEW_LINES), 3) as $line) {
            [$task, $met] = str_getcsv((string) $line);
            yield (string) $task => [TaskKind::from((string) $task), explode('; ', (string) $met)];
        }
    }

    /** @param  list<string>  $met  as the table words it */
    private static function holds(array $met, ActKind $act, ?string $named, string $by, bool $fit): bool
    {
        foreach ($met as $words) {
            [$kind, $when] = [...explode(' if ', $words, 2), ''];
            if ($kind === $act->value) {
                return match ($when) {
                    '' => true,
                    'by its check' => $named === null || $named === $by,
                    'no check named' => $named === null,
                    'fit by its check' => $named === $by && $fit,
                    'by a level check' => $named === null
                        ? in_array($by, [Meets::LEVEL, ...self::LEVEL_CHECKS], true)
                        : $named === $by,
                };
            }
        }

        return false;
    }

    public function test_a_task_was_done_at_the_least_of_its_spots_and_says_which_were_left(): void
    {
        $task = new Task('1', 'Engine oil and filter', TaskKind::Replace, ['oil', 'filter']);
        $done = self::done(
            $task,
            [
                'oil' => [self::act(ActKind::Changed, 200), self::act(ActKind::Changed, 350)],
                'filter' => [self::act(ActKind::Replaced, 400)],
            ],
        );

        self::assertSame(['350', '1 of 2 was done later; left: oil.'], [(string) $done->point?->hours, $done->apart()]);
    }

    public function test_a_spot_without_an_act_leaves_the_whole_undone_and_is_named(): void
    {
        $task = new Task('1', 'Grease', TaskKind::Lubricate, ['a', 'b', 'c']);
        $done = self::done(
            $task,
            ['a' => [self::act(ActKind::Lubricated, 200)], 'c' => [self::act(ActKind::Lubricated, 210)]],
        );

        self::assertSame([null, '2 of 3 are on record; never: b.'], [$done->point, $done->apart()]);
        self::assertSame(
            '',
            self::done($task, [])->apart(),
            'where nothing is on record there is nothing to tell apart',
        );
    }

    /** Filters only, and oil with filter: two tasks that share a spot need no flag. */
    public function test_a_bigger_service_counts_for_the_smaller_that_shares_its_spots(): void
    {
        $acts = ['oil' => [self::act(ActKind::Changed, 400)], 'filter' => [self::act(ActKind::Replaced, 400)]];

        self::assertSame(
            '400',
            (string) self::done(new Task('1', 'Filter', TaskKind::Replace, ['filter']), $acts)->point?->hours,
        );
        self::assertSame(
            '400',
            (string) self::done(
                new Task('2', 'Filter, looked at', TaskKind::Inspect, ['filter']),
                $acts,
            )->point?->hours,
        );
    }

    public function test_what_is_not_known_in_one_dimension_is_known_in_the_others(): void
    {
        $day = new \DateTimeImmutable('2026-05-01');
        $acts = [
            'a' => [new NewestAct(ActKind::Cleaned, '', $day, new Point(null, null, $day))],
            'b' => [self::act(ActKind::Cleaned, 100)],
        ];
        $point = self::done(new Task('1', 'Screens', TaskKind::Clean, ['a', 'b']), $acts)->point;

        self::assertSame(
            [null, '2024-04-10'],
            [$point?->hours, $point?->date?->format('Y-m-d')],
            'the hours of one are not known, the days of both are',
        );
    }

    /**
     * Whatever was done before, a newer act of a kind that meets a task never makes it staler, and the order of telling
     * changes nothing.
     */
    public function test_an_act_never_makes_a_standing_staler_and_the_order_of_telling_changes_nothing(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 3_000; $round++) {
            $task = new Task(
                '1',
                'Task',
                TaskKind::cases()[mt_rand(0, 7)],
                ['a', 'b'],
                mt_rand(0, 2) === 0 ? 'belt' : null,
            );
            $acts = ['a' => self::some(), 'b' => self::some()];
            $before = self::done($task, $acts);
            $shuffled = $acts;
            shuffle($shuffled['a']);
            self::assertEquals($before, self::done($task, $shuffled));

            $newer = self::act(
                ActKind::cases()[mt_rand(0, 12)],
                900,
                ['', 'belt', 'engine_oil'][mt_rand(0, 2)],
                (bool) mt_rand(0, 1),
            );
            $after = self::done($task, ['a' => [...$acts['a'], $newer], 'b' => $acts['b']]);
            self::assertTrue(
                $before->point === null || $after->point?->hours?->isGreaterThanOrEqualTo($before->point->hours ?? 0),
            );
        }
    }

    /** Poured in without a reading, a top-up is a look; with a reading that is none, it is not. */
    public function test_a_top_up_counts_unless_its_occasion_holds_a_reading_that_is_none(): void
    {
        $stands = fn (Outcome $reading): array => OneOccasion::stands(
            [
                new ActDone('1', 'oil', ActKind::Measured, $reading),
                new ActDone('2', 'oil', ActKind::ToppedUp),
                new ActDone('3', 'coolant', ActKind::ToppedUp),
            ],
            [],
        );

        self::assertSame(
            ['1' => true, '2' => true, '3' => true],
            array_combine(['1', '2', '3'], array_values($stands(Outcome::Done))),
        );
        self::assertSame(
            [false, false, true],
            array_values($stands(Outcome::Unusable)),
            'another compartment is another matter',
        );
    }

    /** What hangs on nothing else of its occasion changes nothing else, so that it need not be judged with the rest. */
    public function test_an_act_that_is_not_bound_to_its_occasion_stands_by_itself(): void
    {
        $chance = new Randomizer(new Mt19937(77));
        $spots = ['oil', 'oil_drain', 'coolant'];
        $any = fn (array $of): mixed => $of[$chance->getInt(0, count($of) - 1)];
        $tried = 0;
        for ($try = 0; $try < 3000; $try++) {
            $acts = array_map(
                fn (int $id): ActDone => new ActDone((string) $id, $any($spots), $any(ActKind::cases()), $any(Outcome::cases())),
                range(1, $chance->getInt(1, 6)),
            );
            $last = array_pop($acts);
            if (OneOccasion::isBound($last->kind, $last->outcome)) {
                continue;
            }
            $without = OneOccasion::stands($acts, ['oil' => ['oil_drain']]);
            self::assertSame(
                $without + [$last->id => OneOccasion::standsAlone($last->kind, $last->outcome)],
                OneOccasion::stands([...$acts, $last], ['oil' => ['oil_drain']]),
            );
            $tried++;
        }
        self::assertGreaterThan(1000, $tried);
    }

    /**
     * Drained at every drain and filled is changed; drained alone, filled alone, or with one drain forgotten is not
     * (mistake 14 of the trade handbook).
     */
    public function test_a_fluid_is_changed_when_it_ran_out_of_every_drain_and_was_filled(): void
    {
        $drains = ['axle' => ['axle_drain', 'axle_drain_2']];
        $filled = fn (string ...$drained): bool => OneOccasion::stands(
            [
                ...array_map(
                    fn (string $drain): ActDone => new ActDone($drain, $drain, ActKind::Drained),
                    array_values($drained),
                ),
                new ActDone('f', 'axle', ActKind::Filled),
            ],
            $drains,
        )['f'];

        self::assertTrue($filled('axle_drain', 'axle_drain_2'));
        self::assertTrue($filled('axle'), 'told of the compartment as a whole');
        self::assertFalse($filled('axle_drain'));
        self::assertFalse($filled());
    }

    #[DataProvider('whatMeetsNothing')]
    public function test_what_was_not_done_meets_nothing(ActKind $kind, Outcome $outcome): void
    {
        self::assertSame([false], array_values(OneOccasion::stands([new ActDone('1', 'spot', $kind, $outcome)], [])));
    }

    /** @return iterable<string, array{ActKind, Outcome}> */
    public static function whatMeetsNothing(): iterable
    {
        yield 'not looked at' => [ActKind::Looked, Outcome::NotDone];
        yield 'did not go in' => [ActKind::Lubricated, Outcome::NotDone];
        yield 'read on a slope' => [ActKind::Measured, Outcome::Unusable];
        yield 'put right' => [ActKind::Looked, Outcome::PutRight];
        yield 'closed' => [ActKind::Closed, Outcome::Done];
        yield 'drained alone' => [ActKind::Drained, Outcome::Done];
        yield 'filled alone' => [ActKind::Filled, Outcome::Done];
    }

    /** @return list<NewestAct> */
    private static function some(): array
    {
        return array_map(
            fn (): NewestAct => self::act(
                ActKind::cases()[mt_rand(0, 12)],
                mt_rand(1, 800),
                ['', 'belt', 'engine_oil'][mt_rand(0, 2)],
                (bool) mt_rand(0, 1),
            ),
            range(1, mt_rand(1, 5)),
        );
    }

    /** @param  array<string, list<NewestAct>>  $acts */
    private static function done(Task $task, array $acts): LastDone
    {
        return LastDone::of(
            $task,
            array_combine($task->spots, $task->spots),
            $acts,
            array_fill_keys($task->spots, self::LEVEL_CHECKS),
        );
    }

    private static function act(ActKind $kind, int $hours, string $check = '', bool $fit = false): NewestAct
    {
        $day = (new \DateTimeImmutable('2024-01-01'))->modify("{$hours} days");

        return new NewestAct($kind, $check, $day, new Point(BigDecimal::of($hours), null, $day), $fit);
    }
}
