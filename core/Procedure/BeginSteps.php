<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;

/** The steps with which a service begins: made safe, warmed up, cleaned round what is opened. */
final readonly class BeginSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope)
    {
    }

    public function add(): void
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
}
