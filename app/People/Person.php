<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Versioned;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
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
    /** @use HasApiTokens<AccessToken> */
    use HasApiTokens, Versioned;

    /** By which sign-in they ask now; null with a token. */
    public ?int $signIn = null;

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['version' => 1, 'active' => true, 'may_use_all_machines' => true, 'epoch' => 1];

    protected function casts(): array
    {
        return [
            'role' => Role::class,
            'password' => 'hashed',
            'may_use_all_machines' => 'boolean',
            'active' => 'boolean',
        ];
    }

    /** Whoever sent a request that nobody sends unnamed. */
    public static function asking(Request $request): self
    {
        $person = $request->user();
        assert($person instanceof self);

        return $person;
    }

    /** @return Collection<int, int> ids of the machines an operator may use where not all */
    public function machineIds(): Collection
    {
        return DB::table('machine_operator')->where('person_id', $this->id)->orderBy('machine_id')->pluck('machine_id');
    }

    /** @param  list<int>  $machineIds */
    public function mayUseOnly(array $machineIds): void
    {
        DB::table('machine_operator')->where('person_id', $this->id)->delete();
        DB::table('machine_operator')->insert(
            array_map(
                fn (int $id): array => ['person_id' => $this->id, 'machine_id' => $id],
                array_values(array_unique($machineIds)),
            ),
        );
    }

    /** @return HasMany<SignIn, $this> */
    public function signIns(): HasMany
    {
        return $this->hasMany(SignIn::class);
    }

    /** What a session is given at sign-in; it holds as long as the epoch and the sign-in do. */
    public function getAuthIdentifier(): string
    {
        return "{$this->id} {$this->epoch} {$this->signIn}";
    }

    /** Ends whatever lets this person in, or was given out in their name; to be saved by the caller, who has the row locked. */
    public function endAccess(): static
    {
        $this->epoch++;
        $this->tokens()->delete();
        $this->signIns()->delete();
        Invitation::query()->whereKey($this->id)->delete();
        event(new AccessEnded($this->id));

        return $this;
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
            'machine_ids' => $this->machineIds()->all(),
            'active' => $this->active,
            'version' => $this->version,
        ];
    }
}
