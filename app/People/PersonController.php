<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;

/** The yard's accounts, kept by its keepers. */
final class PersonController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(['data' => Person::query()->with('machines:id')->orderBy('name')->get()->map->toAccount()->all(), 'next_cursor' => null]);
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate($this->rules(null));
        $person = Person::query()->create([...$this->columns($given), 'password' => $given['password']]);
        $person->machines()->sync($given['machine_ids'] ?? []);

        return $person->respond($person->load('machines:id')->toAccount(), 201);
    }

    public function update(Request $request, Person $person): JsonResponse
    {
        $given = $request->validate($this->rules($person));
        $changed = $person->changeAsSeen($request, function (Person $current) use ($given): void {
            $current->fill($this->columns($given));
            if (isset($given['password'])) {
                $current->password = $given['password'];
            }
            if ($current->isDirty(['role', 'active']) && $current->getOriginal('role') === Role::Keeper && ! $this->hasOtherKeeper($current)) {
                throw Refusal::field($current->isDirty('role') ? 'role' : 'active', 'The yard needs a keeper. Make somebody else one first.');
            }
            if (! $current->active) {
                $current->tokens()->delete();
            }
            if (isset($given['machine_ids'])) {
                $current->machines()->sync($given['machine_ids']);
            }
        }, fn (Person $current): array => $current->toAccount());

        return $changed->respond($changed->load('machines:id')->toAccount());
    }

    /** Anybody changes their own password, knowing the present one. */
    public function changePassword(Request $request): JsonResponse
    {
        $given = $request->validate([
            'present' => ['required', 'string', 'max:200', 'current_password:web'],
            'password' => ['required', 'string', 'max:200', Password::min(10)],
        ]);
        $person = $request->user();
        assert($person instanceof Person);
        $person->update(['password' => $given['password']]);

        return new JsonResponse($person->toAccount());
    }

    private function hasOtherKeeper(Person $person): bool
    {
        return Person::query()->whereKeyNot($person->id)->where(['role' => Role::Keeper, 'active' => true])->exists();
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function columns(array $given): array
    {
        $columns = array_intersect_key($given, array_flip(['name', 'sign_in_name', 'role', 'active', 'may_use_all_machines']));

        return isset($columns['sign_in_name']) ? [...$columns, 'sign_in_name' => mb_strtolower($columns['sign_in_name'])] : $columns;
    }

    /** @return array<string, list<mixed>> */
    private function rules(?Person $person): array
    {
        $needed = $person === null ? ['required'] : ['sometimes', 'required'];

        return [
            'name' => [...$needed, 'string', 'max:80'],
            'sign_in_name' => [...$needed, 'string', 'max:40', 'regex:/^[\p{L}\p{N}._@-]+$/u', Rule::unique('people', 'sign_in_name')->ignore($person)],
            'password' => [...$needed, 'string', 'max:200', Password::min(10)],
            'role' => [...$needed, Rule::enum(Role::class)],
            'active' => ['sometimes', 'boolean'],
            'may_use_all_machines' => ['sometimes', 'boolean'],
            'machine_ids' => ['sometimes', 'array'],
            'machine_ids.*' => ['integer', 'exists:machines,id'],
        ];
    }
}
