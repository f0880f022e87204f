<?php

declare(strict_types=1);

namespace App\Bench\Kinds;

use App\Bench\Job;
use App\Bench\JobProgress;
use App\Bench\Plan\PlannedStep;
use App\Bench\Record\StandDownInPieces;
use App\Bench\Record\StepAsked;
use App\Bench\StepTold;
use App\Contract\Refusal;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Procedure\Did;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepState;
use Core\Procedure\StepVerb;
use Illuminate\Validation\Rule;

/** What was done at one step of a job. */
final readonly class StepNote implements NoteKind
{
    public function __construct(private StepAsked $asked, private StandDownInPieces $standDown) {}

    public function rules(?Machine $machine): array
    {
        return [
            'step' => ['required', 'string', 'max:160'],
            'did' => ['required', Rule::enum(Did::class)],
            ...StepAsked::rules(),
        ];
    }

    public function messages(): array
    {
        return ['step.required' => 'Say which step.', 'did.required' => 'Say what was done.', ...StepAsked::messages()];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $job = self::job($note);
        $did = Did::from($note->given['did']);
        $progress = JobProgress::of($job, $note->circumstances->when->at);
        $step = self::step($job, $note);
        $this->admit($job, $progress, $step, $did, $note);
        StepTold::query()->create([
            'uuid' => $note->id,
            'job_id' => $job->id,
            'step' => $step->key,
            'did' => $did,
            'said' => array_filter([
                ...array_diff_key($note->given, ['step' => true, 'did' => true]),
                'note' => $note->circumstances->note,
                'confirmed_because' => $note->circumstances->confirmedBecause,
            ], fn (mixed $value): bool => $value !== null),
            'happened_at' => $note->circumstances->when->at,
            'written_at' => now(),
            'person_id' => $note->by()->id,
            'device' => $note->circumstances->device,
        ]);
        $this->standDown->where($job->unsetRelation('told'), $note->circumstances);

        return new NoteOutcome(null);
    }

    /** The job, locked: whoever tells of it waits for whoever else does. */
    private static function job(Note $note): Job
    {
        $job = Job::query()->lockForUpdate()->where('machine_id', $note->machine()->id)->find($note->job)
            ?? throw Refusal::field('job', 'There is no such job on this machine any more.');
        if ($job->signedOff !== null) {
            throw Refusal::conflict('That job is signed off. Correct its line in the logbook.');
        }

        return $job;
    }

    private static function step(Job $job, Note $note): Step
    {
        return PlannedStep::named($job->plan, $note->given['step'])
            ?? throw Refusal::field('step', 'That step is not part of the job any more.');
    }

    /** @throws Refusal if it is not its turn, or not all is said */
    private function admit(Job $job, JobProgress $progress, Step $step, Did $did, Note $note): void
    {
        $state = $progress->progress->state($step->key);
        if ($did === Did::TakenBack) {
            self::refuseWhereOthersFollowed($progress, $step);

            return;
        }
        if ($did === Did::PutOff) {
            self::refuseWithoutReason($note, 'Say why it is put off.');

            return;
        }
        if ($did === Did::Done && $state === StepState::Done) {
            return;
        }
        $this->refuseOutOfTurn($job, $progress, $step, $state);
        match ($did) {
            Did::Done => $this->admitDone($job, $progress, $step, $note),
            Did::Poured => $this->asked->poured($job, $step, $note),
            Did::Cannot => self::refuseWithoutReason($note, 'Say why it cannot be done.'),
            default => null,
        };
    }

    private function admitDone(Job $job, JobProgress $progress, Step $step, Note $note): void
    {
        if ($step->act === StepAct::Wait || $step->verb === StepVerb::Run) {
            $ripe = $progress->ripeAt($step);
            $at = $note->circumstances->when->at;
            if ($ripe === null || ! Step::isRipe($ripe, $at)) {
                throw Refusal::conflict($ripe === null
                    ? 'Start it first: its minutes are counted from then.'
                    : 'Not yet: '.Step::minutesLeft($ripe, $at).' min more. What is read before is no reading.');
            }
        }
        $this->asked->done($job, $step, $note);
    }

    private function refuseOutOfTurn(Job $job, JobProgress $progress, Step $step, StepState $state): void
    {
        if ($state === StepState::Ready || ($state === StepState::Failed && $progress->progress->firstBefore($step->key) === null)) {
            return;
        }
        $first = $progress->progress->firstBefore($step->key);
        throw Refusal::conflict(match (true) {
            $state === StepState::Barred => 'That cannot be done: something that it needs could not be.',
            $state === StepState::Spared => 'That is not called for: what it does up was never undone.',
            $first !== null => 'Not yet. First: '.(PlannedStep::kept($job->plan, $first->key)['title'] ?? $first->says).'.',
            default => 'That was told already.',
        });
    }

    private static function refuseWhereOthersFollowed(JobProgress $progress, Step $step): void
    {
        foreach ($progress->progress->steps as $other) {
            if (in_array($step->key, $other->bonds->after, true) && $progress->settledBy($other->key)?->did === Did::Done) {
                throw Refusal::conflict("Something was done after it already: {$other->says} Take that back first.");
            }
        }
    }

    private static function refuseWithoutReason(Note $note, string $asks): void
    {
        if (trim((string) ($note->given['because'] ?? '')) === '') {
            throw Refusal::field('because', $asks);
        }
    }
}
