<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Refusal;
use App\Yard\Machine;
use App\Yard\Rule;

/** Writes down a service: the tasks done, and what the meters showed. */
final readonly class RecordService
{
    public function __construct(private LogReading $logReading)
    {
    }

    /**
     * The machine's row must be locked by the caller.
     *
     * @param  list<int>  $ruleIds
     * @param  list<GivenReading>  $readings
     * @param  string  $path  of the readings' fields in the request
     *
     * @throws Refusal if a task is not of this machine's rulebook, or a reading is refused
     */
    public function __invoke(Machine $machine, array $ruleIds, array $readings, Circumstances $circumstances, ?int $correctsId = null, string $path = ''): Entry
    {
        $rules = Rule::query()->where('machine_id', $machine->id)->whereKey($ruleIds)->get();
        if ($rules->count() !== count(array_unique($ruleIds))) {
            throw Refusal::field('rule_ids', 'One of these tasks is not in the rulebook of '.$machine->name.'.');
        }
        $service = $machine->entries()->create([
            ...$circumstances->columns(),
            'kind' => EntryKind::Service,
            'note' => $circumstances->note,
            'corrects_id' => $correctsId,
        ]);
        $service->tasks()->createMany($rules->map(fn (Rule $rule): array => ['rule_id' => $rule->id, 'task' => $rule->task, 'kind' => $rule->kind])->all());
        foreach ($readings as $reading) {
            ($this->logReading)($machine, $reading, $circumstances, ['part_of_id' => $service->id], $path.($reading->distance ? 'distance' : 'hours'));
        }

        return $service;
    }
}
