<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Machine\Caution;
use Core\Procedure\Hold;
use Core\Procedure\Procedure;
use Core\Procedure\Step;
use Core\Procedure\Unready;

/** The steps of a service, and what waits for what. */
final class ProcedureCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $service = ProcedureFields::read($given);
        $machine = $service->machine();
        $given->complete();
        try {
            $procedure = Procedure::of($machine, $service->works(), $service->compartments(), $service->parts());
        } catch (Unready $unready) {
            $given->fault('compartments', $unready->getMessage());
            $given->complete();
            throw $unready;
        }
        $steps = $procedure->steps;
        $waits = count(array_filter($steps, fn (Step $step): bool => ! $step->verb->isAttended()));

        return new Answer([
            'steps' => array_map($this->step(...), $steps),
            'holds' => array_map(fn (Hold $hold): array => [
                'resource' => $hold->resource,
                'from' => $hold->from,
                'to' => $hold->to,
            ], $procedure->holds),
        ], count($steps)." steps, {$waits} of which take their time by themselves; any order that respects what each waits for is safe.", [
            'common practice',
        ]);
    }

    /** @return array<string, mixed> */
    private function step(Step $step): array
    {
        return [
            'key' => $step->key,
            'act' => $step->act->value,
            'at' => $step->on->at,
            'says' => $step->says,
            'after' => $step->bonds->after,
            'minutes' => $step->minutes,
            'attended' => $step->verb->isAttended(),
            'uses' => [],
            'cautions' => array_map(fn (Caution $caution): string => $caution->says(), $step->cautions),
            'needs' => $step->bonds->needs,
            'shut' => $step->bonds->shut,
            'only_if' => $step->bonds->onlyIf,
            'covers' => $step->on->covers,
            'pieces' => $step->on->pieces,
            'place' => $step->place,
            ...array_filter([
                'block' => $step->bonds->block,
                'pair' => $step->bonds->pair,
                'amount' => $step->on->amount === null ? null : Notation::quantity($step->on->amount),
                'answers' => $step->on->answers,
            ]),
        ];
    }
}
