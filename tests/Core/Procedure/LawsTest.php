<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Machine\OpeningRole;
use Core\Procedure\Guard;
use Core\Procedure\Progress;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Timing\TimedStep;
use Core\Procedure\Timing\Timetable;
use Core\Procedure\Timing\Weights;
use Core\Procedure\Timing\Workload;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Drawn;

/** The laws of a plan on machines and sets of tasks made up by their seeds. */
final class LawsTest extends TestCase
{
    private const MACHINES = 2_000;

    /** Walked through with hands that fail here and there. */
    private const WALKED = 800;

    private const LAID_OUT = 40;

    #[Group('long')]
    public function test_every_plan_keeps_the_laws(): void
    {
        for ($seed = 1; $seed <= Drawn::times(self::MACHINES); $seed++) {
            Laws::hold(Plan::of(new RandomService($seed)), "seed {$seed}");
        }
        self::assertSame(Drawn::times(self::MACHINES) + 1, $seed);
    }

    /** Law 9, and law 6 in time: with two pans and one person. */
    public function test_hands_go_round_the_machine_and_drain_first_what_cools(): void
    {
        $changes = $housings = 0;
        for ($seed = 1; $seed <= self::LAID_OUT; $seed++) {
            $plan = Plan::of(new RandomService($seed));
            $steps = array_map(TimedStep::of(...), array_values($plan->steps));
            $table = Timetable::roundTheMachine(new Workload($steps, $plan->holds, ['pan' => 2, 'stand' => 1], 1), Weights::usual());
            self::assertGreaterThanOrEqual($table->lowerBound, $table->length);
            $changes += $table->changes;
            $housings += count(array_unique(array_filter(array_column($steps, 'place'))));
            foreach ($steps as $step) {
                self::isNotCutInTwo($step, $steps, $table, "seed {$seed}");
                self::waitsForWhatCools($step, $steps, $table, "seed {$seed}");
            }
        }
        self::assertLessThanOrEqual(0.3, $changes / $housings);
    }

    /** @param  list<TimedStep>  $steps */
    private static function isNotCutInTwo(TimedStep $step, array $steps, Timetable $table, string $name): void
    {
        $block = array_filter($steps, fn (TimedStep $one): bool => $one->block !== '' && $one->block === $step->block && $one->attended);
        $starts = array_map(fn (TimedStep $one): int => $table->starts[$one->key], $block);
        foreach ($block === [] ? [] : $steps as $other) {
            $at = $table->starts[$other->key];
            $isBetween = $other->attended && $other->block !== $step->block && min($starts) < $at && $at < max($starts);
            self::assertFalse($isBetween, "{$name}: {$other->key} cuts {$step->block} in two");
        }
    }

    /** @param  list<TimedStep>  $steps */
    private static function waitsForWhatCools(TimedStep $step, array $steps, Timetable $table, string $name): void
    {
        $cools = array_filter($steps, fn (TimedStep $one): bool => $one->cools);
        $at = $table->starts[$step->key];
        $warm = $table->starts[StepVerb::Warm->at()] ?? 0;
        if ($cools === [] || ! $step->attended || $at < $warm || $at >= max(array_map(fn (TimedStep $one): int => $table->starts[$one->key], $cools))) {
            return;
        }
        // What is begun while oil drips is brought to its end.
        $isGoingOn = $step->block !== '' && array_filter($steps, fn (TimedStep $one): bool => $one->block === $step->block && $table->starts[$one->key] < $at) !== [];
        $isForIt = $step->cools || $isGoingOn || array_filter($cools, fn (TimedStep $one): bool => $one->place === $step->place) !== [] || $step->place === '';
        $drips = array_filter($steps, fn (TimedStep $one): bool => ! $one->attended
            && $table->starts[$one->key] <= $at
            && $at <= $table->starts[$one->key] + $one->minutes);
        self::assertTrue($isForIt || $drips !== [] || str_starts_with($step->key, 'undo:'), "{$name}: {$step->key} before all is drained");
    }

