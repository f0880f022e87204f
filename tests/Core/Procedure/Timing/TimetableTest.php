<?php

declare(strict_types=1);

namespace Tests\Core\Procedure\Timing;

use Core\Procedure\Hold;
use Core\Procedure\Procedure;
use Core\Procedure\Step;
use Core\Procedure\Timing\Impossible;
use Core\Procedure\Timing\TimedStep;
use Core\Procedure\Timing\Timetable;
use Core\Procedure\Timing\Weights;
use Core\Procedure\Timing\Workload;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Procedure\RandomService;

/** Timetables against everything that could be tried, and against many orders thrown by dice. */
final class TimetableTest extends TestCase
{
    private const SMALL = 150;

    private const ORDERS = 10_000;

    public function test_of_up_to_nine_steps_it_is_the_shortest_there_is(): void
    {
        $withHolds = 0;
        for ($seed = 1; $seed <= self::SMALL; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $steps = self::steps($random, $random->getInt(3, 9));
            $holds = self::holds($random, $steps);
            $resources = ['pan' => $random->getInt(1, 2), 'stand' => 1];
            $people = $random->getInt(1, 2);
            $shortest = (new EveryTimetable($steps, $holds, $resources, $people))->shortest();
            $timetable = Timetable::shortest(new Workload($steps, $holds, $resources, $people));
            self::assertSame($shortest, $timetable->length, "seed {$seed}");
            self::assertLessThanOrEqual($timetable->length, $timetable->lowerBound);
            self::assertKept($timetable, $steps, $holds, $resources, $people, "seed {$seed}");
            $withHolds += count($holds);
        }
        self::assertGreaterThan(self::SMALL / 4, $withHolds);
    }

    #[DataProvider('services')]
    public function test_of_many_steps_it_is_at_most_a_twentieth_over_the_best_of_10_000_orders(int $seed, int $people, int $pans): void
    {
        $service = new RandomService($seed);
        $procedure = Procedure::of($service->machine, $service->works, $service->compartments, $service->parts);
        $steps = array_map(
            fn (Step $step): TimedStep => new TimedStep($step->key, $step->minutes, $step->verb->isAttended(), $step->bonds->after),
            $procedure->steps,
        );
        $resources = ['pan' => $pans, 'stand' => 1];
        $timetable = Timetable::shortest(new Workload($steps, $procedure->holds, $resources, $people));
        self::assertKept($timetable, $steps, $procedure->holds, $resources, $people, "seed {$seed}");
        self::assertGreaterThan(20, count($steps));
        $random = new Randomizer(new Mt19937($seed));
        $best = PHP_INT_MAX;
        for ($order = 0; $order < self::ORDERS; $order++) {
            $best = min($best, self::inTurn($random->shuffleArray($steps), $procedure->holds, $resources, $people));
        }
        self::assertLessThanOrEqual(1.05 * $best, $timetable->length, "{$timetable->length} min, and dice found {$best}");
    }

    /** @return iterable<string, array{int, int, int}> */
    public static function services(): iterable
    {
        yield 'one person, one pan' => [1, 1, 1];
        yield 'one person, two pans' => [3, 1, 2];
        yield 'two people, one pan' => [30, 2, 1];
    }

    public function test_the_answer_is_the_same_every_time(): void
    {
        $service = new RandomService(21);
        $procedure = Procedure::of($service->machine, $service->works, $service->compartments, $service->parts);
        $make = fn (): Timetable => Timetable::shortest(new Workload(array_map(
            fn (Step $step): TimedStep => new TimedStep($step->key, $step->minutes, $step->verb->isAttended(), $step->bonds->after),
            $procedure->steps,
        ), $procedure->holds, ['pan' => 1, 'stand' => 1], 1));
        self::assertEquals($make(), $make());
    }

    public function test_hands_are_busy_while_oil_drips(): void
    {
        $timetable = Timetable::shortest(new Workload([
            new TimedStep('open', 2),
            new TimedStep('drip', 10, false, ['open']),
            new TimedStep('close', 2, after: ['drip']),
            new TimedStep('grease', 8),
        ], [], [], 1));
        self::assertSame(14, $timetable->length);
        self::assertSame(2, $timetable->starts['grease']);
        self::assertSame(14, $timetable->lowerBound);
    }

    public function test_hands_stay_where_there_is_something_to_do_and_a_block_is_not_cut_in_two(): void
    {
        $table = Timetable::roundTheMachine(new Workload([
            new TimedStep('left 1', 2, place: 'left'),
            new TimedStep('right 1', 9, place: 'right', block: 'filter'),
            new TimedStep('left 2', 2, place: 'left'),
            new TimedStep('right 2', 1, after: ['right 1'], place: 'right', block: 'filter'),
            new TimedStep('rest', 5, after: ['left 2']),
        ], [], [], 1), new Weights(10));
        self::assertSame(0, $table->changes);
        self::assertSame(1, abs(array_search('right 1', $table->order, true) - array_search('right 2', $table->order, true)));
        self::assertSame(1, abs(array_search('left 1', $table->order, true) - array_search('left 2', $table->order, true)));
    }

    public function test_what_is_held_is_held_until_it_is_let_go(): void
    {
        $steps = [
            new TimedStep('open one', 1),
            new TimedStep('drip one', 5, false, ['open one']),
            new TimedStep('close one', 1, after: ['drip one']),
            new TimedStep('open two', 1),
            new TimedStep('drip two', 5, false, ['open two']),
            new TimedStep('close two', 1, after: ['drip two']),
        ];
        $holds = [new Hold('pan', 'open one', 'close one'), new Hold('pan', 'open two', 'close two')];
        $length = fn (int $pans): int => Timetable::shortest(new Workload($steps, $holds, ['pan' => $pans], 1))->length;
        self::assertSame(14, $length(1), 'one pan, one after the other');
        self::assertSame(8, $length(2), 'two pans, side by side');
    }

