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
        [$off, $on] = $this->ways($compartment);
        $this->step(Phase::Reach, "shut_off:{$key}", StepAct::Close, $compartment, "Shut {$compartment->name} off: {$off}.");
        foreach ($undone as $step) {
            $this->draft->needs($step, "shut_off:{$key}");
        }
        $this->step(Phase::Reach, "turn_on:{$key}", StepAct::Open, $compartment, "Turn {$compartment->name} on again: {$on}.");
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

    /** @return array{string, string} by what it is shut off and turned on */
    private function ways(Compartment $compartment): array
    {
        $valve = $compartment->valve ?? '';

        return match (true) {
            $valve !== '' => [$valve, $valve],
            $this->hasShutOff($compartment) => [
                'its valve, or a line clamp on the soft line where there is none',
                'the valve open, or the clamp off',
            ],
            default => ['a light vacuum on its tank, which holds the oil in', 'the vacuum off'],
        };
    }

    private function isShutOff(Compartment $compartment): bool
    {
        return $this->hasShutOff($compartment) || $this->isHeldBack($compartment);
    }

    private function hasShutOff(Compartment $compartment): bool
    {
        return ($compartment->valve ?? '') !== ''
            || $compartment->isFuel()
            || ($compartment->isCoolant() && ! isset($this->scope->changed[$compartment->key]));
    }

    /** Whether its oil stays in by a vacuum while its filter is off. */
    private function isHeldBack(Compartment $compartment): bool
    {
        $filters = array_filter($this->scope->partsIn($compartment), fn (Part $part): bool => $part->isFilter());

        return $filters !== []
            && ! isset($this->scope->changed[$compartment->key])
            && $this->machine->schools->way(School::FilterAlone) === 'vacuum';
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
