<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Input\TypedNumber;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\When;
use App\Rulebook\Standings\Reckoning;
use App\Rulebook\Standings\RuleShape;
use Brick\Math\BigDecimal;
use Core\Form\Notation;
use Core\Machine\Point;
use Core\Meter\Limit;
use Core\Schedule\Consequence;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The rules of a machine's rulebook, one by one. */
final readonly class RuleController
{
    public function __construct(
        private Yard $yard,
        private RulebookCheck $check,
        private WriteTask $writeTask,
        private RuleCopy $ruleCopy,
    ) {}

    public function store(RuleRequest $request, Machine $machine, AddRule $addRule): JsonResponse
    {
        $machine = Machine::lockForWriting($machine->id);
        $circumstances = Circumstances::of($request);
        $rule = $addRule($machine, $request->validated(), $circumstances);
        $this->tell($rule, "{$rule->task->name} added: {$this->comes($rule)}.", $circumstances);

        return $this->respond($rule, 201);
    }

    public function update(RuleRequest $request, Rule $rule): JsonResponse
    {
        $given = $request->validated();

        return DB::transaction(function () use ($request, $rule, $given): JsonResponse {
            $machine = Machine::lockForWriting($rule->machine_id);
            $before = $this->told($rule->refresh());
            $changed = $rule->changeAsSeen($request, function (Rule $current) use ($given, $machine): void {
                ($this->writeTask)($machine, $current->task, $given);
                $current->fill(RuleRequest::columns($given));
                $this->check->refuse($machine, $current);
            }, fn (Rule $current): array => $current->toRecord());
            $this->tell($changed, $this->change($before, $this->told($changed)), Circumstances::of($request));
            if ($given['for_all'] ?? false) {
                $this->changeForAll($changed, $machine, Circumstances::of($request));
            }

            return $this->respond($changed, 200);
        });
    }

    /**
     * Both ways of counting, as though it were done at the hours, distance and day given; without them, as it stands
     * now.
     */
    public function consequences(Request $request, Rule $rule): JsonResponse
    {
        $given = $request->validate([
            'hours' => ['sometimes', 'nullable', new TypedNumber('The hour meter')],
            'distance' => ['sometimes', 'nullable', new TypedNumber('The odometer')],
            'at' => ['sometimes', 'nullable', When::rule()],
        ]);
        $machine = $rule->machine->load('meters');
        $reckoning = Reckoning::of($machine, $this->yard);
        $facts = $reckoning->facts[$rule->id];
        $held = $reckoning->standings[$rule->id]->standing->rule;
        $done = $given === [] ? [] : [$this->pointOf($machine, $reckoning->now(), $given)];
        $unit = $machine->distanceUnit();

        return new JsonResponse(['consequences' => array_map(fn (Consequence $one): array => [
            'anchor' => $one->anchor->value,
            'runs_for' => Notation::number($one->runsFor()),
            'over_book' => Notation::number($one->overBook()),
            'in_words' => $one->inWords($unit),
        ], Consequence::ofBoth(
            $held,
            $facts->start,
            array_values([...$facts->done, ...$done]),
            $done[0] ?? $reckoning->now(),
            $facts->skipped,
        ))]);
    }

    /** @param  array{hours?: string|null, distance?: string|null, at?: string|null}  $given */
    private function pointOf(Machine $machine, Point $now, array $given): Point
    {
        $when = When::read($given['at'] ?? null, $this->yard);
        $run = function (?string $typed, Limit $along) use ($machine, $when): ?BigDecimal {
            $meter = $machine->meterAt($when->at, $along);

            return $typed === null || $meter === null ? null : $meter->reckoned((string) TypedNumber::read($typed));
        };

        return new Point(
            $run($given['hours'] ?? null, Limit::Hours) ?? $now->hours,
            $run($given['distance'] ?? null, Limit::Distance) ?? $now->km,
            $this->yard->dayOf($when->at),
        );
    }

    /** Changes the shared rule too, and every machine's copy of it that is no exception. */
    private function changeForAll(Rule $rule, Machine $machine, Circumstances $circumstances): void
    {
        $shared = $machine->sharedRulebook()->lockForUpdate()->first();
        if ($shared === null || $rule->shared_key === null) {
            return;
        }
        $copy = RuleCopy::of($rule, RuleCopy::keys($machine));
        foreach ($shared->machines()->whereKeyNot($machine->id)->with('rules.task.spots', 'rules.machine')->lockForUpdate()->get() as $other) {
            $followed = $other->rules->firstWhere('shared_key', $rule->shared_key);
            if ($followed !== null && $shared->standOf($followed, RuleCopy::keys($other)) === 'shared') {
                $this->ruleCopy->write($other, [$rule->shared_key => $copy], follow: true, addSpots: true);
                $this->tell(
                    $followed->refresh(),
                    "{$rule->task->name} changed with the shared rulebook: {$this->comes($followed)}.",
                    $circumstances,
                );
                event(new FactsChanged([$other->id]));
            }
        }
        $shared->update(
            ['rules' => [...$shared->rules, $rule->shared_key => $copy], 'version' => $shared->version + 1],
        );
    }

    /** @return array{name: string, comes: string, retired: bool} what of it is told when it changes */
    private function told(Rule $rule): array
    {
        return ['name' => $rule->task->name, 'comes' => $this->comes($rule), 'retired' => $rule->retired];
    }

    /**
     * @param  array{name: string, comes: string, retired: bool}  $before
     * @param  array{name: string, comes: string, retired: bool}  $after
     */
    private function change(array $before, array $after): string
    {
        return match (true) {
            $before['retired'] !== $after['retired'] => "{$after['name']} "
                .($after['retired'] ? 'taken out.' : 'put back.'),
            $before['name'] !== $after['name'] => "{$before['name']} renamed {$after['name']}.",
            $before['comes'] !== $after['comes'] => "{$after['name']}: {$before['comes']}, now {$after['comes']}.",
            default => "{$after['name']} changed.",
        };
    }

    private function comes(Rule $rule): string
    {
        return $rule->inWords() ?: 'with another task';
    }

    private function tell(Rule $rule, string $what, Circumstances $circumstances): void
    {
        Entry::write($rule->machine, EntryKind::RuleChanged, $circumstances, ['note' => mb_substr($what, 0, 1000)]);
    }

    private function respond(Rule $rule, int $status): JsonResponse
    {
        event(new RuleChanged($rule));
        event(new FactsChanged([$rule->machine_id]));
        $machine = Machine::query()->with('meters', 'rules', 'sharedRulebook')->findOrFail($rule->machine_id);
        $reckoning = Reckoning::of($machine, $this->yard);
        $standing = $reckoning->standings[$rule->id] ?? null;

        return $rule->respond(
            $standing === null ? $rule->toRecord() : RuleShape::of($rule, $standing, $reckoning),
            $status,
        );
    }
}
