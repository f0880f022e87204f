<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Procedure\Compartment;
use Core\Procedure\LevelReading;
use Core\Procedure\Part;
use Core\Procedure\Procedure;
use Core\Procedure\Progress;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Drawn;

/**
 * The order rules of the trade handbook (sections 7 to 9, 16 and 17), on 5,000 machines and sets of tasks made up by
 * their seeds.
 */
final class ProcedurePropertyTest extends TestCase
{
    private const MACHINES = 5_000;

    /** Walked through with hands that fail here and there. */
    private const WALKED = 800;

    private RandomService $service;

    private Procedure $procedure;

    private int $seed;

    /** @var array<string, array<string, true>> by step, all before it */
    private array $before = [];

    #[Group('long')]
    public function test_the_order_of_every_service_is_safe(): void
    {
        for ($this->seed = 1; $this->seed <= Drawn::times(self::MACHINES); $this->seed++) {
            $this->make($this->seed);
            $this->everything_waits_for_what_stands_before_it();
            $this->no_task_is_lost_and_shared_steps_are_one();
            $this->safe_before_reach_warm_before_drain_clean_before_open();
            $this->fill_plug_loose_and_air_in_before_a_drain_is_opened();
            $this->what_is_opened_is_shut_before_anything_runs();
            $this->pouring_waits_for_what_must_be_shut_and_only_for_that();
            $this->old_off_seat_looked_at_compared_before_new_on();
            $this->run_then_wait_then_read_then_right_then_sign_off();
            $this->lines_are_shut_off_first_and_on_again_before_bleeding();
            $this->a_machine_off_the_ground_is_lowered_before_its_levels_are_read();
        }
        self::assertSame(Drawn::times(self::MACHINES) + 1, $this->seed);
    }

    /** The mistakes of handbook section 16, rows 1 to 5: whatever fails on the way, none of them becomes possible. */
    #[Group('long')]
    public function test_whatever_cannot_be_done_nothing_is_poured_into_an_open_housing_and_nothing_runs_open_or_empty(): void
    {
        $failed = $inPieces = 0;
        for ($this->seed = 1; $this->seed <= Drawn::times(self::WALKED); $this->seed++) {
            $this->make($this->seed);
            $random = new Randomizer(new Mt19937($this->seed));
            $done = $cannot = [];
            while (true) {
                $progress = new Progress($this->procedure->steps, $done, $cannot);
                $ready = $progress->ready();
                if ($ready === []) {
                    break;
                }
                $step = $ready[$random->getInt(0, count($ready) - 1)];
                if ($random->getInt(1, 25) === 1) {
                    $cannot[$step->key] = true;
                    $failed++;
                } else {
                    $this->mustBeSafe($step, $done);
                    $done[$step->key] = true;
                }
            }
            self::assertTrue($progress->isOver(), "seed {$this->seed}: every step is settled");
            $isOpen = array_diff($this->open($done), $this->open([]));
            self::assertSame($isOpen !== [], $this->isInPieces($progress), "seed {$this->seed}: ".implode(' ', $isOpen));
            $inPieces += $isOpen === [] ? 0 : 1;
        }
        self::assertGreaterThan($this->seed / 4, $failed);
        self::assertGreaterThan($this->seed / 20, $inPieces);
    }

    private function make(int $seed): void
    {
        $this->service = new RandomService($seed);
        $this->procedure = Procedure::of(
            $this->service->machine,
            $this->service->works,
            $this->service->compartments,
            $this->service->parts,
        );
        $this->before = [];
        foreach ($this->procedure->steps as $step) {
            $before = array_fill_keys($step->bonds->after, true);
            foreach ($step->bonds->after as $key) {
                $before += $this->before[$key] ?? self::fail("seed {$seed}: {$step->key} stands before {$key}");
            }
            self::assertArrayNotHasKey($step->key, $this->before);
            $this->before[$step->key] = $before;
        }
    }

    private function everything_waits_for_what_stands_before_it(): void
    {
        foreach ($this->procedure->steps as $step) {
            foreach ([...$step->bonds->needs, ...$step->bonds->shut, ...$step->bonds->onlyIf] as $key) {
                $this->inOrder($key, $step->key, 'what it hangs on stands before it');
            }
            if ($step->key !== 'reset') {
                $this->inOrder($step->key, 'reset', 'the reminder is last');
            }
        }
    }

