<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Machines\AddSpot;
use App\Machines\History;
use App\Machines\Machine;
use App\Machines\Spot;
use Illuminate\Support\Collection;

/**
 * Carries rules from one machine's rulebook to another's, with their tasks and how they hang together. Spots are named
 * by their keys.
 */
final readonly class RuleCopy
{
    private const COLUMNS = [
        'first',
        'every',
        'book',
        'windows',
        'condition',
        'top_up',
        'dealer_only',
        'anchor',
        'early',
        'late',
        'source',
        'common_practice',
        'note',
    ];

    public function __construct(private RulebookCheck $check, private AddSpot $addSpot) {}

    /**
     * What a rule says, without whose it is.
     *
     * @param  array<int, string>  $keys  of the rules it may hang together with, by their ids
     * @return array<string, mixed>
     */
    public static function of(Rule $rule, array $keys): array
    {
        return [
            ...json_decode((string) json_encode($rule->only(self::COLUMNS)), true),
            'goes_with_id' => $keys[(int) $rule->goes_with_id] ?? null,
            'task' => $rule->task->name,
            'kind' => $rule->task->kind->value,
            'check' => $rule->task->check_key,
            'spots' => $rule->task->spots->map(fn (Spot $spot): array => [
                'key' => $spot->key,
                'name' => $spot->name,
                'kind' => $spot->kind->value,
                'subject' => $spot->subject->value,
            ])->all(),
        ];
    }

    /** @return array<string, array<string, mixed>> what every rule of a machine says, by its shared key or else its id */
    public static function ofAll(Machine $machine): array
    {
        $keys = self::keys($machine);

        return $machine->rules->mapWithKeys(fn (Rule $rule): array => [$keys[$rule->id] => self::of($rule, $keys)])
            ->all();
    }

    /** @return array<int, string> the key of each of its rules, by their ids */
    public static function keys(Machine $machine): array
    {
        return $machine->rules->mapWithKeys(
            fn (Rule $rule): array => [$rule->id => $rule->shared_key ?? "rule-{$rule->id}"],
        )
            ->all();
    }

    /**
     * Writes rules into a machine's rulebook: over a rule of the same key, or of the same work at the same spots, else
     * beside the others. History stays.
     *
     * @param  array<string, array<string, mixed>>  $copies  by key
     * @param  bool  $follow  whether its rules follow these keys from now on
     * @param  bool  $addSpots  whether spots that it lacks are added
     *
     * @throws Refusal if it lacks a spot, or the rulebook could not stand so
     */
    public function write(Machine $machine, array $copies, bool $follow, bool $addSpots): void
    {
        $spots = $this->spots($machine, $copies, $addSpots);
        $written = [];
        foreach ($copies as $key => $copy) {
            $rule = $this->ruleFor($machine, $key, $copy)
                ?? new Rule(
                    ['machine_id' => $machine->id, 'counts_from_beginning' => $machine->history === History::New],
                );
            $task = $rule->exists ? $rule->task : new Task(['machine_id' => $machine->id]);
            $task->fill(['name' => $copy['task'], 'kind' => $copy['kind'], 'check_key' => $copy['check']])->save();
            $task->doAt(array_values(array_map(fn (array $spot): int => $spots->firstOrFail('key', $spot['key'])->id, $copy['spots'])));
            $rule->fill([
                ...array_intersect_key(
                    $copy,
                    array_flip(self::COLUMNS),
                ), 'task_id' => $task->id, 'goes_with_id' => null,
                'shared_key' => $follow ? $key : null, 'version' => $rule->exists ? $rule->version + 1 : 1,
            ])->save();
            $written[$key] = $rule->setRelation('task', $task);
        }
        foreach ($copies as $key => $copy) {
            $host = $copy['goes_with_id'];
            $written[$key]->update(
                [
                    'goes_with_id' => $host === null
                        ? null
                        : ($written[$host] ?? $machine->rules->firstWhere('shared_key', $host))?->id,
                ],
            );
        }
        foreach ($written as $rule) {
            $this->check->refuse($machine, $rule);
            $rule->save();
        }
        $machine->unsetRelation('rules');
    }

    /** @param  array<string, mixed>  $copy */
    private function ruleFor(Machine $machine, string $key, array $copy): ?Rule
    {
        $at = array_column($copy['spots'], 'key');

        return $machine->rules->firstWhere('shared_key', $key)
            ?? $machine->rules->first(fn (Rule $one): bool => $one->task->kind->value === $copy['kind']
                && $one->task->check_key === $copy['check']
                && $one->task->spots->pluck('key')->all() === $at);
    }

    /**
     * @param  array<string, array<string, mixed>>  $copies
     * @return Collection<string, Spot> by key
     */
    private function spots(Machine $machine, array $copies, bool $addSpots): Collection
    {
        $needed = collect($copies)->flatMap(fn (array $copy): array => $copy['spots'])->unique('key');
        $spots = Spot::query()->where('machine_id', $machine->id)
            ->whereIn('key', $needed->pluck('key'))
            ->get()
            ->toBase()
            ->keyBy('key');
        $lacking = $needed->whereNotIn('key', $spots->keys());
        if ($lacking->isNotEmpty() && ! $addSpots) {
            $names = mb_strtolower($lacking->pluck('name')->implode(', '));

            throw new Refusal(new Problem(
                409,
                'spots-lacking',
                'Some spots are missing',
                "{$machine->name} has no {$names}. Add them?",
                more: ['lacking' => $lacking->values()->all()],
            ));
        }
        foreach ($lacking as $spot) {
            $spots[$spot['key']] = ($this->addSpot)($machine, $spot);
            $spots[$spot['key']]->update(['key' => $spot['key']]);
        }

        return $spots;
    }
}
