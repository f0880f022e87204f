<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Record;
use App\Contract\Versioned;
use App\Machines\Machine;
use Core\Machine\MachineClass;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A rulebook that several machines of a class share. Each keeps its own copy of the rules, because history hangs on
 * them; where a copy reads otherwise than the shared rule, that is the machine's exception.
 *
 * @property int $id
 * @property string $name
 * @property MachineClass $class
 * @property array<string, array<string, mixed>> $rules by key: the columns of {@see RuleCopy}
 * @property int $version
 */
final class SharedRulebook extends Record
{
    use Versioned;

    public $timestamps = true;

    protected $attributes = ['version' => 1];

    protected function casts(): array
    {
        return ['class' => MachineClass::class, 'rules' => 'array'];
    }

    /** @return HasMany<Machine, $this> */
    public function machines(): HasMany
    {
        return $this->hasMany(Machine::class)->where('retired', false)->orderBy('name');
    }

    /**
     * How a machine's rule stands to the shared one: `shared`, `exception` or its `own`.
     *
     * @param  array<int, string>  $keys  of the machine's rules, by their ids
     */
    public function standOf(Rule $rule, array $keys): string
    {
        $shared = $rule->shared_key === null ? null : $this->rules[$rule->shared_key] ?? null;

        return match (true) {
            $shared === null => 'own',
            RuleCopy::of($rule, $keys) == $shared => 'shared',
            default => 'exception',
        };
    }

    /**
     * Shared rules that a machine has left out.
     *
     * @return list<string> their tasks
     */
    public function leftOutBy(Machine $machine): array
    {
        $kept = $machine->rules->pluck('shared_key')->filter()->all();

        return array_values(
            array_map(fn (array $rule): string => $rule['task'], array_diff_key($this->rules, array_flip($kept))),
        );
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'class' => $this->class->value,
            'rules' => count($this->rules),
            'machines' => $this->machines->map(
                fn (Machine $machine): array => ['id' => $machine->id, 'name' => $machine->name],
            )
                ->all(),
            'version' => $this->version,
        ];
    }
}
