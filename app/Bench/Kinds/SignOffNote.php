<?php

declare(strict_types=1);

namespace App\Bench\Kinds;

use App\Bench\Job;
use App\Bench\JobProgress;
use App\Bench\Plan\PlannedStep;
use App\Bench\Record\JobActs;
use App\Bench\Record\StandDownInPieces;
use App\Bench\StepTold;
use App\Contract\Input\TypedNumber;
use App\Contract\Refusal;
use App\Logbook\DecisionKind;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Readings\GivenReading;
use App\Logbook\Readings\LogReading;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Rulebook\Rule;
use Core\Meter\Limit;
use Core\Procedure\Did;

/** A job is signed off: what was done at its steps becomes a line of the logbook. */
final readonly class SignOffNote implements NoteKind
{
    public function __construct(
        private JobActs $jobActs,
        private WriteTold $writeTold,
        private LogReading $logReading,
        private StandDownInPieces $standDown,
    ) {}

    public function rules(?Machine $machine): array
    {
        $meters = $machine?->meters->map(fn (Meter $meter): Limit => $meter->unit->limit());
        $may = fn (Limit $along): string => $meters?->contains($along) === true ? 'sometimes' : 'prohibited';

        return [
            'hours' => [$may(Limit::Hours), 'nullable', new TypedNumber('The hour meter')],
            'distance' => [$may(Limit::Distance), 'nullable', new TypedNumber('The odometer')],
        ];
    }

    public function messages(): array
    {
        return [
            'hours.prohibited' => 'This machine has no hour meter.',
            'distance.prohibited' => 'This machine has no odometer.',
        ];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $machine = $note->machine();
        $job = Job::query()->lockForUpdate()->where('machine_id', $machine->id)->find($note->job)
            ?? throw Refusal::field('job', 'There is no such job on this machine any more.');
        if ($job->signedOff !== null) {
            throw Refusal::conflict('That job is signed off already.');
        }
        $progress = JobProgress::of($job, $note->circumstances->when->at);
        self::refuseUnfinished($job, $progress);
        $entry = Entry::write($machine, EntryKind::Service, $note->circumstances, ['uuid' => $note->id, 'job_id' => $job->id]);
        foreach (GivenReading::each($note->given) as $reading) {
            ($this->logReading)($machine, $reading, $entry, $note->circumstances, $reading->field());
        }
        foreach ($this->jobActs->of($job, $progress, $note->by()) as [$told, $circumstances]) {
            ($this->writeTold)($machine, $entry, $told, $circumstances);
        }
        self::putOff($job, $entry);
        $this->standDown->lift($job, $note->circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** @throws Refusal if a step is left, or something stands open */
    private static function refuseUnfinished(Job $job, JobProgress $progress): void
    {
        $left = $progress->progress->inPieces()[0] ?? $progress->progress->ready()[0] ?? null;
        if ($left !== null) {
            $title = PlannedStep::kept($job->plan, $left->key)['title'] ?? $left->says;
            throw Refusal::conflict("Not yet. First: {$title}.");
        }
    }

    /** Tasks that were left for another day, with why. */
    private static function putOff(Job $job, Entry $entry): void
    {
        $told = $job->told->where('did', Did::PutOff)->keyBy(fn (StepTold $one): int => (int) ($one->said['rule'] ?? 0));
        $rules = Rule::query()->where('machine_id', $job->machine_id)->whereKey($told->keys())->with('task')->get();
        foreach ($rules as $rule) {
            $because = $told[$rule->id]->said['because'] ?? '';
            $entry->decisions()->create([
                'task_id' => $rule->task_id,
                'task' => $rule->task->name,
                'kind' => DecisionKind::PutOff,
            ]);
            $entry->update(['note' => trim("{$entry->note} {$rule->task->name} put off: {$because}")]);
        }
    }
}
