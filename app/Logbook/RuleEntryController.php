<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Refusal;
use App\Contract\TypedNumber;
use App\People\Person;
use App\Yard\Machine;
use App\Yard\Reckoning;
use App\Yard\Rule;
use App\Yard\Yard;
use App\Yard\YardLine;
use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Schedule\DuePoint;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;

/** What is written down about rules without anything being done: a point passed over, a check that called for a task, the machine's reminder set. */
final readonly class RuleEntryController
{
    public function __construct(private Yard $yard)
    {
    }

    /** Passes over the next point of some rules on purpose. */
    public function skip(Request $request, Machine $machine): JsonResponse
    {
        $rules = $this->rules($request, $machine, 'Say why it is passed over.');
        $machine = Machine::lockForWriting($machine->id);
        $reckoning = Reckoning::of($machine->load('meters', 'rules'), $this->yard);
        $points = [];
        foreach ($rules as $rule) {
            $due = $reckoning->standings[$rule->id]->standing->points;
            if ($due === []) {
                throw Refusal::field('rule_ids', "{$rule->task} has no next point to pass over.");
            }
            $at = fn (string $limit): ?string => isset($due[$limit]) ? (string) $due[$limit]->at : null;
            $points[$rule->id] = ['hours' => $at('hours'), 'km' => $at('km'), 'date' => isset($due['date']) ? $this->day($due['date']) : null];
        }

        return $this->write($request, $machine, EntryKind::Skipped, $rules, $points);
    }

    /** A check has said that some tasks must be done now. */
    public function call(Request $request, Machine $machine): JsonResponse
    {
        $rules = $this->rules($request, $machine, 'Say what was seen.');

        return $this->write($request, Machine::lockForWriting($machine->id), EntryKind::Called, $rules, null);
    }

    /** The machine's own reminder was set. */
    public function remind(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate([...Circumstances::rules(), 'set' => ['required', new TypedNumber('The reminder')]]);
        $machine = Machine::lockForWriting($machine->id);
        $meter = $machine->currentMeters()[0] ?? throw Refusal::conflict("{$machine->name} has no meter to be reminded by.");
        $latest = Entry::query()->where('meter_id', $meter->id)->whereNull('struck_at')->orderByDesc('happened_at')->orderByDesc('value')->first();
        $plain = fn (string $number): string => (string) BigDecimal::of($number)->stripTrailingZeros();

        return $this->write($request, $machine, EntryKind::ReminderSet, new Collection, [
            'meter_id' => $meter->id, 'unit' => $meter->unit->value, 'set' => (string) TypedNumber::read($given['set']), 'shown' => $plain($latest->value ?? $meter->shown_when_fitted),
        ]);
    }

    /** @return Collection<int, Rule> */
    private function rules(Request $request, Machine $machine, string $reasonMissing): Collection
    {
        $given = $request->validate([...Circumstances::rules(), 'rule_ids' => ['required', 'array', 'min:1', 'max:200'], 'rule_ids.*' => ['integer', 'distinct'], 'note' => ['required', 'string', 'max:1000']],
            ['rule_ids.required' => 'Choose the task.', 'note.required' => $reasonMissing]);
        $rules = $machine->rules()->whereKey($given['rule_ids'])->get();
        if ($rules->count() !== count($given['rule_ids'])) {
            throw Refusal::field('rule_ids', "One of these tasks is not in the rulebook of {$machine->name}.");
        }

        return $rules;
    }

    /**
     * @param  Collection<int, Rule>  $rules
     * @param  array<mixed>|null  $detail
     */
    private function write(Request $request, Machine $machine, EntryKind $kind, Collection $rules, ?array $detail): JsonResponse
    {
        $circumstances = Circumstances::of($request);
        $entry = $machine->entries()->create([...$circumstances->columns(), 'kind' => $kind, 'note' => $circumstances->note, 'detail' => $detail]);
        $entry->tasks()->createMany($rules->map(fn (Rule $rule): array => ['rule_id' => $rule->id, 'task' => $rule->task, 'kind' => $rule->kind])->all());
        $person = $request->user();
        assert($person instanceof Person);

        return new JsonResponse(['entry' => EntryShape::of($entry, $person), 'line' => YardLine::rewrite($machine->unsetRelations())->line], 201);
    }

    private function day(DuePoint $due): string
    {
        return Day::of($due->at->toInt())->format('Y-m-d');
    }
}
