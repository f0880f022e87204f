<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What waits for what across the parts of a service, whatever the machine. */
final readonly class Laws
{
    public function __construct(private Draft $draft) {}

    public function bind(): void
    {
        $this->chain();
        $this->runInTurn();
        $this->nothingTurnsUndone();
        $this->terminalsStayAlone();
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
        return $this->draft->in($phase) ?: array_merge(...array_map($this->last(...), $phase->otherwise()));
    }

    /** One thing runs at a time, and what is read after one run is read before the next. */
    private function runInTurn(): void
    {
        foreach ([Phase::Bleed, Phase::Purge, Phase::Run, Phase::Try] as $phase) {
            $before = [];
            foreach ($this->draft->in($phase) as $step) {
                $this->draft->waits($step, $before);
                $before[] = $step;
            }
        }
        $settle = array_flip($this->draft->in(Phase::Settle));
        $before = $runs = [];
        foreach ($this->draft->those(fn (Step $step): bool => isset($settle[$step->key]) && $step->act !== StepAct::Torque) as $step) {
            if ($this->turns($step)) {
                $this->draft->waits($step, $before);
                $runs[] = $step;
            }
            $before[] = $step;
        }
        foreach ($this->draft->in(Phase::Leaks) as $step) {
            $this->draft->waits($step, $runs);
        }
    }

    /** Whatever turns needs all done up and filled that stands before it. */
    private function nothingTurnsUndone(): void
    {
        $order = array_flip(array_map(fn (Phase $phase): string => $phase->name, Phase::cases()));
        $phases = [];
        foreach (Phase::cases() as $phase) {
            foreach ($this->draft->in($phase) as $step) {
                $phases[$step] = $order[$phase->name];
            }
        }
        $undo = [StepVerb::ShutOff, StepVerb::Open, StepVerb::Reopen, StepVerb::BleedOpen];
        $doneUp = $this->draft->those(fn (Step $step): bool => $step->verb === StepVerb::Pedal
            || ($step->act->doesUp() && $step->act !== StepAct::Torque && ! in_array($step->verb, $undo, true)));
        foreach ($this->draft->those(fn (Step $step): bool => $step->verb->turns()) as $turning) {
            foreach ($doneUp as $step) {
                if ($phases[$step] < $phases[$turning]) {
                    $this->draft->shut($turning, $step);
                }
            }
        }
    }

    /** Nobody works at a battery's posts while fuel is open. */
    private function terminalsStayAlone(): void
    {
        $fuel = $this->draft->fuelOpen();
        foreach ($this->draft->atPosts() as [$off, $on, $isOffMeanwhile]) {
            if ($isOffMeanwhile) {
                foreach ($fuel as $step) {
                    $this->draft->waits($step, $off);
                }
                $this->draft->waits($on, $fuel);
            } else {
                $this->draft->waits($off, $fuel);
            }
        }
    }

    private function turns(string $key): bool
    {
        return $this->draft->those(fn (Step $step): bool => $step->key === $key && $step->verb->turns()) !== [];
    }
}
