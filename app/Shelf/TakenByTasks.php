<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Machines\Machine;
use App\Machines\Spot;
use App\Rulebook\Rule;
use Core\Supply\Materials\FluidTaken;
use Core\Supply\Materials\Materials;
use Core\Supply\Materials\PartTaken;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as SupportCollection;

/** What each task of a machine's rulebook takes. */
final readonly class TakenByTasks
{
    private TaskPlaces $places;

    /** @param  Collection<int, Spot>  $spots  of the machine, with their sheets */
    public function __construct(private Machine $machine, private Collection $spots, Fitted $fitted)
    {
        $this->places = new TaskPlaces($spots, $fitted, [$machine->id => $machine->class]);
    }

    /** @return list<array<string, mixed>> as the contract's `TaskTakes`, those that take anything */
    public function all(): array
    {
        return $this->take($this->rules());
    }

    /** @return list<array<string, mixed>> those of them that are done at a spot, or at what it belongs to */
    public function at(Spot $spot): array
    {
        return $this->take($this->rules()->filter(
            fn (Rule $rule): bool => $rule->task->spots->contains('id', $spot->id)
                || $rule->task->spots->contains('id', $spot->parent_id),
        ));
    }

    /** @return SupportCollection<int, Rule> */
    private function rules(): SupportCollection
    {
        return $this->machine->loadMissing('rules.task.spots')->rules->where('retired', false)->toBase();
    }

    /**
     * @param  SupportCollection<int, Rule>  $rules
     * @return list<array<string, mixed>>
     */
    private function take(SupportCollection $rules): array
    {
        return array_values(array_filter($rules->map($this->of(...))->all()));
    }

    /** @return array<string, mixed>|null */
    private function of(Rule $rule): ?array
    {
        $taken = Materials::by($this->places->work($rule->task->kind, $rule->task->spots->modelKeys(), $rule->top_up));
        $takes = [
            'fluids' => array_map(fn (FluidTaken $fluid): array => [
                'spot' => $fluid->spot,
                'name' => $this->spots->firstWhere('key', $fluid->spot)->name ?? $fluid->spot,
                'amount' => $fluid->amount?->written,
                'why' => $fluid->why,
            ], $taken->fluids),
            'parts' => array_map(fn (PartTaken $part): array => [
                'name' => $part->number,
                'count' => $part->count,
                'for' => implode(', ', $part->for),
                'again' => $part->again,
            ], $taken->parts),
            'tools' => array_map(fn (array $tool): array => [
                'tool' => $tool['tool'],
                'for' => $tool['for'][0],
            ], $taken->tools),
            'uses' => $taken->uses,
        ];

        return array_filter($takes) === [] ? null : [
            'rule_id' => $rule->id,
            'task' => $rule->task->name,
            'kind' => $rule->task->kind->value,
            ...$takes,
        ];
    }
}
