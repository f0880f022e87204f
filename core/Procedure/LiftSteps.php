<?php

declare(strict_types=1);

namespace Core\Procedure;

/** The steps by which a machine is set on stands for the work, or lifted for nothing but its purge. */
final readonly class LiftSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine)
    {
    }

    public function add(): void
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
}
