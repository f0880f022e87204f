<?php

declare(strict_types=1);

namespace App\Bench\Record;

use App\Bench\Job;
use App\Bench\JobProgress;
use App\Bench\Plan\PlannedStep;
use App\Bench\StepTold;
use App\Logbook\Fluids\Source;
use App\Logbook\Stock\Container;
use App\Logbook\Told\Measured;
use App\Logbook\Told\Poured;
use App\Logbook\Told\Telling;
use App\Logbook\Told\Told;
use App\Machines\CheckLists;
use App\Machines\Spot;
use Brick\Math\BigRational;
use Core\Fluid\Level\LevelMark;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Form\Fields;
use Core\Inspect\Instrument\Level;
use Core\Machine\ActKind;
use Core\Machine\Meets;
use Core\Machine\TaskKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Procedure\Did;
use Core\Procedure\StepState;
use Core\Procedure\StepVerb;
use Core\Procedure\Table\LevelTable;
use Illuminate\Support\Collection;

/** What went into each compartment of a job, out of which containers, and how its level stood in the end. */
final readonly class FluidIn
{
    public function __construct(private CheckLists $checkLists) {}

    /**
     * @param  Collection<string, Spot>  $spots  by key
     * @return list<array{list<Told>, StepTold}> with what was told last of each
     */
    public function into(Job $job, JobProgress $progress, Collection $spots): array
    {
        $all = [];
        foreach ($this->poured($job, $spots) as $compartment => $pours) {
            $spot = $spots->firstOrFail(fn (Spot $one): bool => $one->key === $compartment);
            $isNew = $this->isRenewed($job, $progress, $compartment);
            $marks = $this->marks($job, $compartment);
            $poursTold = [];
            foreach ($pours->groupBy(fn (StepTold $told): int => (int) ($told->said['container'] ?? 0)) as $container => $same) {
                $poursTold[] = $this->pour($job, $spot, $isNew, $same, $container === 0 ? null : Container::query()->with('supply')->find($container), $marks);
                $marks = [];
            }
            $last = $pours->last();
            $all = $last === null ? $all : [...$all, [$poursTold, $last]];
        }
        foreach ($spots as $spot) {
            $level = $this->level($job, $spot);
            $all = $level === null ? $all : [...$all, $level];
        }

        return $all;
    }

    /**
     * @param  Collection<string, Spot>  $spots
     * @return array<string, Collection<int, StepTold>> by compartment
     */
    private function poured(Job $job, Collection $spots): array
    {
        $poured = [];
        foreach ($job->told->where('did', Did::Poured) as $told) {
            $spot = $spots[PlannedStep::named($job->plan, $told->step)->on->at ?? ''] ?? null;
            if ($spot !== null) {
                $compartment = Poured::compartment($spot)->key;
                $poured[$compartment] ??= new Collection;
                $poured[$compartment]->push($told);
            }
        }

        return $poured;
    }

    /** Whether the old ran out, so that what went in makes it new. */
    private function isRenewed(Job $job, JobProgress $progress, string $compartment): bool
    {
        $pour = StepVerb::Pour->at($compartment);

        return isset($progress->progress->states[$pour])
            && $progress->progress->state($pour) === StepState::Done
            && (PlannedStep::kept($job->plan, $pour)['asks']['renews'] ?? true);
    }

    /**
     * @param  Collection<int, StepTold>  $pours  out of one container
     * @param  list<array{level: int, poured_ml: int, ran: bool}>  $marks
     */
    private function pour(Job $job, Spot $spot, bool $isNew, Collection $pours, ?Container $container, array $marks): Poured
    {
        $amount = Quantity::of((int) $pours->sum(fn (StepTold $told): int => (int) ($told->said['ml'] ?? 0)), Unit::Millilitre);
        $task = $this->task($job, $spot);

        return new Poured(
            $spot,
            $isNew ? ActKind::Filled : ActKind::ToppedUp,
            $amount,
            "{$amount->to(Unit::Litre)->rounded(3)->stripTrailingZeros()} L",
            Source::told(container: $container),
            $marks,
            telling: new Telling($task['name'] ?? null, $task['task_id'] ?? null, uuid: $pours->last()?->uuid),
        );
    }

    /** @return list<array{level: int, poured_ml: int, ran: bool}> the readings, with what was poured between them */
    private function marks(Job $job, string $compartment): array
    {
        $marks = [];
        $poured = 0;
        foreach ($job->told as $told) {
            $isHere = in_array($told->step, [StepVerb::Read->at($compartment), StepVerb::TopUp->at($compartment)], true);
            if ($isHere && $told->did === Did::Poured) {
                $poured += (int) ($told->said['ml'] ?? 0);
            } elseif ($isHere && $told->did === Did::Done && isset($told->said['level'])) {
                $marks[] = ['level' => (int) $told->said['level'], 'poured_ml' => $poured, 'ran' => $marks === []];
                $poured = 0;
            }
        }

        return count($marks) < 2 ? [] : $marks;
    }

    /** @return array{list<Told>, StepTold}|null the last reading of a compartment's level */
    private function level(Job $job, Spot $spot): ?array
    {
        $told = $job->told->filter(fn (StepTold $one): bool => $one->did === Did::Done
            && in_array($one->step, [StepVerb::Read->at($spot->key), StepVerb::TopUp->at($spot->key)], true)
            && isset($one->said['level']))->last();
        if ($told === null) {
            return null;
        }
        $check = $this->checkLists->levelCheck($job->machine, $spot->key);
        $method = LevelMethod::tryFrom($check->measuring->limits['method'] ?? '') ?? LevelMethod::Stick;
        $protocol = $check === null ? new LevelProtocol : Level::protocol(new Fields($check->measuring->limits), $method);
        $part = (int) ($told->said['level'] ?? 0);
        $mark = LevelMark::at(BigRational::nd($part, LevelTable::PARTS));
        $answers = $told->said['answers'] ?? [];
        $asItIsRead = new LevelProtocol($protocol->engine, $protocol->warmth, $protocol->waitMinutes, $protocol->held, $protocol->latestMinutes);

        return [[new Measured(
            $spot,
            $check->key ?? Meets::LEVEL,
            Level::of($method, $mark, $protocol, $asItIsRead, false),
            ['observed' => $mark->value, 'level' => $part, ...$answers, 'slope' => ($answers['slope'] ?? '') === 'slope'],
            telling: new Telling(uuid: $told->uuid),
        )], $told];
    }

    /** @return array<string, mixed>|null the task that changes its fluid */
    private function task(Job $job, Spot $spot): ?array
    {
        foreach ($job->plan['tasks'] as $task) {
            if ($task['kind'] === TaskKind::Replace->value && in_array($spot->key, $task['spots'], true)) {
                return $task;
            }
        }

        return null;
    }
}
