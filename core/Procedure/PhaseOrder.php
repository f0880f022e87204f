<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What waits for what across the parts of a service. */
final readonly class PhaseOrder
{
    /** Whatever is done up before anything runs. */
    private const DONE_UP = [StepAct::Close, StepAct::Fit, StepAct::Couple, StepAct::Pour];

    public function __construct(private Draft $draft) {}

    public function bind(): void
    {
        $this->chain();
        $this->runsInTurn();
        foreach ($this->turning() as $step) {
            $this->draft->shut($step, $this->doneUp());
        }
        foreach ($this->draft->those(fn (Step $step): bool => $step->verb !== StepVerb::Reset) as $step) {
            $this->draft->waits(StepVerb::Reset->at(), $step);
        }
    }

    /** Each part of the service follows those before it, or where one is empty what that would have followed. */
    private function chain(): void
    {
        foreach (Phase::cases() as $phase) {
            $before = array_merge(...array_map($this->last(...), $phase->follows()));
            foreach ($this->draft->in($phase) as $step) {
                $this->draft->waits($step, $before);
            }
        }
    }

    /** @return list<string> */
    private function last(Phase $phase): array
    {
        return $this->draft->in($phase) ?: array_merge(...array_map($this->last(...), $phase->follows()));
    }

    /** One thing runs at a time, and what is read after one run is read before the next. */
    private function runsInTurn(): void
    {
        $this->inTurn(Phase::Bleed);
        $this->inTurn(Phase::Purge);
        $this->inTurn(Phase::Run);
        $this->inTurn(Phase::Try);
        $settle = array_flip($this->draft->in(Phase::Settle));
        $before = $runs = [];
        foreach ($this->draft->those(fn (Step $step): bool => isset($settle[$step->key])
            && $step->act !== StepAct::Torque) as $step) {
            if ($this->runs($step)) {
                $this->draft->waits($step, $before);
                $runs[] = $step;
            }
            $before[] = $step;
        }
        foreach ($this->draft->in(Phase::Leaks) as $step) {
            $this->draft->waits($step, $runs);
        }
    }

    private function inTurn(Phase $phase): void
    {
        $before = [];
        foreach ($this->draft->in($phase) as $step) {
            $this->draft->waits($step, $before);
            $before[] = $step;
        }
    }

    private function runs(string $key): bool
    {
        return $this->draft->those(fn (Step $step): bool => $step->key === $key && $step->act->turnsTheEngine()) !== [];
    }

    /** @return list<string> the steps in which it runs after hands were at it */
    private function turning(): array
    {
        return array_values(array_diff(
            $this->draft->those(fn (Step $step): bool => $step->act->turnsTheEngine()),
            $this->draft->in(Phase::Warm),
        ));
    }

    /** @return list<string> */
    private function doneUp(): array
    {
        $reach = array_flip($this->draft->in(Phase::Reach));

        return $this->draft->those(fn (Step $step): bool => isset($reach[$step->key])
            && $step->verb !== StepVerb::ShutOff
            && (in_array($step->act, self::DONE_UP, true) || $step->verb === StepVerb::TurnOn));
    }
}
