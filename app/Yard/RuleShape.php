<?php

declare(strict_types=1);

namespace App\Yard;

use Core\Procedure\Caution;
use Core\Reckoner\Answer;
use Core\Schedule\TaskStanding;

/** A rule with what it says now, as the contract's `Rule`. */
final class RuleShape
{
    /** @return array<string, mixed> */
    public static function of(Rule $rule, TaskStanding $task, Machine $machine): array
    {
        $standing = $task->standing;
        $points = $standing->points;
        $unit = $machine->distanceUnit();
        $km = $points['km'] ?? null;

        return [
            ...$rule->toRecord(),
            'cautions' => Caution::for($machine->class, $task->task),
            'in_words' => $standing->rule->every->inWords($unit),
            'standing' => [
                'state' => $standing->state->value,
                'due' => [
                    'hours' => Answer::number(($points['hours'] ?? null)?->at),
                    'distance' => $km === null ? null : Answer::number($unit->fromReckoned($km->at)),
                    'date' => Answer::day($standing->dueDate()),
                ],
                'remaining' => [
                    'hours' => Answer::number(($points['hours'] ?? null)?->remaining()),
                    'distance' => $km === null ? null : Answer::number($unit->fromReckoned($km->remaining())),
                    'days' => Answer::number(($points['date'] ?? null)?->remaining()),
                ],
                'limiting' => $standing->limiting?->limit->value,
                'runs_for' => Answer::number($standing->runsFor()),
                'share_used' => Answer::number($standing->shareUsed()),
                'expected_days' => $task->expectedDays,
                'why' => $standing->why($unit),
                'notes' => $standing->notes,
            ],
        ];
    }
}
