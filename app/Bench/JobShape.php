<?php

declare(strict_types=1);

namespace App\Bench;

use App\Logbook\Readings\Reading;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;
use App\Machines\Meter;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Supply\PartNumber;

/** A job as the contract's `Job`: its plan, what was told of its steps, and what of it the shelf now lacks. */
final class JobShape
{
    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $job->loadMissing('machine', 'person:id,name', 'told.person:id,name', 'signedOff');
        $progress = JobProgress::of($job);

        return [
            ...self::head($job, $progress),
            'wanted' => $job->wanted,
            'raised' => $job->raised,
            'tasks' => $job->plan['tasks'],
            'minutes' => $job->plan['minutes'],
            'steps' => $job->plan['steps'],
            'told' => $job->told->map(fn (StepTold $told): array => $told->toRecord())->all(),
            'lacking' => self::lacking($job, $progress),
            'reset_note' => $job->machine->reset_note,
            'meters' => array_map(fn (Meter $meter): array => [
                'unit' => $meter->unit->value,
                'value' => (string) Reading::lastShown($meter),
            ], $job->machine->currentMeters()),
            'version' => $job->version,
        ];
    }

    /** @return array<string, mixed> as the contract's `JobLine` */
    public static function line(Job $job): array
    {
        return self::head($job, JobProgress::of($job));
    }

    /** @return array<string, mixed> */
    private static function head(Job $job, JobProgress $progress): array
    {
        $settled = count(array_filter($progress->progress->states, fn ($state): bool => $state->isSettled()));

        return [
            'id' => $job->id,
            'machine_id' => $job->machine_id,
            'machine' => $job->machine->name,
            'class' => $job->machine->class->value,
            'name' => $job->name,
            'made_at' => $job->made_at->toAtomString(),
            'made_by' => $job->person?->name,
            'steps_settled' => $settled,
            'steps_in_all' => count($progress->progress->steps),
            'has_begun' => $progress->hasBegun(),
            'next' => $progress->next()?->says,
            'in_pieces' => array_map(fn (Step $step): string => $step->says, $progress->progress->inPieces()),
            'signed_off' => $job->signedOff === null ? null : [
                'entry_id' => $job->signedOff->id,
                'at' => $job->signedOff->happened_at->toAtomString(),
                'by' => $job->signedOff->person?->name,
            ],
        ];
    }

    /**
     * Parts and seals of it that the shelf no longer has, since another machine used them up meanwhile.
     *
     * @return list<array{step: string, number: string}> of the steps that are not done yet
     */
    private static function lacking(Job $job, JobProgress $progress): array
    {
        $wanted = [];
        foreach ($job->plan['steps'] as $step) {
            $isReused = $step['renewed']['usually_reused'] ?? false;
            foreach ($isReused || $progress->progress->state($step['key'])->isSettled() ? [] : array_unique(array_filter([
                $step['act'] === StepAct::Fit->value ? $step['part']['number'] ?? '' : '',
                $step['renewed']['number'] ?? '',
            ])) as $number) {
                $wanted[] = ['step' => $step['key'], 'number' => $number];
            }
        }
        $supplies = Supply::ofNumbers(array_column($wanted, 'number'));
        $levels = StockLevels::of($supplies->pluck('id')->all());

        return array_values(array_filter($wanted, function (array $one) use ($supplies, $levels): bool {
            $supply = $supplies[PartNumber::bare($one['number'])] ?? null;

            return $supply !== null && $levels->isKept($supply->id) && ! $levels->supply($supply->id)->left->isPositive();
        }));
    }
}
