<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\OpeningRole;

/** The steps by which the lines of a compartment are shut off before they are opened, and turned on again. */
final readonly class LineSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope)
    {
    }

    public function add(Compartment $compartment): void
    {
        $undone = $this->opened($compartment);
        if ($undone === [] || ! $this->isShutOff($compartment)) {
            return;
        }
        $key = $compartment->key;
        $valve = $compartment->valve ?? '';
        $this->step(Phase::Reach, "shut_off:{$key}", StepAct::Close, $compartment, $valve === ''
            ? "Shut {$compartment->name} off: its valve, or a line clamp on the soft line where there is none."
            : "Shut {$compartment->name} off: {$valve}.");
        foreach ($undone as $step) {
            $this->draft->needs($step, "shut_off:{$key}");
        }
        $this->step(Phase::Reach, "turn_on:{$key}", StepAct::Open, $compartment, $valve === ''
            ? "Turn {$compartment->name} on again: the valve open, or the clamp off."
            : "Turn {$compartment->name} on again: {$valve}.");
        $this->draft->onlyIf("turn_on:{$key}", "shut_off:{$key}");
        $this->draft->shut("turn_on:{$key}", $this->doneUp($compartment));
        if ($compartment->isFuel() && $this->machine->engine === Engine::Diesel) {
            $this->step(
                Phase::Bleed,
                "purge:{$key}",
                StepAct::Purge,
                $compartment,
                Purge::Diesel->says($compartment),
                Purge::Diesel->minutes($compartment),
            );
            $this->draft->needs("purge:{$key}", "turn_on:{$key}");
        }
    }

    private function isShutOff(Compartment $compartment): bool
    {
        return ($compartment->valve ?? '') !== ''
            || $compartment->isFuel()
            || ($compartment->isCoolant() && ! isset($this->scope->changed[$compartment->key]));
    }

    /** @return list<string> */
    private function opened(Compartment $compartment): array
    {
        return $this->steps($compartment, ['remove:'], ['open:']);
    }

    /** @return list<string> */
    private function doneUp(Compartment $compartment): array
    {
        return $this->steps($compartment, ['fit:', 'count_on:'], ['close:']);
    }

    /**
     * @param  list<string>  $ofParts
     * @param  list<string>  $ofOpenings
     * @return list<string>
     */
    private function steps(Compartment $compartment, array $ofParts, array $ofOpenings): array
    {
        $keys = ["{$ofOpenings[0]}{$compartment->key}"];
        foreach ($ofParts as $verb) {
            foreach ($this->scope->partsIn($compartment) as $part) {
                $keys[] = $verb.$part->key;
            }
        }
        foreach ($this->scope->openingsOf($compartment, ...OpeningRole::cases()) as $opening) {
            $keys[] = "{$ofOpenings[0]}{$opening->key}";
        }

        return array_values(array_filter($keys, $this->draft->has(...)));
    }

    private function step(
        Phase $phase,
        string $key,
        StepAct $act,
        Compartment $compartment,
        string $says,
        ?int $minutes = null,
    ): void {
        $this->draft->add($phase, new Step(
            $key,
            $act,
            $compartment->key,
            $says,
            $minutes ?? $act->minutes(),
            cautions: Cautions::atStep($act, $this->machine->class, $compartment->kind->subject()),
        ));
    }
}
