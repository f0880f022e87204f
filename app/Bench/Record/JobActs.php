<?php

declare(strict_types=1);

namespace App\Bench\Record;

use App\Bench\Job;
use App\Bench\JobProgress;
use App\Bench\Plan\PlannedStep;
use App\Bench\StepTold;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\Told\Closed;
use App\Logbook\Told\Drained;
use App\Logbook\Told\Fastening;
use App\Logbook\Told\Greased;
use App\Logbook\Told\Looked;
use App\Logbook\Told\Measured;
use App\Logbook\Told\Replaced;
use App\Logbook\Told\Serviced;
use App\Logbook\Told\Telling;
use App\Logbook\Told\Told;
use App\Logbook\Told\WhatWasFound;
use App\Machines\CheckLists;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\When;
use App\People\Person;
use Core\Inspect\Occasion;
use Core\Machine\ActKind;
use Core\Machine\OpeningRole;
use Core\Machine\TaskKind;
use Core\Machine\Verdict;
use Core\Procedure\Did;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepState;
use Core\Procedure\StepVerb;
use Core\Procedure\Work;
use Illuminate\Support\Collection;

/** The acts that a job comes to, from what was told of its steps: each at its own moment, by whoever did it. */
final class JobActs
{
    private Job $job;

    private Person $sender;

    /** @var array<string, StepTold> by spot, how it was tightened */
    private array $tightened;

    /** @var Collection<string, Spot> by key */
    private Collection $spots;

    public function __construct(
        private readonly WhatWasFound $found,
        private readonly CheckLists $checkLists,
        private readonly FluidIn $fluidIn,
        private readonly Yard $yard,
    ) {}

    /** @return list<array{list<Told>, Circumstances}> in the order in which it happened */
    public function of(Job $job, JobProgress $progress, Person $sender): array
    {
        $this->job = $job->loadMissing('told.person');
        $this->sender = $sender;
        $this->tightened = self::tightening($progress);
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

    /** @return list<Told> */
    private function acts(Step $step, StepTold $told, bool $isDone): array
    {
        $spot = $this->spots[$step->on->at] ?? null;
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
            ($kept['asks']['kind'] ?? '') === 'judged' => [$this->judged($spot, $told)],
            default => match ($step->verb) {
                StepVerb::Close => [...$this->replaced($spot), ...$this->closed($spot, $told)],
                StepVerb::Reshut => $this->closed($spot, $told),
                StepVerb::Torque => $this->tightened($spot, $told),
                StepVerb::Fit => [$this->fitted($spot, $told), ...$this->wasFitted($spot)],
                StepVerb::Lubricate => [$this->greased($spot, $told)],
                StepVerb::Adjust => $this->adjusted($step, $spot),
                StepVerb::Clean => $this->cleaned($spot),
                StepVerb::Sample => [$this->done($spot, ActKind::Sampled, TaskKind::Sample)],
                StepVerb::RunLoaded => [$this->done($spot, ActKind::Ran, TaskKind::Run)],
                default => [],
            },
        };
    }

    private function cannot(Step $step, Spot $spot, StepTold $told): Told
    {
        $opens = in_array($step->act, [StepAct::Loosen, StepAct::Open, StepAct::Remove], true);

        return self::noticed(
            $spot,
            $told,
            Verdict::Act,
            "Could not be done: {$step->says} {$told->said('because')}",
            $opens ? 'Get a new one before it is forced: heat, an extractor or a nut welded on ruins the old.' : null,
        );
    }

    /** @return list<Told> */
    private function ranOut(Spot $spot, StepTold $told): array
    {
        // What ran out otherwise than through a drain plug ran out of the compartment.
        $at = $spot->role === OpeningRole::Drain ? $spot : $spot->parent ?? $spot;
        $given = GivenFluid::of(array_intersect_key($told->said ?? [], array_flip(['amount', 'seen'])));

        return [Drained::of($at, ActKind::Drained, $given, new Telling(
            ($at->parent ?? $at)->name,
            note: $told->said['note'] ?? null,
            uuid: $told->uuid,
        ))];
    }

    private function measured(Spot $spot, string $key, StepTold $told): Told
    {
        [$task, $title] = $this->task($spot, TaskKind::Inspect, TaskKind::Adjust);
        $telling = new Telling($title, $task, uuid: $told->uuid);
        $check = $this->checkLists->find($this->job->machine, $key);
        $values = $told->said['values'] ?? [];

        return $check === null
            ? new Measured($spot, $key, null, $values, telling: $telling)
            : Measured::by($check, $spot, $values, new Occasion($this->yard->dayOf($told->happened_at), $this->yard->coldestNight()), $telling);
    }

    private function judged(Spot $spot, StepTold $told): Told
    {
        $verdict = Verdict::from($told->said('verdict'));
        [$task, $title] = $this->task($spot, TaskKind::Inspect);
        $telling = new Telling($title, $task, uuid: $told->uuid);
        $words = $told->said['words'] ?? null;

        return $verdict === Verdict::Fit
            ? new Looked($spot, $verdict, words: $words, telling: $telling)
            : Looked::found($spot, $verdict, $words, null, $telling);
    }

    /** @return list<Told> */
    private function closed(Spot $spot, StepTold $told): array
    {
        return $spot->role === null ? [] : [new Closed($spot, $this->fastening($spot, $told), telling: new Telling(uuid: $told->uuid))];
    }

    /** @return list<Told> of a plug or a strainer that is replaced, told when the new one is in */
    private function replaced(Spot $spot): array
    {
        [$task, $title] = $this->task($spot, TaskKind::Replace);

        return $spot->role === null || $title === null ? [] : [
            new Replaced($spot, new Fastening(found: $this->foundAt($spot)?->said('found')), telling: new Telling($title, $task)),
            ...$this->wasFitted($spot),
        ];
    }

