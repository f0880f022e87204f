<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;

/** What is undone or waited for to get at something, and done up when that is shut again. */
final readonly class WayThere
{
    /** Steps at a compartment in which it is not opened itself. */
    private const BESIDE_IT = ['undo', 'turn_on', 'shut_off'];

    public function __construct(
        private Draft $draft,
        private Scope $scope,
        private PlaceSteps $placeSteps,
    ) {
    }

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
            $at instanceof Part => ["remove:{$at->key}"],
            default => ["open:{$at->key}"],
        };
    }

    /** @return list<string> */
    public function shuts(Work $work): array
    {
        $at = $work->at;

        return match (true) {
            $at instanceof Compartment => $this->shutsCompartment($at),
            $at instanceof Part => ["fit:{$at->key}", "torque:{$at->key}", "look_over:{$at->key}"],
            default => ["close:{$at->key}", "torque:{$at->key}"],
        };
    }

    /** What a compartment's book says is undone to get there. */
    private function undo(Compartment $compartment): void
    {
        foreach ($compartment->putsBack as $undone) {
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
        $key = "cool:{$compartment->key}";
        $this->draft->add(Phase::Reach, new Step(
            $key,
            StepAct::Wait,
            $compartment->key,
            "Let {$compartment->name} cool until it can be touched, then turn its cap slowly.",
            $this->draft->has('warm') ? Compartment::COOL : 0,
            attended: false,
            cautions: [Caution::HotCoolant],
        ));
        foreach ($this->opensCompartment($compartment) as $opens) {
            $this->draft->needs($opens, $key);
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
            && in_array($step->at, $keys, true)
            && in_array($step->act, $acts, true)
            && ! in_array($step->verb(), self::BESIDE_IT, true));
    }
}