    /** @param  callable(): Workload  $make */
    #[DataProvider('impossible')]
    public function test_what_cannot_come_to_an_end_is_said(callable $make, string $says): void
    {
        $this->expectException(Impossible::class);
        $this->expectExceptionMessage($says);
        Timetable::shortest($make());
    }

    /** @return iterable<string, array{callable(): Workload, string}> */
    public static function impossible(): iterable
    {
        $one = new TimedStep('one', 1, after: ['two']);
        $two = new TimedStep('two', 1, after: ['one']);
        yield 'a circle' => [fn () => new Workload([$one, $two], [], [], 1), 'run in a circle'];
        yield 'an unknown step' => [fn () => new Workload([$one], [], [], 1), 'no step "two"'];
        yield 'an unknown resource' => [
            fn () => new Workload([new TimedStep('one', 1, uses: ['lift'])], [], [], 1),
            'how many there are of "lift"',
        ];
        yield 'none of it' => [
            fn () => new Workload([new TimedStep('one', 1, uses: ['lift'])], [], ['lift' => 0], 1),
            'takes more of "lift"',
        ];
        yield 'nobody' => [fn () => new Workload([new TimedStep('one', 1)], [], [], 0), 'at least one person'];
        yield 'each holds what the other waits for' => [fn () => new Workload([
            new TimedStep('a', 1),
            new TimedStep('b', 1, after: ['a', 'c']),
            new TimedStep('c', 1, after: ['a']),
        ], [new Hold('pan', 'a', 'b'), new Hold('pan', 'c', 'b')], ['pan' => 1], 1), 'nothing lets go'];
    }

    /**
     * @param  list<TimedStep>  $steps
     * @param  list<Hold>  $holds
     * @param  array<string, int>  $resources
     */
    private static function assertKept(
        Timetable $timetable,
        array $steps,
        array $holds,
        array $resources,
        int $people,
        string $said,
    ): void {
        $plain = new EveryTimetable($steps, $holds, $resources, $people);
        foreach ($steps as $step) {
            foreach ($step->after as $before) {
                $ends = $timetable->starts[$before] + array_column($steps, 'minutes', 'key')[$before];
                self::assertLessThanOrEqual($timetable->starts[$step->key], $ends, $said);
                self::assertLessThan(
                    array_search($step->key, $timetable->order, true),
                    array_search($before, $timetable->order, true),
                    $said,
                );
            }
        }
        for ($minute = 0; $minute < $timetable->length; $minute++) {
            self::assertTrue(EveryTimetable::fits($plain, $timetable->starts, $minute), "{$said}: minute {$minute}");
        }
    }

    /**
     * Each step as early as it fits, in the order given, as far as what it waits for is done: minute by minute.
     *
     * @param  array<TimedStep>  $order
     * @param  list<Hold>  $holds
     * @param  array<string, int>  $resources
     */
    private static function inTurn(array $order, array $holds, array $resources, int $people): int
    {
        $begins = $endsWith = [];
        foreach ($holds as $hold) {
            $begins[$hold->from][] = $hold->resource;
            $endsWith[$hold->to][] = $hold->resource;
        }
        $ends = $running = [];
        $now = 0;
        while (count($ends) < count($order) || $running !== []) {
            foreach ($running as $key => $end) {
                if ($end <= $now) {
                    unset($running[$key]);
                    $people += $order[array_search($key, array_column($order, 'key'), true)]->attended ? 1 : 0;
                    foreach ($endsWith[$key] ?? [] as $resource) {
                        $resources[$resource]++;
                    }
                }
            }
            foreach ($order as $step) {
                if (isset($ends[$step->key]) || ($step->attended && $people < 1)) {
                    continue;
                }
                foreach ($step->after as $before) {
                    if (($ends[$before] ?? PHP_INT_MAX) > $now) {
                        continue 2;
                    }
                }
                foreach ($begins[$step->key] ?? [] as $resource) {
                    if ($resources[$resource] < 1) {
                        continue 2;
                    }
                }
                foreach ($begins[$step->key] ?? [] as $resource) {
                    $resources[$resource]--;
                }
                $people -= $step->attended ? 1 : 0;
                $ends[$step->key] = $running[$step->key] = $now + $step->minutes;
            }
            $now = $running === [] ? $now : min($running);
        }

        return max($ends);
    }

    /** @return list<TimedStep> */
    private static function steps(Randomizer $random, int $count): array
    {
        $steps = [];
        for ($number = 0; $number < $count; $number++) {
            $after = array_values(array_filter(
                array_column($steps, 'key'),
                fn (): bool => $random->getInt(1, 3) === 1,
            ));
            $steps[] = new TimedStep(
                "s{$number}",
                $random->getInt(0, 5),
                $random->getInt(1, 3) > 1,
                $after,
                $random->getInt(1, 4) === 1 ? ['pan'] : [],
            );
        }

        return $steps;
    }

    /**
     * @param  list<TimedStep>  $steps
     * @return list<Hold>
     */
    private static function holds(Randomizer $random, array $steps): array
    {
        foreach ($steps as $step) {
            foreach ($step->after as $before) {
                if ($random->getInt(1, 6) === 1) {
                    return [new Hold('stand', $before, $step->key)];
                }
            }
        }

        return [];
    }
}
