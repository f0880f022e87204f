<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Machines\Machine;
use App\Machines\Spot;
use App\Rulebook\Rule;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Illuminate\Support\Collection;

/** At which spots the tasks of some machines' rules are done. */
final class TaskSpots
{
    /** @var array<int, array<int, CoreSpot>> by rule id */
    private array $places = [];

    /** @param  Collection<int, Collection<int, Spot>>  $points  grease points by machine id */
    private function __construct(private readonly Collection $points)
    {
    }

    /** @param  iterable<Machine>  $machines  with rules */
    public static function of(iterable $machines): self
    {
        $ids = collect($machines)->filter(
            fn (Machine $machine): bool => $machine->rules->contains(
                fn (Rule $rule): bool => $rule->task->isOfAllPoints(),
            ),
        )->pluck('id');

        return new self($ids->isEmpty() ? new Collection
            : Spot::query()->whereIn('machine_id', $ids)->where(
                ['kind' => SpotKind::GreasePoint, 'retired' => false],
            )->orderBy('position')->get()->toBase()->groupBy('machine_id'));
    }

    /** @return Collection<int, Spot> */
    public function ofRule(Machine $machine, Rule $rule): Collection
    {
        if (! $rule->task->isOfAllPoints()) {
            return $rule->task->spots->toBase();
        }
        $own = $machine->rules->filter(fn (Rule $other): bool => $other->task->kind === TaskKind::Lubricate)
            ->flatMap(fn (Rule $other) => $other->task->spots->modelKeys());

        return ($this->points[$machine->id] ?? new Collection)->whereNotIn('id', $own)->values();
    }

    /** @return array<int, CoreSpot> the same by spot id, told once however many ask */
    public function placesOf(Machine $machine, Rule $rule): array
    {
        return $this->places[$rule->id] ??= ! $rule->task->isOfAllPoints() ? $rule->task->places()
            : $this->ofRule($machine, $rule)->mapWithKeys(
                fn (Spot $spot): array => [$spot->id => $spot->toCore()],
            )->all();
    }

    /** @return array<int, Rule> by spot id, the rule by which each grease point is greased; its own before the set's */
    public function ofPoints(Machine $machine): array
    {
        $rules = [];
        $greasing = $machine->rules->where('task.kind', TaskKind::Lubricate);
        foreach ($greasing->sortBy(fn (Rule $rule): int => (int) $rule->task->isOfAllPoints()) as $rule) {
            foreach ($this->ofRule($machine, $rule) as $spot) {
                $rules[$spot->id] ??= $rule;
            }
        }

        return $rules;
    }
}
