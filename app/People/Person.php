<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Versioned;
use App\Yard\Machine;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User;
use Laravel\Sanctum\HasApiTokens;

/**
 * Somebody with an account.
 *
 * @property int $id
 * @property string $name
 * @property string $sign_in_name
 * @property string $password
 * @property Role $role
 * @property bool $may_use_all_machines
 * @property bool $active
 * @property int $epoch counts on whenever all that let the person in ends at once
 * @property int $version
 */
final class Person extends User
{
    /** @use HasApiTokens<\Laravel\Sanctum\PersonalAccessToken> */
    use HasApiTokens, Versioned;

    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['version' => 1, 'active' => true, 'may_use_all_machines' => true, 'epoch' => 1];

    protected function casts(): array
    {
        return ['role' => Role::class, 'password' => 'hashed', 'may_use_all_machines' => 'boolean', 'active' => 'boolean'];
    }

    /** @return BelongsToMany<Machine, $this> the machines an operator may use where not all */
    public function machines(): BelongsToMany
    {
        return $this->belongsToMany(Machine::class, 'machine_operator');
    }

    /** What a session is given at sign-in; it holds as long as the epoch does. */
    public function getAuthIdentifier(): string
    {
        return "{$this->id} {$this->epoch}";
    }

    /** Ends every session, token and calendar address of this person; to be saved by the caller. */
    public function endAccess(): static
    {
        $this->epoch++;
        $this->tokens()->delete();
        event(new AccessEnded($this));

        return $this;
    }

    public function mayUse(Machine $machine): bool
    {
        return match ($this->role) {
            Role::Keeper, Role::Mechanic => true,
            Role::Operator => $this->may_use_all_machines || $this->machines()->whereKey($machine->id)->exists(),
            Role::Reader => false,
        };
    }

    /** @return array<string, mixed> */
    public function toAccount(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'sign_in_name' => $this->sign_in_name,
            'role' => $this->role->value,
            'may_use_all_machines' => $this->may_use_all_machines,
            'machine_ids' => $this->machines->pluck('id')->all(),
            'active' => $this->active,
            'version' => $this->version,
        ];
    }
}
