<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\Check;
use Core\Inspect\Degree;
use Core\Inspect\RoundOutcome;
use Core\Inspect\Turn;
use Core\Machine\MachineClass;
use Core\Machine\Verdict;
use Core\Starter\Starters;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A machine is fit by what was judged, never by what was left out. */
final class RoundOutcomeTest extends TestCase
{
    /**
     * @param  array<string, Verdict>  $told
     * @param  list<string>  $notJudged
     */
    #[DataProvider('rounds')]
    public function test_what_a_round_comes_to(array $told, ?Verdict $verdict, array $notJudged): void
    {
        $outcome = RoundOutcome::of([
            new Check('brakes', 'Brakes'),
            new Check('paint', 'Paint', degrees: [new Degree('Scratched', Verdict::Watch)]),
            new Check('shims', 'Shims', turn: new Turn(after: 'brakes')),
        ], $told);

        self::assertSame([$verdict, $notJudged], [$outcome->verdict, $outcome->notJudged]);
    }

    /** @return iterable<string, array{array<string, Verdict>, Verdict|null, list<string>}> */
    public static function rounds(): iterable
    {
        yield 'nothing was looked at' => [[], null, ['Brakes']];
        yield 'all that could stand it down is fine' => [['brakes' => Verdict::Fit], Verdict::Fit, []];
        yield 'the brakes were left out' => [['paint' => Verdict::Fit], null, ['Brakes']];
        yield 'something is wrong, whatever was left out' => [['paint' => Verdict::Watch], Verdict::Watch, ['Brakes']];
        yield 'what follows from the brakes is not there yet' => [['brakes' => Verdict::Act], Verdict::Act, ['Shims']];
        yield 'it stands down' => [['brakes' => Verdict::StandDown, 'shims' => Verdict::Fit], Verdict::StandDown, []];
    }

    public function test_of_a_round_that_can_stand_nothing_down_nothing_is_said_where_nobody_looked(): void
    {
        $paint = new Check('paint', 'Paint', degrees: [new Degree('Scratched', Verdict::Watch)]);

        self::assertSame([null, ['Paint']], [RoundOutcome::of([$paint], [])->verdict, RoundOutcome::of([$paint], [])->notJudged]);
        self::assertSame(Verdict::Fit, RoundOutcome::of([$paint], ['paint' => Verdict::Fit])->verdict);
    }

    public function test_what_is_open_is_asked_first_and_decides_and_a_machine_that_stands_down_is_not_fit(): void
    {
        $paint = new Check('paint', 'Paint', degrees: [new Degree('Scratched', Verdict::Watch)]);
        $shims = new Check('shims', 'Shims', turn: new Turn(after: 'paint'));
        $left = RoundOutcome::of([$paint], ['paint' => Verdict::Fit], ['leaks' => 'Leaks']);

        self::assertSame([null, ['Leaks']], [$left->verdict, $left->notJudged]);
        self::assertSame(['paint' => 'Paint, seen before'], RoundOutcome::asked([$paint], [], ['paint' => 'Paint, seen before']));
        self::assertSame(['paint' => 'Paint', 'shims' => 'Shims'], RoundOutcome::asked([$paint, $shims], ['paint' => null]), 'measured at the wrong moment');
        self::assertSame(Verdict::StandDown, RoundOutcome::of([$paint], ['paint' => Verdict::Fit], [], true)->verdict);
    }

    /** Whatever one check is left out of a class's own round, if it can stand the machine down the round says so. */
    public function test_a_round_that_asks_for_nothing_says_nothing(): void
    {
        self::assertNull(RoundOutcome::of([], [])->verdict);
    }

    public function test_no_class_is_fit_with_a_decisive_check_left_out(): void
    {
        foreach (MachineClass::cases() as $class) {
            $checks = Starters::for($class)->checkList()->checks;
            $all = array_fill_keys(array_column($checks, 'key'), Verdict::Fit);
            self::assertSame(Verdict::Fit, RoundOutcome::of($checks, $all)->verdict, $class->value);
            foreach ($checks as $check) {
                $outcome = RoundOutcome::of($checks, array_diff_key($all, [$check->key => true]));
                $decides = $check->canStandDown() && $check->turn->after === null;
                self::assertSame($decides ? [null, [$check->title]] : [Verdict::Fit, []], [$outcome->verdict, $outcome->notJudged], "{$class->value} {$check->key}");
            }
        }
    }
}
