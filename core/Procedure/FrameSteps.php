<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;

/** The steps between which the work is done: those with which a service begins, lifts the machine, and ends. */
final readonly class FrameSteps
{
    /** After which a machine is tried out. */
    private const CHANGES = [StepAct::Open, StepAct::Remove, StepAct::Adjust];

    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope) {}

    /** Made safe, warmed up, cleaned round what is opened. */
    public function begin(): void
    {
        $this->draft->step(
            new StepKey(StepVerb::Secure),
            $this->machine->madeSafe(),
            new Workpiece(ServicedMachine::KEY),
            Phase::Secure,
            cautions: Cautions::ofClass($this->machine->class),
        );
        $this->warm();
        $opened = $this->cleanedRound();
        if ($opened !== []) {
            $this->draft->step(
                new StepKey(StepVerb::CleanRound),
                'Clean round everything that is to be opened: '.implode(', ', $opened).'.',
                Workpiece::all(array_map(strval(...), array_keys($opened))),
                Phase::Guard,
            );
        }
    }

    /** What could start is made dead where hands can lose by it, when all that needs it is there. */
    public function guard(): void
    {
        $guard = Guard::of($this->machine);
        $hands = array_flip($this->draft->in(Phase::Ground, Phase::Reach));
        $guarded = $this->draft->those(fn (Step $step): bool => isset($hands[$step->key])
            && ($guard->isForTheWholeService() || in_array(Caution::Blades, $step->cautions, true)));
        if ($guarded === []) {
            return;
        }
        [$off, $on] = array_map(fn (string $title): Workpiece => new Workpiece(ServicedMachine::KEY, thing: $title), $guard->titles());
        // What was warmed is drained before anybody walks round to the leads.
        $undo = $this->draft->step(
            new StepKey(StepVerb::Undo, $guard->value),
            $guard->undone(),
            $off,
            $guard->isForTheWholeService() ? Phase::Guard : Phase::Reach,
        );
        $couple = $this->draft->step(
            new StepKey(StepVerb::Couple, $guard->value),
            $guard->doneUp(),
            $on,
            $guard->isForTheWholeService() ? Phase::End : Phase::Reach,
        );
        $this->draft->pair($undo, $couple);
        if ($guard === Guard::BatteryNegative) {
            $this->draft->posts($undo, $couple, isOffMeanwhile: true);
        }
        $this->draft->onlyIf($couple, $undo);
        foreach ($guarded as $step) {
            $this->draft->needs($step, $undo);
        }
        if (! $guard->isForTheWholeService()) {
            $this->draft->waits($couple, array_diff($this->handsOn(), [$couple]));
        }
    }

    /** Set on stands for the work, or lifted for nothing but its purge. */
    public function lift(): void
    {
        $purged = $this->draft->in(Phase::Purge);
        if (! $this->machine->raised && $purged === []) {
            return;
        }
        $machine = new Workpiece(ServicedMachine::KEY);
        $raise = $this->draft->step(
            new StepKey(StepVerb::Raise),
            $this->machine->raised
                ? 'Raise it at its points and set it on stands, or lock the lift; the wheels that stay down are chocked. Push at it: it does not rock.'
                : 'Raise the driven wheels just clear of the ground, about an inch, and set it on stands; the others are chocked.',
            $machine,
            $this->machine->raised ? Phase::Raise : Phase::Lift,
            cautions: [Caution::OffTheGround],
        );
        $lower = $this->draft->step(
            new StepKey(StepVerb::Lower),
            'Look that nobody and nothing is under it; off its stands, lock and chocks away, and let it down: levels are read on level ground.',
            $machine,
            Phase::Lower,
        );
        $this->draft->pair($raise, $lower);
        $this->draft->onlyIf($lower, $raise);
        foreach ($purged as $purge) {
            $this->draft->needs($purge, $raise);
        }
        $this->draft->hold(Hold::STAND, $raise, $lower);
    }

    /** Leaks looked for, the machine tried out, its reminder set. */
    public function end(): void
    {
        $machine = new Workpiece(ServicedMachine::KEY);
        $wet = array_column([...$this->scope->changed, ...$this->scope->caught()], 'key');
        $changes = $this->changes();
        $off = $this->machine->isElectric() ? 'Key out' : 'Engine off';
        if ($wet !== []) {
            $leaks = $this->draft->step(
                new StepKey(StepVerb::Leaks),
                "{$off}: look along every joint that was open. Dry is fine. Where it weeps, snug it up, wipe it, and look again.",
                Workpiece::all($wet),
                Phase::Leaks,
                cautions: [Caution::Leaks],
            );
            $this->draft->onlyIf($leaks, $changes);
        }
        if ($changes !== []) {
            $try = $this->draft->step(new StepKey(StepVerb::TryOut), $this->triedOut(), $machine, Phase::Try);
            $this->draft->onlyIf($try, $changes);
        }
        if ($wet !== [] && $changes !== []) {
            $again = $this->draft->step(
                new StepKey(StepVerb::LeaksAgain),
                "{$off}: look for leaks once more, where it was warm now.",
                Workpiece::all($wet),
                Phase::End,
            );
            $this->draft->onlyIf($again, $changes);
        }
        if (Guard::of($this->machine)->isForTheWholeService()) {
            $this->draft->waits(StepVerb::Couple->at(Guard::of($this->machine)->value), StepVerb::LeaksAgain->at());
        }
        $this->draft->step(new StepKey(StepVerb::Reset), 'Set the machine\'s own reminder, last of all: rounded down to what its display takes.', $machine, Phase::End);
    }

    /** What can hurt whenever it runs. */
    public function warn(): void
    {
        $turning = $this->draft->those(fn (Step $step): bool => $step->verb->turns() && ! $this->isPrimed($step));
        if ($turning !== [] && ! $this->machine->isElectric()) {
            $this->draft->warn($turning[0], Caution::Running);
        }
        foreach ($turning as $step) {
            if ($this->machine->stands()) {
                $this->draft->warn($step, Caution::StartingGenerator);
            }
        }
        foreach (array_intersect($turning, $this->draft->in(Phase::Purge)) as $step) {
            $this->draft->warn($step, Caution::TurningWheels);
        }
    }

    /** A fuel line is rid of air with the engine standing. */
    private function isPrimed(Step $step): bool
    {
        return $step->verb === StepVerb::Purge && $this->draft->has(StepVerb::BleedShut->at($step->on->at));
    }

    private function warm(): void
    {
        $warmed = $this->warmed();
        if ($warmed === []) {
            return;
        }
        $minutes = max(array_map(fn (Compartment $one): int => $one->warmMinutes(), $warmed));
        $names = implode(', ', array_column($warmed, 'name'));
        $isDriven = array_filter($warmed, fn (Compartment $one): bool => $one->isWarmedByDriving()) !== [];
        $why = "so that what comes out runs and carries its dirt along ({$names})";
        $this->draft->step(
            new StepKey(StepVerb::Warm),
            match (true) {
                $this->machine->isElectric() => "Drive it for {$minutes} min {$why}; {$this->machine->stopped()}.",
                $isDriven && ! $this->machine->stands() => "Drive and work it for {$minutes} min {$why}: idling warms no gears. Park it level, {$this->machine->stopped()}.",
                default => "Run it for {$minutes} min {$why}; {$this->machine->stopped()}.",
            },
            Workpiece::all(array_column($warmed, 'key')),
            Phase::Warm,
            $minutes,
        );
    }

    /** @return list<Compartment> */
    private function warmed(): array
    {
        $warmed = [];
        foreach ($this->scope->changed as $circuit) {
            $warmed = [...$warmed, ...$circuit->housings];
        }
        foreach ($this->scope->works as $work) {
            if ($work->kind === TaskKind::Sample && $work->at instanceof Compartment) {
                $warmed[] = $work->at;
            }
        }

        return array_values(array_column(
            array_filter($warmed, fn (Compartment $one): bool => $one->warmMinutes() > 0),
            null,
            'key',
        ));
    }

    /** @return array<string, string> by key, the names of all that is opened or comes off */
    private function cleanedRound(): array
    {
        $names = [];
        foreach ($this->scope->changed as $circuit) {
            $names += array_column(array_filter($circuit->openings(), fn (Opening $one): bool => $this->isOpened($circuit, $one)), 'name', 'key')
                ?: [$circuit->key => $circuit->name];
        }
        foreach ([...$this->scope->caught(), ...$this->scope->levels] as $circuit) {
            $names += array_column([...$circuit->levelPlugs(), ...isset($this->scope->levels[$circuit->key]) ? [] : $circuit->fills()], 'name', 'key');
        }
        foreach ([...$this->scope->openings, ...$this->scope->parts] as $one) {
            $names[$one->key] = $one->name;
        }

        return $names;
    }

    /** Whether it is opened where a circuit is changed. */
    private function isOpened(Circuit $circuit, Opening $opening): bool
    {
        $drawn = array_merge(...array_map(fn (Compartment $housing): array => $housing->draws(), $circuit->housings));

        return in_array($opening, [...$circuit->fills(), ...$circuit->levelPlugs()], false)
            || $opening->has(OpeningRole::Drain, OpeningRole::Vent, OpeningRole::Strainer)
            || in_array($opening, $drawn, false);
    }

    private function triedOut(): string
    {
        return match (true) {
            $this->machine->stands() => 'Try it out: start it, load on. Temperature and oil pressure where there is a gauge, voltage, noises.',
            $this->machine->isElectric() => 'Try it out: drive it slowly, listen for noises, try its brakes.',
            default => 'Try it out, slowly at first: brakes, then noises, temperature, oil pressure at idle where there is a gauge.',
        };
    }

    /** @return list<string> the steps in which something is opened, taken off or adjusted */
    private function changes(): array
    {
        $reach = array_flip($this->draft->in(Phase::Ground, Phase::Reach));

        return $this->draft->those(fn (Step $step): bool => isset($reach[$step->key])
            && in_array($step->act, self::CHANGES, true)
            && $step->verb !== StepVerb::TurnOn);
    }

    /** @return list<string> */
    private function handsOn(): array
    {
        return $this->draft->in(Phase::Raise, Phase::Reach);
    }
}