    private function no_task_is_lost_and_shared_steps_are_one(): void
    {
        foreach ($this->service->works as $work) {
            $at = $work->at instanceof Compartment && $work->kind !== TaskKind::Sample
                ? $work->at->sheet->sharesWith ?? $work->at->key
                : $work->at->key;
            $acts = match ($work->kind) {
                TaskKind::Replace => $work->at instanceof Part ? [StepAct::Fit] : [StepAct::Pour],
                TaskKind::Clean => [StepAct::Clean],
                TaskKind::Inspect => [StepAct::Look, StepAct::Measure],
                TaskKind::Adjust => [StepAct::Adjust],
                TaskKind::Lubricate => [StepAct::Lubricate],
                TaskKind::CheckLevel => [StepAct::Read],
                TaskKind::Sample => [StepAct::Look],
                TaskKind::Run => [StepAct::Run],
            };
            self::assertNotSame([], array_filter(
                $this->procedure->steps,
                fn (Step $step): bool => $step->on->at === $at && in_array($step->act, $acts, true),
            ), "seed {$this->seed}: {$work->kind->value} at {$at}");
        }
        foreach ([StepAct::Secure, StepAct::Warm, StepAct::Raise, StepAct::Lower, StepAct::Reset] as $once) {
            self::assertLessThanOrEqual(1, count($this->steps($once)), "seed {$this->seed}: {$once->value} once");
        }
        self::assertLessThanOrEqual(1, count(array_filter(
            $this->steps(StepAct::Clean),
            fn (Step $step): bool => $step->verb === StepVerb::CleanRound,
        )));
    }

    private function safe_before_reach_warm_before_drain_clean_before_open(): void
    {
        foreach ($this->procedure->steps as $step) {
            if ($step->act !== StepAct::Secure) {
                $this->inOrder('secure', $step->key, 'made safe first');
            }
            $reopens = $step->verb === StepVerb::Reopen || $step->verb === StepVerb::TurnOn;
            $opens = in_array($step->act, [StepAct::Open, StepAct::Remove], true)
                || $step->verb === StepVerb::Loosen;
            if ($opens && ! $reopens) {
                $this->inOrder('clean_round', $step->key, 'clean before open');
                foreach ($this->steps(StepAct::Warm) as $warm) {
                    $this->inOrder($warm->key, $step->key, 'nothing is open while it is warmed');
                }
            }
        }
        foreach ($this->changed() as $compartment) {
            if ($compartment->isCoolant()) {
                foreach ($this->opensOf($compartment) as $open) {
                    $this->inOrder("cool:{$compartment->key}", $open->key, 'coolant is opened when it can be touched');
                }
                self::assertContains(Caution::HotCoolant, $this->procedure->step("cool:{$compartment->key}")->cautions ?? []);
            }
        }
    }

    private function fill_plug_loose_and_air_in_before_a_drain_is_opened(): void
    {
        foreach ($this->changed() as $compartment) {
            foreach ($this->steps(StepAct::Drain, $this->placesOf($compartment)) as $drain) {
                $this->inOrder($drain->key, "pour:{$compartment->key}", 'every drain runs out before it is filled');
                if ($this->isSuckedOut($drain)) {
                    continue;
                }
                $opens = $drain->bonds->after;
                foreach ($compartment->openings(OpeningRole::Fill) as $fill) {
                    $this->inOrder("loosen:{$fill->key}", $drain->key, 'fill plug loose before drain plug');
                    $this->inOrder("open:{$fill->key}", $drain->key, 'venting before draining');
                    foreach ($opens as $open) {
                        $this->inOrder("open:{$fill->key}", $open, 'venting before the drain is touched');
                    }
                }
                foreach ($compartment->openings(OpeningRole::Vent) as $vent) {
                    $this->inOrder("open:{$vent->key}", $drain->key, 'vent before drain');
                }
            }
        }
    }

