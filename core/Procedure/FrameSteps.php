<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;

/** The steps between which the work is done: those with which a service begins, lifts the machine, and ends. */
final readonly class FrameSteps
{
    /** Acts after which a machine is tried out and looked at for leaks. */
    private const CHANGES = [StepAct::Open, StepAct::Remove, StepAct::Adjust];

    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope) {}

    /** Made safe, warmed up, cleaned round what is opened. */
    public function begin(): void
    {
        $this->draft->step(new StepKey(StepVerb::Secure), Caution::BeforeAnyWork->says(), new Workpiece(ServicedMachine::KEY), Phase::Secure);
        $minutes = 0;
        $warmed = [];
        foreach ($this->warmed() as $compartment) {
            $warmed[] = $compartment;
            $minutes = max($minutes, $compartment->warmMinutes());
        }
        if ($minutes > 0) {
            $names = implode(', ', array_column($warmed, 'name'));
            $this->draft->step(
                new StepKey(StepVerb::Warm),
                $this->machine->engine === Engine::Electric
                    ? "Drive it for {$minutes} min so that what comes out runs and carries its dirt along ({$names}); park it level again, key out."
                    : "Run it for {$minutes} min so that what comes out runs and carries its dirt along ({$names}); {$this->machine->stopped()}.",
                Workpiece::all(array_column($warmed, 'key')),
                Phase::Warm,
                $minutes,
            );
        }
        $opened = $this->cleanedRound();
        if ($opened !== []) {
            $this->draft->step(
                new StepKey(StepVerb::CleanRound),
                'Clean round everything that is to be opened: '.implode(', ', $opened).'.',
                Workpiece::all(array_map(strval(...), array_keys($opened))),
            );
        }
    }

    /** @return list<Compartment> */
    private function warmed(): array
    {
        $warmed = $this->scope->changed;
        foreach ($this->scope->works as $work) {
            if ($work->kind === TaskKind::Sample && $work->at instanceof Compartment) {
                $warmed[$work->at->key] = $work->at;
            }
        }

        return array_values(array_filter($warmed, fn (Compartment $one): bool => $one->warmMinutes() > 0));
    }

    /** @return array<string, string> by key, the names of all that is opened or comes off */
    private function cleanedRound(): array
    {
        $names = [];
        foreach ($this->scope->changed as $compartment) {
            foreach ($this->scope->openingsOf($compartment, OpeningRole::Drain, OpeningRole::Draw, OpeningRole::Vent) as $one) {
                $names[$one->key] = $one->name;
            }
            foreach ([...$this->scope->fillsOf($compartment), ...$this->scope->levelPlugsOf($compartment)] as $one) {
                $names[$one->key] = $one->name;
            }
            if ($names === []) {
                $names[$compartment->key] = $compartment->name;
            }
        }
        foreach ([...$this->scope->openings, ...$this->scope->parts] as $one) {
            $names[$one->key] = $one->name;
        }

        return $names;
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
                ? 'Raise it and set it on stands, or lock the lift; the wheels that stay down are chocked.'
                : 'Raise the driven wheels just clear of the ground, about an inch, and set it on stands.',
            $machine,
            $this->machine->raised ? Phase::Raise : Phase::Lift,
        );
        $lower = $this->draft->step(
            new StepKey(StepVerb::Lower),
            'Look that nobody and nothing is under it, and lower it: levels are read on level ground.',
            $machine,
            Phase::Lower,
        );
        $this->draft->onlyIf($lower, $raise);
        $this->draft->needs(StepVerb::CleanRound->at(), $this->machine->raised ? $raise : []);
        foreach ($purged as $purge) {
            $this->draft->needs($purge, $raise);
        }
        $this->draft->hold(Hold::STAND, $raise, $lower);
    }

    /** Leaks looked for, the machine tried out, filters written on, its reminder set. */
    public function end(): void
    {
        $machine = new Workpiece(ServicedMachine::KEY);
        $wet = array_column([...$this->scope->changed, ...$this->scope->openedOnly()], 'key');
        $changes = $this->changes();
        if ($wet !== []) {
            $leaks = $this->draft->step(new StepKey(StepVerb::Leaks), 'Engine off: look along every joint that was open, dry it, and look again.', Workpiece::all($wet), Phase::Leaks);
            $this->draft->onlyIf($leaks, $changes);
        }
        if ($changes !== []) {
            $try = $this->draft->step(
                new StepKey(StepVerb::TryOut),
                $this->machine->engine === Engine::Electric
                    ? 'Try it out: drive it, listen for noises, try its brakes.'
                    : 'Try it out: temperature, oil pressure at idle where there is a gauge, noises, brakes.',
                $machine,
                Phase::Try,
            );
            $this->draft->onlyIf($try, $changes);
        }
        if ($wet !== [] && $changes !== []) {
            $again = $this->draft->step(new StepKey(StepVerb::LeaksAgain), 'Engine off: look for leaks once more.', Workpiece::all($wet), Phase::End);
            $this->draft->onlyIf($again, $changes);
        }
        $filters = array_column(array_filter($this->scope->parts, fn (Part $part): bool => $part->isFilter()), 'key');
        if ($filters !== []) {
            $label = $this->draft->step(new StepKey(StepVerb::Label), 'Write date and hours on each new filter with a marker.', Workpiece::all($filters), Phase::End);
            $this->draft->onlyIf($label, array_map(fn (string $filter): string => StepVerb::Fit->at($filter), $filters));
        }
        $this->draft->step(new StepKey(StepVerb::Reset), 'Set the machine\'s own reminder, last of all: rounded down to what its display takes.', $machine, Phase::End);
    }

    /** @return list<string> the steps in which something is opened, taken off or adjusted */
    private function changes(): array
    {
        $reach = array_flip($this->draft->in(Phase::Reach));

        return $this->draft->those(fn (Step $step): bool => isset($reach[$step->key])
            && in_array($step->act, self::CHANGES, true)
            && $step->verb !== StepVerb::TurnOn);
    }
}
