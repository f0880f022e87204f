<?php

declare(strict_types=1);

namespace App\Bench\Record;

use App\Bench\Did;
use App\Bench\Job;
use App\Bench\JobProgress;
use App\Bench\Plan\PlannedStep;
use App\Bench\StepTold;
use App\Logbook\Acts\GivenAct;
use App\Logbook\Acts\Greasing;
use App\Logbook\Acts\PutRight;
use App\Logbook\Fluids\FluidActs;
use App\Logbook\Fluids\GivenFluid;
use App\Machines\CheckLists;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\When;
use Core\Inspect\Check;
use Core\Inspect\Occasion;
use Core\Machine\ActKind;
use Core\Machine\OpeningRole;
use Core\Machine\Outcome;
use Core\Machine\TaskKind;
use Core\Machine\Verdict;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepState;
use Core\Procedure\Work;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;

/** The acts that a job comes to, from what was told of its steps: each at its own moment, by whoever did it. */
final class JobActs
{
    private Job $job;

    /** @var Collection<string, Spot> by key */
    private Collection $spots;

    public function __construct(
        private readonly FluidActs $fluidActs,
        private readonly PutRight $putRight,
        private readonly CheckLists $checkLists,
        private readonly FluidIn $fluidIn,
        private readonly Yard $yard,
    ) {
    }

