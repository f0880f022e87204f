<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Circumstances;
use App\Logbook\EntryKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** A machine's rulebook. */
final readonly class RuleController
{
    public function __construct(private Yard $yard)
    {
    }

    public function store(RuleRequest $request, Machine $machine, AddMachine $addMachine): JsonResponse
    {
        $machine = Machine::lockForWriting($machine->id);
        $circumstances = Circumstances::of($request);
        $rule = $addMachine->addRule($machine, $request->validated(), $circumstances);
        $this->tell($rule, "{$rule->task} added: {$this->inWords($rule)}.", $circumstances);

        return $this->respond($rule, 201);
    }

    public function update(RuleRequest $request, Rule $rule): JsonResponse
    {
        $given = $request->validated();

        return DB::transaction(function () use ($request, $rule, $given): JsonResponse {
            Machine::lockForWriting($rule->machine_id);
            $before = $rule->refresh()->replicate();
            $changed = $rule->changeAsSeen($request, function (Rule $current) use ($given): void {
                $current->fill(RuleRequest::columns($given));
                RuleRequest::refuseImpossible($current);
            }, fn (Rule $current): array => $current->toRecord());
            $this->tell($changed, $this->change($before, $changed), Circumstances::of($request));

            return $this->respond($changed, 200);
        });
    }

    private function change(Rule $before, Rule $after): string
    {
        return match (true) {
            $before->retired !== $after->retired => "{$after->task} ".($after->retired ? 'taken out.' : 'put back.'),
            $before->task !== $after->task => "{$before->task} renamed {$after->task}.",
            $this->inWords($before) !== $this->inWords($after) => "{$after->task}: {$this->inWords($before)}, now {$this->inWords($after)}.",
            default => "{$after->task} changed.",
        };
    }

    private function inWords(Rule $rule): string
    {
        $every = $rule->toCore()->every;

        return $every->isEmpty() ? 'once' : 'every '.$every->inWords($rule->machine->distanceUnit());
    }

    private function tell(Rule $rule, string $what, Circumstances $circumstances): void
    {
        $rule->machine->entries()->create([...$circumstances->columns(), 'kind' => EntryKind::RuleChanged, 'note' => $what]);
    }

    private function respond(Rule $rule, int $status): JsonResponse
    {
        $machine = Machine::query()->findOrFail($rule->machine_id);
        YardLine::rewrite($machine);
        $standing = Reckoning::of($machine, $this->yard)->standings[$rule->id] ?? null;

        return $rule->respond($standing === null ? $rule->toRecord() : RuleShape::of($rule, $standing, $machine), $status);
    }
}