    /** The mistakes of handbook section 16, rows 1 to 5: whatever fails on the way, none of them becomes possible. */
    #[Group('long')]
    public function test_whatever_cannot_be_done_nothing_is_poured_into_an_open_housing_and_nothing_runs_open_or_empty(): void
    {
        $failed = $inPieces = 0;
        for ($seed = 1; $seed <= Drawn::times(self::WALKED); $seed++) {
            $plan = Plan::of(new RandomService($seed));
            $random = new Randomizer(new Mt19937($seed));
            $done = $cannot = [];
            while (true) {
                $progress = new Progress(array_values($plan->steps), $done, $cannot);
                $ready = $progress->ready();
                if ($ready === []) {
                    break;
                }
                $step = $ready[$random->getInt(0, count($ready) - 1)];
                if ($random->getInt(1, 25) === 1) {
                    $cannot[$step->key] = true;
                    $failed++;
                } else {
                    self::isSafe($plan, $step, $done, "seed {$seed}");
                    $done[$step->key] = true;
                }
            }
            self::assertTrue($progress->isOver(), "seed {$seed}: every step is settled");
            $isOpen = self::open($plan, $done) !== [];
            self::assertSame($isOpen, array_filter($progress->inPieces(), fn (Step $step): bool => $step->act !== StepAct::Torque) !== [], "seed {$seed}: ".implode(' ', self::open($plan, $done)));
            $inPieces += $isOpen ? 1 : 0;
        }
        self::assertGreaterThan($seed / 4, $failed);
        self::assertGreaterThan($seed / 20, $inPieces);
    }

    /** @param  array<string, true>  $done */
    private static function isSafe(Plan $plan, Step $step, array $done, string $name): void
    {
        $open = self::open($plan, $done);
        foreach ($step->verb === StepVerb::Drain ? $plan->by(StepVerb::Loosen) : [] as $loosen) {
            $isOfThatCircuit = $loosen->place === $step->place;
            self::assertTrue(! $isOfThatCircuit || isset($done[$loosen->key]), "{$name}: {$step->key}, and {$loosen->key} is not done");
        }
        if ($step->verb === StepVerb::Pour) {
            foreach ($open as $opened) {
                $isOfThatHousing = $plan->steps[$opened]->place === $step->place && in_array($plan->steps[$opened]->verb, [StepVerb::Open, StepVerb::Remove], true);
                $mayStay = $plan->opening($plan->steps[$opened]->on->at)?->has(OpeningRole::Fill, OpeningRole::Level, OpeningRole::Draw, OpeningRole::Vent) === true
                    || $opened === StepVerb::Remove->at($step->on->at);
                self::assertTrue(! $isOfThatHousing || $mayStay, "{$name}: {$step->key} with {$opened} undone");
            }
        }
        if ($step->verb->turns() && $step->verb !== StepVerb::Warm) {
            $mayStay = [StepVerb::Raise, StepVerb::Reopen, StepVerb::BleedOpen];
            $wrong = array_filter($open, fn (string $key): bool => ! in_array($plan->steps[$key]->verb, $mayStay, true)
                && ! self::isForTheWholeService($plan->steps[$key])
                && ! ($step->verb === StepVerb::Purge && $plan->opening($plan->steps[$key]->on->at)?->isThreaded() === false));
            self::assertSame([], array_values($wrong), "{$name}: {$step->key} while undone");
        }
    }

    private static function isForTheWholeService(Step $undo): bool
    {
        return in_array(StepKey::read($undo->key)->place, [Guard::Starting->value, Guard::RunTow->value], true);
    }

    /**
     * @param  array<string, true>  $done
     * @return list<string> the steps that undid something which nothing has done up since
     */
    private static function open(Plan $plan, array $done): array
    {
        $open = [];
        foreach ($plan->steps as $step) {
            $at = $step->on->at;
            $doesUp = match ($step->verb) {
                StepVerb::Open => StepVerb::Close->at($at),
                StepVerb::Reopen => StepVerb::Reshut->at($at),
                StepVerb::Remove => StepVerb::Fit->at($at),
                StepVerb::Undo, StepVerb::ShutOff, StepVerb::Raise, StepVerb::BleedOpen => $step->bonds->pair,
                StepVerb::WhatRanOut => StepVerb::Pour->at($plan->holder($at)),
                default => null,
            };
            if (isset($done[$step->key]) && $doesUp !== null && ! isset($done[$doesUp])) {
                $open[] = $step->key;
            }
        }

        return $open;
    }
}
