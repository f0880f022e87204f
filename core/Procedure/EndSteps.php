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
        $wet = array_column([...$this->scope->changed, ...$this->scope->openedOnly()], 'key');
        $changes = $this->changes();
        if ($wet !== []) {
            $this->step(Phase::Leaks, 'leaks', StepAct::CheckLeaks, $wet[0], 'Engine off: look along every joint that was open, dry it, and look again.', $wet);
            $this->draft->onlyIf('leaks', $changes);
        }
        if ($changes !== []) {
            $this->step(
                Phase::Try,
                'try',
                StepAct::Run,
                ServicedMachine::KEY,
                $this->machine->engine === Engine::Electric
                    ? 'Try it out: drive it, listen for noises, try its brakes.'
                    : 'Try it out: temperature, oil pressure at idle where there is a gauge, noises, brakes.',
            );
            $this->draft->onlyIf('try', $changes);
        }
        if ($wet !== [] && $changes !== []) {
            $this->step(Phase::End, 'leaks_again', StepAct::CheckLeaks, $wet[0], 'Engine off: look for leaks once more.', $wet);
            $this->draft->onlyIf('leaks_again', $changes);
        }
        $filters = array_column(array_filter($this->scope->parts, fn (Part $part): bool => $part->isFilter()), 'key');
        $fits = array_values(array_filter(
            array_map(fn (string $filter): string => "fit:{$filter}", $filters),
            $this->draft->has(...),
        ));
        if ($fits !== []) {
            $this->step(Phase::End, 'label', StepAct::Label, $filters[0], 'Write date and hours on each new filter with a marker.', $filters);
            $this->draft->onlyIf('label', $fits);
        }
        $this->step(Phase::End, 'reset', StepAct::Reset, ServicedMachine::KEY, 'Set the machine\'s own reminder, last of all: rounded down to what its display takes.');
    }

    /** @return list<string> the steps in which something is opened, taken off or adjusted */
    private function changes(): array
    {
        $reach = array_flip($this->draft->in(Phase::Reach));

        return $this->draft->those(fn (Step $step): bool => isset($reach[$step->key])
            && in_array($step->act, self::CHANGES, true)
            && $step->verb() !== 'turn_on');
    }

    /** @param  list<string>  $covers */
    private function step(Phase $phase, string $key, StepAct $act, string $at, string $says, array $covers = []): void
    {
        $this->draft->add($phase, new Step(
            $key,
            $act,
            $at,
            $says,
            $act->minutes(),
            cautions: Cautions::atStep($act, $this->machine->class),
            covers: $covers,
        ));
    }
}
