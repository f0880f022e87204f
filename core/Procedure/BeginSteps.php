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
        $this->step(Phase::Secure, 'secure', StepAct::Secure, ServicedMachine::KEY, Caution::BeforeAnyWork->says());
        $minutes = 0;
        $warmed = [];
        foreach ($this->warmed() as $compartment) {
            $warmed[] = $compartment;
            $minutes = max($minutes, $compartment->warmMinutes());
        }
        if ($minutes > 0) {
            $names = implode(', ', array_column($warmed, 'name'));
            $this->step(
                Phase::Warm,
                'warm',
                StepAct::Warm,
                $warmed[0]->key,
                $this->machine->engine === Engine::Electric
                    ? "Drive it for {$minutes} min so that what comes out runs and carries its dirt along ({$names}); park it level again, key out."
                    : "Run it for {$minutes} min so that what comes out runs and carries its dirt along ({$names}); {$this->machine->stopped()}.",
                $minutes,
                false,
                array_column($warmed, 'key'),
            );
        }
        $opened = $this->cleanedRound();
        if ($opened !== []) {
            $this->step(
                Phase::Reach,
                'clean',
                StepAct::Clean,
                (string) array_key_first($opened),
                'Clean round everything that is to be opened: '.implode(', ', $opened).'.',
                covers: array_map(strval(...), array_keys($opened)),
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

    /** @param  list<string>  $covers */
    private function step(
        Phase $phase,
        string $key,
        StepAct $act,
        string $at,
        string $says,
        ?int $minutes = null,
        bool $attended = true,
        array $covers = [],
    ): void {
        $this->draft->add($phase, new Step(
            $key,
            $act,
            $at,
            $says,
            $minutes ?? $act->minutes(),
            $attended,
            cautions: Cautions::atStep($act, $this->machine->class),
            covers: $covers,
        ));
    }
}