    private function what_is_opened_is_shut_before_anything_runs(): void
    {
        $turning = array_filter(
            $this->procedure->steps,
            fn (Step $step): bool => $step->act->turnsTheEngine() && $step->act !== StepAct::Warm,
        );
        foreach ($this->procedure->steps as $step) {
            $shut = match (true) {
                $step->verb === StepVerb::Open => "close:{$step->on->at}",
                $step->verb === StepVerb::Undo => StepVerb::Couple->at(StepKey::read($step->key)->place),
                $step->verb === StepVerb::ShutOff => "turn_on:{$step->on->at}",
                $step->act === StepAct::Remove => "fit:{$step->on->at}",
                default => null,
            };
            if ($shut === null) {
                continue;
            }
            $this->inOrder($step->key, $shut, 'what is undone is done up');
            self::assertContains($step->key, $this->procedure->step($shut)->bonds->onlyIf ?? []);
            foreach ($turning as $runs) {
                $this->inOrder($shut, $runs->key, 'done up before anything runs');
            }
        }
        foreach ($this->steps(StepAct::Torque) as $torque) {
            $seated = $this->procedure->step("close:{$torque->on->at}") === null ? 'fit' : 'close';
            $this->inOrder("{$seated}:{$torque->on->at}", $torque->key, 'by hand first, then torque');
            $this->inOrder($torque->key, 'try', 'nothing is left loose when it is tried out');
        }
        foreach ($this->changed() as $compartment) {
            foreach ($compartment->openings(OpeningRole::Drain) as $drain) {
                if ($this->procedure->step("close:{$drain->key}") !== null) {
                    self::assertNotNull($this->procedure->step("torque:{$drain->key}"), "seed {$this->seed}");
                }
            }
        }
    }

    private function pouring_waits_for_what_must_be_shut_and_only_for_that(): void
    {
        foreach ($this->changed() as $compartment) {
            $pour = "pour:{$compartment->key}";
            foreach ($compartment->openings as $opening) {
                if ($this->procedure->step("close:{$opening->key}") === null) {
                    continue;
                }
                $staysOpen = $opening->role === OpeningRole::Fill
                    || ($opening->role === OpeningRole::Vent && $compartment->sheet->service->vents)
                    || ($opening->role === OpeningRole::Level && $this->isLevelPlug($compartment));
                $staysOpen
                    ? $this->inOrder($pour, "close:{$opening->key}", 'what tells when it is full, and the filler, stay open')
                    : ($opening->role === OpeningRole::Draw || $this->inOrder("close:{$opening->key}", $pour, 'shut before pouring'));
            }
            foreach ($this->service->parts as $part) {
                if ($part->in === $compartment->key && $this->procedure->step("fit:{$part->key}") !== null) {
                    $this->inOrder("fit:{$part->key}", $pour, 'filters on before pouring');
                    if ($part->fitting->loose !== []) {
                        $this->inOrder("count_on:{$part->key}", $pour, 'pieces counted before pouring');
                    }
                }
            }
        }
    }

    private function old_off_seat_looked_at_compared_before_new_on(): void
    {
        foreach ($this->steps(StepAct::Remove) as $remove) {
            $fit = "fit:{$remove->on->at}";
            $this->between("look:{$remove->on->at}", $remove->key, $fit, 'the seat is looked at');
            $isNew = array_filter($this->service->works, fn ($work): bool => $work->kind === TaskKind::Replace && $work->at->key === $remove->on->at);
            $this->between($isNew === [] ? "clean:{$remove->on->at}" : "compare:{$remove->on->at}", $remove->key, $fit, 'compared, or cleaned');
            if ($this->procedure->step("count_off:{$remove->on->at}") !== null) {
                $this->between("count_off:{$remove->on->at}", $remove->key, $fit, 'pieces counted when off');
                $this->inOrder($fit, "count_on:{$remove->on->at}", 'and when on');
            }
            if ($this->procedure->step("prefill:{$remove->on->at}") !== null) {
                $this->between("prefill:{$remove->on->at}", "compare:{$remove->on->at}", $fit, 'filled before it is fitted');
            }
            foreach ($this->procedure->step('label')->on->covers ?? [] as $labelled) {
                $this->inOrder("fit:{$labelled}", 'label', 'written on when fitted');
            }
        }
    }

