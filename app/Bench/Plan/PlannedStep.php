<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use Core\Procedure\Bonds;
use Core\Procedure\Step;
use Core\Procedure\StepKey;
use Core\Procedure\Workpiece;

/** A step as a job's plan keeps it. */
final class PlannedStep
{
    /**
     * @param  array<string, mixed>  $plan
     * @return list<Step>
     */
    public static function all(array $plan): array
    {
        return array_values(array_map(self::of(...), $plan['steps']));
    }

    /** @param  array<string, mixed>  $plan */
    public static function named(array $plan, string $key): ?Step
    {
        $kept = self::kept($plan, $key);

        return $kept === null ? null : self::of($kept);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return array<string, mixed>|null
     */
    public static function kept(array $plan, string $key): ?array
    {
        foreach ($plan['steps'] as $step) {
            if ($step['key'] === $key) {
                return $step;
            }
        }

        return null;
    }

    /** @return array<string, mixed> as the plan keeps it */
    public static function written(Step $step): array
    {
        return [
            'key' => $step->key,
            'act' => $step->act->value,
            'at' => $step->on->at,
            'says' => $step->says,
            'minutes' => $step->minutes,
            'attended' => $step->verb->isAttended(),
            'takes_its_time' => $step->verb->takesItsTime(),
            'after' => $step->bonds->after,
            'needs' => $step->bonds->needs,
            'shut' => $step->bonds->shut,
            'only_if' => $step->bonds->onlyIf,
            'covers' => $step->on->covers,
            'pieces' => $step->on->pieces,
            'answers' => $step->on->answers,
        ];
    }

    /** @param  array<string, mixed>  $kept */
    private static function of(array $kept): Step
    {
        return new Step(
            StepKey::read($kept['key']),
            new Workpiece($kept['at'], $kept['covers'], $kept['pieces'], answers: $kept['answers'] ?? []),
            $kept['says'],
            $kept['minutes'],
            bonds: new Bonds($kept['after'], $kept['needs'], $kept['shut'], $kept['only_if']),
        );
    }
}
