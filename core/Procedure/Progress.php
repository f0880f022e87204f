<?php

declare(strict_types=1);

namespace Core\Procedure;

/** How far a service has come: what was done, what can be done now, and what waits for what. */
final readonly class Progress
{
    /** @var array<string, StepState> by step */
    public array $states;

    /** @var array<string, list<string>> by step that waits, the keys of those it waits for first */
    private array $waitsFor;

    /**
     * @param  list<Step>  $steps  each after those it waits for
     * @param  array<string, true>  $done  by key
     * @param  array<string, true>  $failed  by key, what could not be done
     */
    public function __construct(public array $steps, array $done, array $failed = [])
    {
        $states = $waitsFor = $passed = [];
        foreach ($steps as $step) {
            $state = match (true) {
                isset($done[$step->key]) => StepState::Done,
                isset($failed[$step->key]) => StepState::Failed,
                default => self::unlessOpen($step, $states),
            };
            $open = array_values(array_filter($step->bonds->after, fn (string $before): bool => ! $passed[$before]));
            $states[$step->key] = $state ?? ($open === [] ? StepState::Ready : StepState::Waiting);
            $waitsFor[$step->key] = $open;
            // What is never done lets those behind it through only when all before it is settled.
            $passed[$step->key] = in_array($state, [StepState::Done, StepState::Failed], true)
                || ($state !== null && $open === []);
        }
        $this->states = $states;
        $this->waitsFor = $waitsFor;
    }

    public function state(string $key): StepState
    {
        return $this->states[$key];
    }

    /** @return list<Step> */
    public function ready(): array
    {
        return $this->in(StepState::Ready);
    }

    /** Whether nothing is left to do. */
    public function isOver(): bool
    {
        return $this->in(StepState::Ready, StepState::Waiting) === [];
    }

    /** The step that one waits for first; null where it can be done. */
    public function firstBefore(string $key): ?Step
    {
        $before = $this->waitsFor[$key][0] ?? null;
        if ($before === null) {
            return null;
        }
        foreach ($this->steps as $step) {
            if ($step->key === $before) {
                return $this->states[$before] === StepState::Waiting ? $this->firstBefore($before) : $step;
            }
        }

        return null;
    }

    /**
     * What was undone and not done up again: while there is anything, the machine is in pieces.
     *
     * @return list<Step> the steps that would do it up
     */
    public function inPieces(): array
    {
        return array_values(array_filter(
            $this->steps,
            fn (Step $step): bool => $step->bonds->onlyIf !== []
                && in_array($this->states[$step->key], [StepState::Ready, StepState::Waiting, StepState::Barred, StepState::Failed], true)
                && array_filter(
                    $step->bonds->onlyIf,
                    fn (string $undone): bool => $this->states[$undone] === StepState::Done,
                ) !== []
                && $step->act->doesUp(),
        ));
    }

    /** @return list<Step> */
    private function in(StepState ...$states): array
    {
        return array_values(array_filter(
            $this->steps,
            fn (Step $step): bool => in_array($this->states[$step->key], $states, true),
        ));
    }

    /**
     * What will never be done, whatever is still to come.
     *
     * @param  array<string, StepState>  $states  of the steps before it
     */
    private static function unlessOpen(Step $step, array $states): ?StepState
    {
        $never = [StepState::Failed, StepState::Barred, StepState::Spared];
        $mayBe = array_filter($step->bonds->onlyIf, fn (string $key): bool => ! in_array($states[$key], $never, true));
        if ($step->bonds->onlyIf !== [] && $mayBe === []) {
            return StepState::Spared;
        }
        foreach ($step->bonds->needs as $key) {
            if (in_array($states[$key], $never, true)) {
                return StepState::Barred;
            }
        }
        foreach ($step->bonds->shut as $key) {
            if (in_array($states[$key], [StepState::Failed, StepState::Barred], true)) {
                return StepState::Barred;
            }
        }

        return null;
    }
}