    private function run_then_wait_then_read_then_right_then_sign_off(): void
    {
        foreach ($this->steps(StepAct::Read) as $read) {
            $key = $read->on->at;
            $compartment = $this->compartment($key);
            if ($this->procedure->step("top_up:{$key}") !== null) {
                $this->inOrder($read->key, "top_up:{$key}", 'read before topping up');
                $this->inOrder("top_up:{$key}", $this->procedure->step('try') === null ? 'reset' : 'try', 'level right before it is tried out');
            }
            if ($this->procedure->step("wait:{$key}") !== null) {
                $this->inOrder("wait:{$key}", $read->key, 'wait before reading');
            }
            $drinks = array_filter($this->service->parts, fn (Part $part): bool => $part->in === $key
                && $part->fitting->drinks !== ''
                && $this->procedure->step("fit:{$part->key}") !== null);
            if ($drinks !== [] && ! $compartment->isFuel()) {
                self::assertNotSame([], array_filter(
                    $this->procedure->steps,
                    fn (Step $step): bool => $step->act->turnsTheEngine()
                        && $step->act !== StepAct::Warm
                        && isset($this->before[$read->key][$step->key]),
                ), "seed {$this->seed}: {$key} is run before it is read, its filter drank");
            }
            if (LevelReading::of($compartment, false) === LevelReading::Idling && $this->procedure->step("pour:{$key}") !== null) {
                $this->inOrder("idle:{$key}", $read->key, 'read idling');
                self::assertNull($this->procedure->step("wait:{$key}"), 'and not after it stood');
            }
        }
        if ($this->procedure->step('leaks') !== null) {
            foreach ($this->steps(StepAct::Run) as $run) {
                if ($run->key !== 'try') {
                    $this->inOrder($run->key, 'leaks', 'leaks are looked for after running');
                }
            }
            $this->between('try', 'leaks', 'leaks_again', 'and again after it was tried out');
        }
    }

    private function lines_are_shut_off_first_and_on_again_before_bleeding(): void
    {
        foreach ($this->service->compartments as $compartment) {
            $opened = array_filter(
                $this->steps(StepAct::Remove, $this->placesOf($compartment)),
                fn (Step $step): bool => $compartment->isFuel() || $compartment->sheet->out->valve !== '',
            );
            foreach ($compartment->sheet->sharesWith === null ? $opened : [] as $remove) {
                $this->inOrder("shut_off:{$compartment->key}", $remove->key, 'shut before a line is opened');
                $this->inOrder("fit:{$remove->on->at}", "turn_on:{$compartment->key}", 'on again when all is on');
                if ($this->procedure->step("purge:{$compartment->key}") !== null) {
                    $this->inOrder("turn_on:{$compartment->key}", "purge:{$compartment->key}", 'open before bleeding');
                }
            }
        }
    }

    private function a_machine_off_the_ground_is_lowered_before_its_levels_are_read(): void
    {
        if ($this->procedure->step('raise') === null) {
            return;
        }
        $this->inOrder('raise', 'lower', 'what is raised is lowered');
        foreach ($this->steps(StepAct::Read) as $read) {
            $isToldByTheFill = $this->procedure->step("top_up:{$read->on->at}") === null;
            if (! $isToldByTheFill) {
                $this->inOrder('lower', $read->key, 'levels are read on level ground');
            }
        }
        foreach ($this->steps(StepAct::Purge) as $purge) {
            if (in_array(Caution::TurningWheels, $purge->cautions, true)) {
                $this->between($purge->key, 'raise', 'lower', 'wheels turn off the ground');
            }
        }
    }

    /** @param  array<string, true>  $done */
    private function mustBeSafe(Step $step, array $done): void
    {
        $open = $this->open($done);
        if ($step->act === StepAct::Drain && ! $this->isSuckedOut($step)) {
            foreach ($this->holder($step)->openings(OpeningRole::Fill) as $fill) {
                self::assertArrayHasKey("loosen:{$fill->key}", $done, "seed {$this->seed}: drained, and {$fill->key} will not open");
            }
        }
        if ($step->act === StepAct::Pour) {
            $compartment = $this->compartment($step->on->at);
            foreach ($open as $opened) {
                $mayBe = in_array($opened, array_map(
                    fn ($opening): string => "open:{$opening->key}",
                    $this->mayStayOpen($compartment),
                ), true);
                $isHere = in_array($this->procedure->step($opened)?->on->at, $this->placesOf($compartment), true);
                self::assertTrue($mayBe || ! $isHere || str_starts_with($opened, 'shut_off:') || str_starts_with($opened, 'drain:') || str_starts_with($opened, 'undo:'), "seed {$this->seed}: {$step->key} with {$opened} undone");
            }
        }
        if ($step->act->turnsTheEngine() && $step->act !== StepAct::Warm) {
            $undone = array_filter($open, fn (string $key): bool => ! str_starts_with($key, 'reopen:') && $key !== 'raise');
            self::assertSame([], array_values($undone), "seed {$this->seed}: {$step->key} while undone");
        }
    }