    /**
     * What was tightened by feel is looked at again. To what torque, and by which wrench, is told with what was closed
     * or fitted.
     *
     * @return list<Told>
     */
    private function tightened(Spot $spot, StepTold $told): array
    {
        return $this->isByFeel($told)
            ? [self::noticed($spot, $told, Verdict::Watch, 'Tightened by feel.', 'Look at it again after about 2 h of use: tight and dry.')]
            : [];
    }

    /** @return array<string, StepTold> by spot */
    private static function tightening(JobProgress $progress): array
    {
        $tightened = [];
        foreach ($progress->progress->steps as $step) {
            $told = $progress->settledBy($step->key);
            if ($step->act === StepAct::Torque && $told?->did === Did::Done) {
                $tightened[$step->on->at] = $told;
            }
        }

        return $tightened;
    }

    private function isByFeel(StepTold $told): bool
    {
        return $this->target($told) === null || ($told->said['by_feel'] ?? false);
    }

    private function target(StepTold $told): ?string
    {
        return PlannedStep::kept($this->job->plan, $told->step)['torque']['target'] ?? null;
    }

    /**
     * What was wrong with the part that came off may have harmed what it sat on.
     *
     * @return list<Told>
     */
    private function wasFitted(Spot $spot): array
    {
        $found = $this->foundAt($spot);

        return $found === null ? [] : [self::noticed(
            $spot,
            $found,
            Verdict::Watch,
            "The old one: {$found->said('found')}.",
            'The right one is on. What the old one served may have suffered: look at it again soon, for leaks and wear.',
        )];
    }

    private static function noticed(Spot $spot, StepTold $told, Verdict $verdict, string $words, ?string $advice): Told
    {
        return Looked::found($spot, $verdict, $words, $advice, new Telling(uuid: $told->uuid));
    }

    private function fitted(Spot $spot, StepTold $told): Told
    {
        $isNew = $this->task($spot, TaskKind::Replace)[0] !== null || $this->task($spot, TaskKind::Clean)[1] === null;
        [$task, $title] = $this->task($spot, $isNew ? TaskKind::Replace : TaskKind::Clean);
        $telling = new Telling($title, $task, uuid: $told->uuid);

        return $isNew
            ? new Replaced($spot, $this->fastening($spot, $told), telling: $telling)
            : new Serviced($spot, ActKind::Cleaned, telling: $telling);
    }

    /** What went on, its seal, whether the old one was used again, and how it was tightened. */
    private function fastening(Spot $spot, StepTold $told): Fastening
    {
        $renewed = PlannedStep::kept($this->job->plan, $told->step)['renewed'] ?? [];
        $tight = $this->tightened[$spot->key] ?? null;
        $byFeel = $tight !== null && $this->isByFeel($tight);

        return new Fastening(
            $told->said['number'] ?? null,
            $this->foundAt($spot)->said['found'] ?? null,
            ($renewed['what'] ?? '') === 'seal' ? $renewed['number'] : null,
            $told->said['reused'] ?? false,
            $tight === null || $byFeel ? null : $this->target($tight),
            $byFeel ? null : $tight->said['wrench'] ?? null,
            $byFeel,
        );
    }

    private function greased(Spot $spot, StepTold $told): Told
    {
        $wentIn = ($told->said['went_in'] ?? true) !== false;
        $isHousing = $spot->compartment !== null;
        [$task, $title] = $isHousing
            ? $this->task($spot, TaskKind::Replace, TaskKind::CheckLevel)
            : $this->task($spot, TaskKind::Lubricate);

        return new Greased(
            $spot,
            $wentIn,
            $told->said['strokes'] ?? ($isHousing ? Work::PIVOT_STROKES : null),
            telling: new Telling($title, $task, uuid: $isHousing ? $told->uuid : null),
        );
    }

    /** Where it was told what was wrong with the old one, when it was held beside the new. */
    private function foundAt(Spot $spot): ?StepTold
    {
        $told = $this->job->told->where('step', StepVerb::Compare->at($spot->key))->where('did', Did::Done)->last();

        return trim($told->said['found'] ?? '') === '' ? null : $told;
    }

    /** @return list<Told> */
    private function adjusted(Step $step, Spot $spot): array
    {
        if ($step->on->answers !== []) {
            return array_map(fn (string $finding): Told => $this->found->putRight($this->job->machine, $finding), $step->on->answers);
        }

        return $this->task($spot, TaskKind::Adjust)[1] === null ? [] : [$this->done($spot, ActKind::Adjusted, TaskKind::Adjust)];
    }

    /** @return list<Told> what comes off is told of when it is on again */
    private function cleaned(Spot $spot): array
    {
        return PlannedStep::kept($this->job->plan, StepVerb::Fit->at($spot->key)) === null
            ? [$this->done($spot, ActKind::Cleaned, TaskKind::Clean)]
            : [];
    }

    private function done(Spot $spot, ActKind $kind, TaskKind $of): Told
    {
        [$task, $title] = $this->task($spot, $of);
        $telling = new Telling($title, $task);

        return $kind === ActKind::Sampled ? new Drained($spot, $kind, telling: $telling) : new Serviced($spot, $kind, telling: $telling);
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

    /** Whoever told the step is gone: what there is to ask stays with the line. */
    private function circumstances(StepTold $told): Circumstances
    {
        return new Circumstances(
            $told->person,
            When::read($told->happened_at->format('Y-m-d\TH:i:sP'), $this->yard),
            $told->device,
            $told->said['note'] ?? null,
            $told->said['confirmed_because'] ?? null,
            isAttended: false,
            sender: $this->sender,
        );
    }
}
