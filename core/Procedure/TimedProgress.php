<?php

declare(strict_types=1);

namespace Core\Procedure;

/** How far a service has come, from what was told of its steps and from the time that has passed. */
final class TimedProgress
{
    public readonly Progress $progress;

    /** @var array<string, Telling> by step, what was told last of whether it was done */
    private array $settled = [];

    /** @var array<string, \DateTimeImmutable> by step, when somebody said it began */
    private array $started = [];

    /** @var array<string, \DateTimeImmutable> by step that can be done now and has begun, when */
    private array $began = [];

    /** @var array<string, \DateTimeImmutable> by step that is over, since when */
    private array $ended = [];

    /**
     * @param  list<Step>  $steps  each after those it waits for
     * @param  iterable<Telling>  $told  in the order in which it happened
     */
    public function __construct(array $steps, iterable $told, private readonly \DateTimeImmutable $now)
    {
        foreach ($told as $telling) {
            $this->take($telling);
        }
        $cannot = $this->keys(Did::Cannot);
        $done = $this->keys(Did::Done);
        do {
            $progress = new Progress($steps, $done, $cannot);
            $ripe = $this->ripen($progress);
            $done += $ripe;
        } while ($ripe !== []);
        $this->progress = $progress;
    }

    /** What was told of a step that was done, or could not be. */
    public function settledBy(string $step): ?Telling
    {
        return $this->settled[$step] ?? null;
    }

    /** When a step that can be done now began; null where it has not. */
    public function beganAt(string $step): ?\DateTimeImmutable
    {
        return $this->began[$step] ?? null;
    }

    /** From when on a step that takes its time may be told done; null where it has not begun. */
    public function ripeAt(Step $step): ?\DateTimeImmutable
    {
        return $step->ripeAt($this->began[$step->key] ?? $this->started[$step->key] ?? null);
    }

    /** What was started and is over; else the first that hands can do now; else what goes on by itself. Null where nothing is left. */
    public function next(): ?Step
    {
        $ready = $this->progress->ready();
        $has = fn (\Closure $what): ?Step => array_values(array_filter($ready, $what))[0] ?? null;

        return $has(fn (Step $step): bool => isset($this->began[$step->key]) && $step->ripeAt($this->began[$step->key]) <= $this->now)
            ?? $has(fn (Step $step): bool => ! isset($this->began[$step->key]))
            ?? $ready[0] ?? null;
    }

    private function take(Telling $told): void
    {
        $before = $this->settled[$told->step] ?? null;
        match ($told->did) {
            // What two did is done when the first of them did it.
            Did::Done => $this->settled[$told->step] = $before?->did === Did::Done ? $before : $told,
            Did::Cannot => $this->settled[$told->step] = $told,
            Did::Started => $this->started[$told->step] = $told->at,
            Did::TakenBack => $this->forget($told->step),
            Did::Poured, Did::PutOff => null,
        };
    }

    private function forget(string $step): null
    {
        unset($this->settled[$step], $this->started[$step]);

        return null;
    }

    /** @return array<string, true> */
    private function keys(Did $did): array
    {
        return array_fill_keys(
            array_keys(array_filter($this->settled, fn (Telling $told): bool => $told->did === $did)),
            true,
        );
    }

    /**
     * What goes on by itself begins as soon as the last before it is over, and is over when its time has passed.
     *
     * @return array<string, true> the steps that have come to their end by themselves
     */
    private function ripen(Progress $progress): array
    {
        $ripe = [];
        foreach ($progress->steps as $step) {
            $state = $progress->state($step->key);
            $before = $this->latest($step->bonds->after);
            if (isset($this->settled[$step->key])) {
                $this->ended[$step->key] = $this->settled[$step->key]->at;
            } elseif ($state !== StepState::Done && $state->isSettled() && $before !== null) {
                $this->ended[$step->key] = $before;
            }
            $started = $this->started[$step->key] ?? null;
            $isByItself = $step->verb->takesItsTime();
            $began = $isByItself && $before !== null ? $started ?? $before : $started;
            if ($state !== StepState::Ready || $began === null) {
                continue;
            }
            // A clock that was set back makes no timer longer than its minutes.
            $this->began[$step->key] = min($began, $this->now);
            $end = $step->ripeAt($this->began[$step->key]);
            if ($isByItself && $end !== null && $end <= $this->now) {
                $ripe[$step->key] = true;
                $this->ended[$step->key] = $end;
            }
        }

        return $ripe;
    }

    /** @param  list<string>  $steps */
    private function latest(array $steps): ?\DateTimeImmutable
    {
        $ends = array_intersect_key($this->ended, array_flip($steps));

        return $ends === [] ? null : max($ends);
    }
}
