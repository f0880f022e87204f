<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\OpeningRole;

/** The steps by which the lines of a compartment are shut off before they are opened, and turned on again. */
final readonly class LineSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope) {}

    public function add(Compartment $compartment): void
    {
        $undone = $this->opened($compartment);
        if ($undone === [] || ! $this->isShutOff($compartment)) {
            return;
        }
        $key = $compartment->key;
        [$off, $on] = $this->ways($compartment);
        $subject = $compartment->kind->subject();
        $shutOff = $this->draft->step(new StepKey(StepVerb::ShutOff, $key), "Shut {$compartment->name} off: {$off}.", subject: $subject);
        foreach ($undone as $step) {
            $this->draft->needs($step, $shutOff);
        }
        $turnOn = $this->draft->step(new StepKey(StepVerb::TurnOn, $key), "Turn {$compartment->name} on again: {$on}.", subject: $subject);
        $this->draft->onlyIf($turnOn, $shutOff);
        $this->draft->shut($turnOn, $this->doneUp($compartment));
        if ($compartment->isFuel() && $this->machine->engine === Engine::Diesel) {
            $purge = $this->draft->step(
                new StepKey(StepVerb::Purge, $key),
                Purge::Diesel->says($compartment),
                phase: Phase::Bleed,
                minutes: Purge::Diesel->minutes($compartment),
                subject: $subject,
            );
            $this->draft->needs($purge, $turnOn);
        }
    }

    /** @return array{string, string} by what it is shut off and turned on */
    private function ways(Compartment $compartment): array
    {
        $valve = $compartment->sheet->out->valve;

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
        return $compartment->sheet->out->valve !== ''
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
        return $this->steps($compartment, [StepVerb::Remove], StepVerb::Open);
    }

    /** @return list<string> */
    private function doneUp(Compartment $compartment): array
    {
        return $this->steps($compartment, [StepVerb::Fit, StepVerb::CountOn], StepVerb::Close);
    }

    /**
     * @param  list<StepVerb>  $ofParts
     * @return list<string>
     */
    private function steps(Compartment $compartment, array $ofParts, StepVerb $ofOpenings): array
    {
        $keys = [$ofOpenings->at($compartment->key)];
        foreach ($ofParts as $verb) {
            foreach ($this->scope->partsIn($compartment) as $part) {
                $keys[] = $verb->at($part->key);
            }
        }
        foreach ($this->scope->openingsOf($compartment, ...OpeningRole::cases()) as $opening) {
            $keys[] = $ofOpenings->at($opening->key);
        }

        return array_values(array_filter($keys, $this->draft->has(...)));
    }
}
