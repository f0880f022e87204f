<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Plan\PlannedStep;
use Carbon\CarbonImmutable;
use Core\Procedure\Progress;
use Core\Procedure\Step;
use Core\Procedure\StepState;

/** How far a job has come, from what was told of its steps and from the time that has passed. */
final class JobProgress
{
    public readonly Progress $progress;

    /** @var array<string, StepTold> by step, what was told last of whether it was done */
    private array $settled = [];

    /** @var array<string, CarbonImmutable> by step, when somebody said it began */
    private array $started = [];

    /** @var array<string, CarbonImmutable> by step that takes its time and has begun, when */
    private array $began = [];

    /** @var array<string, CarbonImmutable> by step that is over, since when */
    private array $ended = [];

    private function __construct(private readonly Job $job, CarbonImmutable $now)
    {
        foreach ($job->told as $told) {
            $this->take($told);
        }
        $steps = PlannedStep::all($job->plan);
        $cannot = $this->keys(Did::Cannot);
        $done = $this->keys(Did::Done);
        do {
            $progress = new Progress($steps, $done, $cannot);
            $ripe = $this->ripen($progress, $now);
            $done += $ripe;
        } while ($ripe !== []);
        $this->progress = $progress;
    }

    public static function of(Job $job, ?CarbonImmutable $now = null): self
    {
        return new self($job, $now ?? CarbonImmutable::now());
    }

    /** What was told of a step that was done, or could not be. */
    public function settledBy(string $step): ?StepTold
    {
        return $this->settled[$step] ?? null;
    }

    public function hasBegun(): bool
    {
        return $this->job->told->isNotEmpty();
    }

    /** From when on a step that takes its time may be told done; null where it has not begun. */
    public function ripeAt(Step $step): ?\DateTimeImmutable
    {
        return $step->ripeAt($this->began[$step->key] ?? $this->started[$step->key] ?? null);
    }

    private function take(StepTold $told): void
    {
        $before = $this->settled[$told->step] ?? null;
        match ($told->did) {
            // What two did is done when the first of them did it.
            Did::Done => $this->settled[$told->step] = $before?->did === Did::Done ? $before : $told,
            Did::Cannot => $this->settled[$told->step] = $told,
            Did::Started => $this->started[$told->step] = $told->happened_at,
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
            array_keys(array_filter($this->settled, fn (StepTold $told): bool => $told->did === $did)),
            true,
        );
    }

    /**
     * What goes on by itself begins as soon as the last before it is over, and is over when its time has passed.
     *
     * @return array<string, true> the steps that have come to their end by themselves
     */
    private function ripen(Progress $progress, CarbonImmutable $now): array
    {
        $ripe = [];
        foreach ($progress->steps as $step) {
            $state = $progress->state($step->key);
            $before = $this->latest($step->bonds->after);
            if (isset($this->settled[$step->key])) {
                $this->ended[$step->key] = $this->settled[$step->key]->happened_at;
            } elseif ($state !== StepState::Done && $state->isSettled() && $before !== null) {
                $this->ended[$step->key] = $before;
            }
            if ($state === StepState::Ready && $step->act->takesItsTime() && $before !== null) {
                $this->began[$step->key] = $this->started[$step->key] ?? $before;
                $end = CarbonImmutable::instance($step->ripeAt($this->began[$step->key]) ?? $now);
                if ($end <= $now) {
                    $ripe[$step->key] = true;
                    $this->ended[$step->key] = $end;
                }
            }
        }

        return $ripe;
    }

    /** @param  list<string>  $steps */
    private function latest(array $steps): ?CarbonImmutable
    {
        $latest = null;
        foreach ($steps as $step) {
            $end = $this->ended[$step] ?? null;
            $latest = $end === null || ($latest !== null && $latest > $end) ? $latest : $end;
        }

        return $latest;
    }
}
