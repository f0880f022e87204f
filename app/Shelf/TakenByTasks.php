<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Rulebook\Rule;
use Core\Machine\SpotKind;
use Core\Supply\TakenByTask;
use Core\Supply\TaskPlace;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as SupportCollection;

/** What each task of a machine's rulebook takes. */
final readonly class TakenByTasks
{
    /** @param  Collection<int, Spot>  $spots  of the machine, with their sheets */
    public function __construct(private Machine $machine, private Collection $spots, private Fitted $fitted)
    {
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
        $spots = $rule->task->spots->map(fn (Spot $spot): Spot => $this->spots->find($spot->id) ?? $spot);
        $holders = $this->spots->whereIn('id', $spots->pluck('shares_with_id')->filter());
        $places = $spots->concat($holders)->unique('id')->toBase()->map($this->place(...));
        $taken = TakenByTask::of($rule->task->kind, array_values($places->all()), $rule->top_up);
        $takes = [
            'fluids' => array_map(fn (array $fluid): array => [
                'spot' => $fluid['spot'],
                'name' => $this->spots->firstWhere('key', $fluid['spot'])->name ?? $fluid['spot'],
                'amount' => $fluid['amount']?->written,
                'why' => $fluid['why'],
            ], $taken->fluids),
            'parts' => $taken->parts,
            'tools' => $taken->tools,
            'uses' => $taken->uses,
        ];

        return array_filter($takes) === [] ? null : [
            'rule_id' => $rule->id,
            'task' => $rule->task->name,
            'kind' => $rule->task->kind->value,
            ...$takes,
        ];
    }

    private function place(Spot $spot): TaskPlace
    {
        $openings = $spot->kind === SpotKind::Compartment
            ? $this->spots->where('parent_id', $spot->id)->where('kind', SpotKind::Opening)
            : new Collection;

        return new TaskPlace(
            $spot->toCore(),
            $spot->kind === SpotKind::Compartment ? Sheets::compartment($spot) : null,
            array_values($openings->map(fn (Spot $opening): array => [
                $opening->toCore(),
                Sheets::opening($opening),
                $this->fitted->timesReused($opening->id),
            ])->all()),
            $spot->kind === SpotKind::Part ? Sheets::part($spot) : null,
            $this->fitted->timesReused($spot->id),
        );
    }
}
