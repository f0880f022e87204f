<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Refusal;

/** Carries rules from one machine's rulebook to another's, with how they hang together. */
final class RuleCopy
{
    private const COLUMNS = ['task', 'kind', 'first', 'every', 'book', 'windows', 'condition', 'keeps_fluid', 'top_up', 'subject', 'dealer_only', 'anchor', 'early', 'late', 'source', 'common_practice', 'note'];

    private const RELATIONS = ['contained_in_id', 'goes_with_id'];

    /**
     * What a rule says, without whose it is.
     *
     * @param  array<int, string>  $keys  of the rules it may hang together with, by their ids
     * @return array<string, mixed>
     */
    public static function of(Rule $rule, array $keys): array
    {
        $copy = json_decode((string) json_encode($rule->only(self::COLUMNS)), true);
        foreach (self::RELATIONS as $relation) {
            $copy[$relation] = $keys[(int) $rule->{$relation}] ?? null;
        }

        return $copy;
    }

    /** @return array<string, array<string, mixed>> what every rule of a machine says, by its shared key or else its id */
    public static function ofAll(Machine $machine): array
    {
        $keys = self::keys($machine);

        return $machine->rules->mapWithKeys(fn (Rule $rule): array => [$keys[$rule->id] => self::of($rule, $keys)])->all();
    }

    /** @return array<int, string> the key of each of its rules, by their ids */
    public static function keys(Machine $machine): array
    {
        return $machine->rules->mapWithKeys(fn (Rule $rule): array => [$rule->id => $rule->shared_key ?? "rule-{$rule->id}"])->all();
    }

    /**
     * Writes rules into a machine's rulebook: over a rule of the same key, or of the same task and work, else beside the others. History stays.
     *
     * @param  array<string, array<string, mixed>>  $copies  by key
     * @param  bool  $follow  whether its rules follow these keys from now on
     *
     * @throws Refusal if the rulebook could not stand so
     */
    public static function write(Machine $machine, array $copies, bool $follow, RulebookCheck $check): void
    {
        $written = [];
        $plain = array_fill_keys(self::RELATIONS, null);
        foreach ($copies as $key => $copy) {
            $rule = $machine->rules->firstWhere('shared_key', $key)
                ?? $machine->rules->first(fn (Rule $one): bool => mb_strtolower($one->task) === mb_strtolower($copy['task']) && $one->kind->value === $copy['kind'])
                ?? new Rule(['machine_id' => $machine->id, 'counts_from_beginning' => $machine->history === History::New]);
            $rule->fill([...$copy, ...$plain, 'shared_key' => $follow ? $key : null, 'version' => $rule->exists ? $rule->version + 1 : 1])->save();
            $written[$key] = $rule;
        }
        foreach ($copies as $key => $copy) {
            $written[$key]->update(array_map(fn (?string $to): ?int => $to === null ? null : ($written[$to] ?? $machine->rules->firstWhere('shared_key', $to))?->id, array_intersect_key($copy, $plain)));
        }
        foreach ($written as $rule) {
            $check->refuse($machine, $rule);
            $rule->save();
        }
        $machine->unsetRelation('rules');
    }
}
