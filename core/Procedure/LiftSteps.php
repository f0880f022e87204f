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
        $this->step(
            $this->machine->raised ? Phase::Raise : Phase::Lift,
            'raise',
            StepAct::Raise,
            $this->machine->raised
                ? 'Raise it and set it on stands, or lock the lift; the wheels that stay down are chocked.'
                : 'Raise the driven wheels just clear of the ground, about an inch, and set it on stands.',
        );
        $this->step(
            Phase::Lower,
            'lower',
            StepAct::Lower,
            'Look that nobody and nothing is under it, and lower it: levels are read on level ground.',
        );
        $this->draft->onlyIf('lower', 'raise');
        $this->draft->needs('clean', $this->machine->raised ? 'raise' : []);
        foreach ($purged as $purge) {
            $this->draft->needs($purge, 'raise');
        }
        $this->draft->hold(Hold::STAND, 'raise', 'lower');
    }

    private function step(Phase $phase, string $key, StepAct $act, string $says): void
    {
        $this->draft->add($phase, new Step(
            $key,
            $act,
            ServicedMachine::KEY,
            $says,
            $act->minutes(),
            cautions: Cautions::atStep($act, $this->machine->class),
        ));
    }
}
