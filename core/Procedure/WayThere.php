<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;

/** What is undone or waited for to get at something, and done up when that is shut again. */
final readonly class WayThere
{
    /** Steps at a compartment in which it is not opened itself. */
    private const BESIDE_IT = [StepVerb::Undo, StepVerb::TurnOn, StepVerb::ShutOff];

    public function __construct(private Draft $draft, private Scope $scope, private PlaceSteps $placeSteps) {}

    /** To every compartment that is changed or opened, when its steps are there. */
    public function add(): void
    {
        foreach ([...$this->scope->changed, ...$this->scope->openedOnly()] as $compartment) {
            $this->undo($compartment);
            $this->letCool($compartment);
        }
    }

    /** @return list<string> the steps by which something is got at */
    public function opens(Work $work): array
    {
        $at = $work->at;

        return match (true) {
            $at instanceof Compartment => $this->opensCompartment($at),
            $at instanceof Part => [StepVerb::Remove->at($at->key)],
            default => [StepVerb::Open->at($at->key)],
        };
    }

    /** @return list<string> */
    public function shuts(Work $work): array
    {
        $at = $work->at;

        return match (true) {
            $at instanceof Compartment => $this->shutsCompartment($at),
            $at instanceof Part => [StepVerb::Fit->at($at->key), StepVerb::Torque->at($at->key), StepVerb::LookOver->at($at->key)],
            default => [StepVerb::Close->at($at->key), StepVerb::Torque->at($at->key)],
        };
    }

    /** What a compartment's book says is undone to get there. */
    private function undo(Compartment $compartment): void
    {
        foreach ($compartment->sheet->out->putsBack as $undone) {
            $this->placeSteps->pair(
                $undone,
                $compartment->key,
                $this->opensCompartment($compartment),
                $this->shutsCompartment($compartment),
            );
        }
    }

    /** A cooling system is opened only when it can be touched. */
    private function letCool(Compartment $compartment): void
    {
        if (! $compartment->isCoolant()) {
            return;
        }
        $cool = $this->draft->step(
            new StepKey(StepVerb::Cool, $compartment->key),
            "Let {$compartment->name} cool until it can be touched, then turn its cap slowly.",
            minutes: $this->draft->has(StepVerb::Warm->at()) ? Compartment::COOL : 0,
            cautions: [Caution::HotCoolant],
        );
        foreach ($this->opensCompartment($compartment) as $opens) {
            $this->draft->needs($opens, $cool);
        }
    }

    /** @return list<string> */
    private function opensCompartment(Compartment $compartment): array
    {
        return $this->stepsAt($compartment, StepAct::Loosen, StepAct::Open, StepAct::Remove);
    }

    /** @return list<string> */
    private function shutsCompartment(Compartment $compartment): array
    {
        return $this->stepsAt($compartment, StepAct::Close, StepAct::Fit, StepAct::Torque, StepAct::Pour);
    }

    /** @return list<string> those in which hands are at it and nothing runs */
    private function stepsAt(Compartment $compartment, StepAct ...$acts): array
    {
        $keys = [
            $compartment->key,
            ...array_column($this->scope->openingsOf($compartment, ...OpeningRole::cases()), 'key'),
            ...array_column($this->scope->partsIn($compartment), 'key'),
        ];
        $reach = array_flip($this->draft->in(Phase::Reach));

        return $this->draft->those(fn (Step $step): bool => isset($reach[$step->key])
            && in_array($step->on->at, $keys, true)
            && in_array($step->act, $acts, true)
            && ! in_array($step->verb, self::BESIDE_IT, true));
    }
}
