<?php

declare(strict_types=1);

namespace App\Bench;

use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;

/** Parts and seals of a job that the shelf no longer has, since another machine used them up meanwhile. */
final readonly class LackingParts
{
    /** @return list<array{step: string, number: string}> of the steps that are not done yet */
    public function of(Job $job): array
    {
        $progress = JobProgress::of($job)->progress;
        $lacking = [];
        foreach ($job->plan['steps'] as $step) {
            $numbers = array_filter([
                $step['act'] === 'fit' ? $step['part']['number'] ?? '' : '',
                $step['seal']['number'] ?? '',
            ]);
            foreach ($progress->state($step['key'])->isSettled() ? [] : $numbers as $number) {
                $supply = Supply::ofNumber($number);
                $levels = $supply === null ? null : StockLevels::of([$supply->id]);
                if ($supply !== null && $levels?->isKept($supply->id) && ! $levels->supply($supply->id)->left->isPositive()) {
                    $lacking[] = ['step' => $step['key'], 'number' => $number];
                }
            }
        }

        return $lacking;
    }
}
