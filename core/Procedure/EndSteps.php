<?php

declare(strict_types=1);

namespace Core\Procedure;

/** The steps with which a service ends: leaks looked for, the machine tried out, filters written on, its reminder set. */
final readonly class EndSteps
{
    /** Acts after which a machine is tried out and looked at for leaks. */
    private const CHANGES = [StepAct::Open, StepAct::Remove, StepAct::Adjust];

    public function __construct(private Draft $draft, private ServicedMachine $machine, private Scope $scope)
    {
    }

    public function add(): void
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