    /** @return list<array{list<GivenAct>, Circumstances}> in the order in which it happened */
    public function of(Job $job, JobProgress $progress): array
    {
        $this->job = $job;
        $this->spots = $job->machine->spots()->with('sheet', 'parent.sheet', 'parent.holder.sheet', 'holder.sheet', 'grease')
            ->get()->toBase()->keyBy('key');
        $told = [];
        foreach ($progress->progress->steps as $step) {
            $settled = $progress->settledBy($step->key);
            $isDone = $progress->progress->state($step->key) === StepState::Done;
            if ($settled !== null) {
                $told[] = [$settled->happened_at, $this->acts($step, $settled, $isDone), $settled];
            }
        }
        foreach ($this->fluidIn->into($job, $progress, $this->spots) as [$acts, $by]) {
            $told[] = [$by->happened_at, $acts, $by];
        }
        usort($told, fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return array_values(array_map(
            fn (array $one): array => [$one[1], $this->circumstances($one[2])],
            array_filter($told, fn (array $one): bool => $one[1] !== []),
        ));
    }

    /** @return list<GivenAct> */
    private function acts(Step $step, StepTold $told, bool $isDone): array
    {
        $spot = $this->spots[$step->at] ?? null;
        if ($spot === null) {
            return [];
        }
        if (! $isDone) {
            return [$this->cannot($step, $spot, $told)];
        }
        $kept = PlannedStep::kept($this->job->plan, $step->key) ?? [];

        return match (true) {
            ($kept['asks']['kind'] ?? '') === 'ran_out' => $this->ranOut($spot, $told),
            ($kept['asks']['kind'] ?? '') === 'measured' => [$this->measured($spot, $kept['asks']['check']['key'], $told)],
            ($kept['asks']['kind'] ?? '') === 'judged' => [$this->judged($step, $spot, $told)],
            $step->act === StepAct::Close && $step->verb() !== 'shut_off' => $this->closed($spot, $told),
            $step->act === StepAct::Torque => $this->tightened($spot, $told),
            $step->act === StepAct::Fit => [$this->fitted($spot, $told), ...$this->wasFitted($spot)],
            $step->act === StepAct::Lubricate => [$this->greased($spot, $told)],
            $step->act === StepAct::Adjust => $this->adjusted($spot),
            $step->act === StepAct::Clean && $step->key !== 'clean' => $this->cleaned($spot),
            $step->verb() === 'sample' => [$this->done($spot, ActKind::Sampled, TaskKind::Sample)],
            $step->act === StepAct::Run && str_starts_with($step->key, "run:{$step->at}:") => [$this->done($spot, ActKind::Ran, TaskKind::Run)],
            default => [],
        };
    }

    private function cannot(Step $step, Spot $spot, StepTold $told): GivenAct
    {
        $opens = in_array($step->act, [StepAct::Loosen, StepAct::Open, StepAct::Remove], true);

        return self::noticed(
            $spot,
            $told,
            Verdict::Act,
            "Could not be done: {$step->says} {$told->said['because']}",
            $opens ? 'Get a new one before it is forced: heat, an extractor or a nut welded on ruins the old.' : null,
        );
    }

    /** @return list<GivenAct> */
    private function ranOut(Spot $spot, StepTold $told): array
    {
        // What ran out otherwise than through a drain plug ran out of the compartment.
        $at = $spot->role === OpeningRole::Drain ? $spot : $spot->parent ?? $spot;

        return $this->fluidActs->of(
            $this->job->machine,
            $at,
            ActKind::Drained,
            GivenFluid::of(array_intersect_key($told->said ?? [], array_flip(['amount', 'seen']))),
            $this->circumstances($told, isSure: true),
            $told->uuid,
        );
    }

    private function measured(Spot $spot, string $key, StepTold $told): GivenAct
    {
        $check = $this->checkLists->find($this->job->machine, $key);
        $judged = $check?->judge(
            $told->said['values'] ?? [],
            new Occasion($this->yard->dayOf($told->happened_at), $this->yard->coldestNight()),
        );
        [$task, $title] = $this->task($spot, TaskKind::Inspect, TaskKind::Adjust);

        return new GivenAct(
            $spot,
            ActKind::Measured,
            $title ?? $spot->name,
            $judged?->isUsable() === false ? Outcome::Unusable : Outcome::Done,
            $key,
            $judged?->verdict,
            $task,
            $judged?->why,
            $judged?->do,
            $check instanceof Check && $check->limits !== [] ? $check->limitSource : null,
            $told->said['values'] ?? null,
            $judged?->worn,
            uuid: $told->uuid,
        );
    }

    private function judged(Step $step, Spot $spot, StepTold $told): GivenAct
    {
        $verdict = Verdict::from($told->said['verdict']);
        [$task, $title] = $this->task($spot, TaskKind::Inspect);

        return new GivenAct(
            $spot,
            ActKind::Looked,
            $title ?? $spot->name,
            check: $verdict === Verdict::Fit ? '' : 'own-'.substr(str_replace('-', '', $told->uuid), 0, 32),
            verdict: $verdict,
            taskId: $task,
            words: $told->said['words'] ?? null,
            uuid: $told->uuid,
        );
    }

    /** @return list<GivenAct> */
    private function closed(Spot $spot, StepTold $told): array
    {
        return $spot->role === null ? [] : [new GivenAct(
            $spot,
            ActKind::Closed,
            $spot->name,
            fitting: $this->renewed($told),
            uuid: $told->uuid,
        )];
    }

    /**
     * How it was tightened; what was tightened by feel is looked at again.
     *
     * @return list<GivenAct>
     */
    private function tightened(Spot $spot, StepTold $told): array
    {
        $target = PlannedStep::kept($this->job->plan, $told->step)['torque']['target'] ?? null;
        $byFeel = $target === null || ($told->said['by_feel'] ?? false);

        return $byFeel
            ? [self::noticed($spot, $told, Verdict::Watch, 'Tightened by feel.', 'Look at it again after about 2 h of use: tight and dry.')]
            : [];
    }

    /**
     * What was wrong with the part that came off may have harmed what it sat on.
     *
     * @return list<GivenAct>
     */
    private function wasFitted(Spot $spot): array
    {
        $found = $this->foundAt($spot);

        return $found === null ? [] : [self::noticed(
            $spot,
            $found,
            Verdict::Watch,
            "The old one: {$found->said['found']}.",
            'The right one is on. What the old one served may have suffered: look at it again soon, for leaks and wear.',
        )];
    }

    private static function noticed(Spot $spot, StepTold $told, Verdict $verdict, string $words, ?string $advice): GivenAct
    {
        return new GivenAct(
            $spot,
            ActKind::Looked,
            $spot->name,
            check: 'own-'.substr(str_replace('-', '', $told->uuid), 0, 32),
            verdict: $verdict,
            words: $words,
            advice: $advice,
            uuid: $told->uuid,
        );
    }

    private function fitted(Spot $spot, StepTold $told): GivenAct
    {
        $isNew = $this->task($spot, TaskKind::Replace)[0] !== null || $this->task($spot, TaskKind::Clean)[1] === null;
        [$task, $title] = $this->task($spot, $isNew ? TaskKind::Replace : TaskKind::Clean);

        return new GivenAct(
            $spot,
            $isNew ? ActKind::Replaced : ActKind::Cleaned,
            $title ?? $spot->name,
            taskId: $task,
            fitting: $isNew ? array_filter([
                'number' => $told->said['number'] ?? null,
                'found' => $this->foundAt($spot)->said['found'] ?? null,
                ...$this->renewed($told),
            ]) : [],
            uuid: $told->uuid,
        );
    }

    /** @return array{seal?: string, reused?: true} its seal, and whether the old one was used again */
    private function renewed(StepTold $told): array
    {
        $renewed = PlannedStep::kept($this->job->plan, $told->step)['renewed'] ?? [];

        return array_filter([
            'seal' => ($renewed['what'] ?? '') === 'seal' ? $renewed['number'] : null,
            'reused' => $told->said['reused'] ?? false,
        ]);
    }

    private function greased(Spot $spot, StepTold $told): GivenAct
    {
        $wentIn = ($told->said['went_in'] ?? true) !== false;
        $strokes = $told->said['strokes'] ?? null;
        if ($spot->compartment === null || ! $wentIn) {
            return Greasing::act($spot, $wentIn, $strokes, false, ...$this->task($spot, TaskKind::Lubricate));
        }
        // New grease pushes out what was in there, as a change of oil would.
        [$task, $title] = $this->task($spot, TaskKind::Replace, TaskKind::CheckLevel);

        return new GivenAct(
            $spot,
            ActKind::Changed,
            $title ?? $spot->name,
            taskId: $task,
            words: 'Greased instead.',
            strokes: $strokes ?? Work::PIVOT_STROKES,
            uuid: $told->uuid,
        );
    }

    /** Where it was told what was wrong with the old one, when it was held beside the new. */
    private function foundAt(Spot $spot): ?StepTold
    {
        $told = $this->job->told->where('step', "compare:{$spot->key}")->where('did', Did::Done)->last();

        return trim($told->said['found'] ?? '') === '' ? null : $told;
    }

    /** @return list<GivenAct> */
    private function adjusted(Spot $spot): array
    {
        foreach ($this->job->plan['tasks'] as $task) {
            if ($task['finding'] !== null && in_array($spot->key, $task['spots'], true)) {
                return [$this->putRight->act($this->job->machine, $task['finding'], uuid: (string) Str::uuid())];
            }
        }

        return $this->task($spot, TaskKind::Adjust)[1] === null ? [] : [$this->done($spot, ActKind::Adjusted, TaskKind::Adjust)];
    }

    /** @return list<GivenAct> what comes off is told of when it is on again */
    private function cleaned(Spot $spot): array
    {
        return PlannedStep::kept($this->job->plan, "fit:{$spot->key}") === null
            ? [$this->done($spot, ActKind::Cleaned, TaskKind::Clean)]
            : [];
    }

    private function done(Spot $spot, ActKind $kind, TaskKind $of): GivenAct
    {
        [$task, $title] = $this->task($spot, $of);

        return new GivenAct($spot, $kind, $title ?? $spot->name, taskId: $task);
    }

    /** @return array{int|null, string|null} the task that is done at a spot, and its name */
    private function task(Spot $spot, TaskKind ...$kinds): array
    {
        foreach ($this->job->plan['tasks'] as $task) {
            if (in_array(TaskKind::from($task['kind']), $kinds, true) && in_array($spot->key, $task['spots'], true)) {
                return [$task['task_id'], $task['name']];
            }
        }

        return [null, null];
    }

    private function circumstances(StepTold $told, bool $isSure = false): Circumstances
    {
        return new Circumstances(
            $told->person,
            When::read($told->happened_at->format('Y-m-d\TH:i:sP'), $this->yard),
            $told->device,
            $told->said['note'] ?? null,
            $told->said['confirmed_because'] ?? ($isSure ? 'Told at its step.' : null),
        );
    }
}