    /**
     * @param  array<string, true>  $done
     * @return list<string> the steps that undid something which nothing has done up since
     */
    private function open(array $done): array
    {
        $open = [];
        foreach ($this->procedure->steps as $step) {
            $undoes = match (true) {
                $step->verb === StepVerb::Open => ["close:{$step->on->at}"],
                $step->verb === StepVerb::Undo => [StepVerb::Couple->at(StepKey::read($step->key)->place)],
                $step->verb === StepVerb::ShutOff => ["turn_on:{$step->on->at}"],
                $step->act === StepAct::Remove => ["fit:{$step->on->at}"],
                $step->act === StepAct::Drain => ["pour:{$this->holder($step)->key}"],
                $step->verb === StepVerb::Reopen => ["reshut:{$step->on->at}"],
                $step->key === 'raise' => ['lower'],
                default => [],
            };
            if (isset($done[$step->key]) && $undoes !== [] && ! isset($done[$undoes[0]])) {
                $open[] = $step->key;
            }
        }

        return $open;
    }

    private function isInPieces(Progress $progress): bool
    {
        return array_filter(
            $progress->inPieces(),
            fn (Step $step): bool => $step->act !== StepAct::Torque,
        ) !== [];
    }

    private function holder(Step $drain): Compartment
    {
        foreach ($this->service->compartments as $compartment) {
            if (in_array($drain->on->at, $this->placesOf($compartment), true)) {
                return $compartment->sheet->sharesWith === null ? $compartment : $this->compartment($compartment->sheet->sharesWith);
            }
        }
        self::fail("seed {$this->seed}: {$drain->key} belongs to no compartment");
    }

    /** @return list<\Core\Procedure\Opening> */
    private function mayStayOpen(Compartment $compartment): array
    {
        $open = [];
        foreach ($this->service->compartments as $one) {
            if ($one->key === $compartment->key || $one->sheet->sharesWith === $compartment->key) {
                $open = [
                    ...$open,
                    ...$one->openings(OpeningRole::Fill, OpeningRole::Draw),
                    ...$compartment->sheet->service->vents ? $one->openings(OpeningRole::Vent) : [],
                    ...$this->isLevelPlug($compartment) ? $one->openings(OpeningRole::Level) : [],
                ];
            }
        }

        return $open;
    }

    private function isLevelPlug(Compartment $compartment): bool
    {
        return $compartment->method === \Core\Fluid\Level\LevelMethod::LevelPlug;
    }

    /** @return list<Compartment> whose fluid is changed */
    private function changed(): array
    {
        return array_values(array_filter(
            $this->service->compartments,
            fn (Compartment $compartment): bool => $this->procedure->step("pour:{$compartment->key}") !== null,
        ));
    }

    private function compartment(string $key): Compartment
    {
        return array_column($this->service->compartments, null, 'key')[$key];
    }

    /** @return list<string> */
    private function placesOf(Compartment $compartment): array
    {
        return [
            $compartment->key,
            ...array_column($compartment->openings, 'key'),
            ...array_column(array_filter(
                $this->service->parts,
                fn (Part $part): bool => $part->in === $compartment->key,
            ), 'key'),
        ];
    }

    /** @return list<Step> */
    private function opensOf(Compartment $compartment): array
    {
        return array_values(array_filter(
            $this->steps(StepAct::Open, $this->placesOf($compartment)),
            fn (Step $step): bool => $step->verb === StepVerb::Open,
        ));
    }

    private function isSuckedOut(Step $drain): bool
    {
        return str_starts_with($drain->says, 'Suck');
    }

    /**
     * @param  list<string>|null  $at
     * @return list<Step>
     */
    private function steps(StepAct $act, ?array $at = null): array
    {
        return array_values(array_filter(
            $this->procedure->steps,
            fn (Step $step): bool => $step->act === $act && ($at === null || in_array($step->on->at, $at, true)),
        ));
    }

    private function between(string $middle, string $first, string $last, string $rule): void
    {
        $this->inOrder($first, $middle, $rule);
        $this->inOrder($middle, $last, $rule);
    }

    private function inOrder(string $first, string $then, string $rule): bool
    {
        // Millions of times: a message is made only where it is needed.
        if (! isset($this->before[$then][$first])) {
            self::assertArrayHasKey($then, $this->before, "seed {$this->seed}: {$rule}, and there is no {$then}");
            self::assertArrayHasKey($first, $this->before[$then], "seed {$this->seed}: {$rule}: {$first}, then {$then}");
        }

        return true;
    }
}
