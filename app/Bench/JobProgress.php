<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Plan\PlannedStep;
use Carbon\CarbonImmutable;
use Core\Procedure\Progress;
use Core\Procedure\Step;
use Core\Procedure\Telling;
use Core\Procedure\TimedProgress;

/** How far a job has come, from what is kept of it. */
final readonly class JobProgress
{
    public Progress $progress;

    private TimedProgress $timed;

    private function __construct(private Job $job, CarbonImmutable $now)
    {
        $told = $job->told->map(fn (StepTold $told): Telling => $told->toTelling());
        $this->timed = new TimedProgress(PlannedStep::all($job->plan), $told, $now);
        $this->progress = $this->timed->progress;
    }

    public static function of(Job $job, ?CarbonImmutable $now = null): self
    {
        return new self($job, $now ?? CarbonImmutable::now());
    }

    /** What was told of a step that was done, or could not be. */
    public function settledBy(string $step): ?StepTold
    {
        $settled = $this->timed->settledBy($step);

        return $settled === null ? null : $this->job->told->firstWhere('uuid', $settled->id);
    }

    public function hasBegun(): bool
    {
        return $this->job->told->isNotEmpty();
    }

    /** From when on a step that takes its time may be told done; null where it has not begun. */
    public function ripeAt(Step $step): ?\DateTimeImmutable
    {
        return $this->timed->ripeAt($step);
    }

    public function next(): ?Step
    {
        return $this->timed->next();
    }
}
