<?php

declare(strict_types=1);

namespace App\Bench\Record;

use App\Bench\Job;
use App\Bench\JobProgress;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\StandDowns;
use App\Notes\Circumstances;
use Core\Procedure\Step;

/** A machine in pieces stands down by itself, until its job is signed off. */
final class StandDownInPieces
{
    public function where(Job $job, Circumstances $circumstances): void
    {
        $pieces = JobProgress::of($job)->progress->inPieces();
        if ($pieces === [] || self::words($job) !== []) {
            return;
        }
        Entry::write($job->machine, EntryKind::StoodDown, $circumstances, [
            'note' => mb_substr('In pieces at the bench. '.implode(' ', array_map(
                fn (Step $step): string => $step->says,
                $pieces,
            )), 0, 1000),
            'detail' => ['job' => $job->id],
        ]);
    }

    /** It is whole again. */
    public function lift(Job $job, Circumstances $circumstances): void
    {
        $words = self::words($job);
        if ($words !== []) {
            StandDowns::lift($job->machine, $words, $circumstances->saying('Whole again, and signed off at the bench.'));
        }
    }

    /** @return list<string> the stand-downs of this job that stand */
    private static function words(Job $job): array
    {
        return array_values(StandDowns::of($job->machine)->standing()
            ->filter(fn (Entry $entry): bool => ($entry->detail['job'] ?? null) === $job->id)
            ->map(fn (Entry $entry): string => $entry->uuid)
            ->all());
    }
}
