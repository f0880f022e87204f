<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Refusal;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** The yard's accounts, kept by its keepers. */
final class PersonController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(
            ['data' => Person::query()->orderBy('name')->get()->map->toAccount()->all(), 'next_cursor' => null],
        );
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate($this->rules(null, $request->input('sign_in_name')));
        $person = $this->orNameTaken(
            // Whoever is invited chooses a password; until then there is none that anybody knows.
            fn (): Person => Person::query()->create([...$this->columns($given), 'password' => $given['password'] ?? Str::random(40)]),
        );
        $person->mayUseOnly($given['machine_ids'] ?? []);

        return $person->respond($person->toAccount(), 201);
    }

    public function update(Request $request, Person $person): JsonResponse
    {
        $given = $request->validate($this->rules($person, $request->input('sign_in_name')));
        $changed = $this->orNameTaken(fn (): Person => $person->changeAsSeen($request, function (Person $current) use ($given): void {
            $current->fill($this->columns($given));
            if (isset($given['password'])) {
                $current->password = $given['password'];
            }
            if ($current->isDirty(['role', 'active'])) {
                $this->refuseWithoutKeeper($current);
            }
            if ($current->isDirty(['role', 'active', 'password'])) {
                $current->endAccess();
            }
            if (isset($given['machine_ids'])) {
                $current->mayUseOnly($given['machine_ids']);
            }
        }, fn (Person $current): array => $current->toAccount()));

        return $changed->respond($changed->toAccount());
    }

    /** The yard's own row is locked, so that two keepers who demote each other do it one after the other. */
    private function refuseWithoutKeeper(Person $changed): void
    {
        DB::table('yard')->lockForUpdate()->first();
        $others = Person::query()->whereKeyNot($changed->id)->where(['role' => Role::Keeper, 'active' => true]);
        if (($changed->role !== Role::Keeper || ! $changed->active) && $others->doesntExist()) {
            throw Refusal::field(
                $changed->isDirty('role') ? 'role' : 'active',
                'The yard needs a keeper. Make somebody else one first.',
            );
        }
    }

    /** @param  \Closure(): Person  $write */
    private function orNameTaken(\Closure $write): Person
    {
        try {
            return $write();
        } catch (UniqueConstraintViolationException) {
            throw Refusal::field('sign_in_name', 'That name is taken.');
        }
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function columns(array $given): array
    {
        $columns = array_intersect_key(
            $given,
            array_flip(['name', 'sign_in_name', 'role', 'active', 'may_use_all_machines']),
        );

        return isset($columns['sign_in_name'])
            ? [...$columns, 'sign_in_name' => mb_strtolower($columns['sign_in_name'])]
            : $columns;
    }

    /** @return array<string, list<mixed>> */
    private function rules(?Person $person, mixed $signInName): array
    {
        $needed = $person === null ? ['required'] : ['sometimes', 'required'];

        return [
            'name' => [...$needed, 'string', 'max:80'],
            'sign_in_name' => [
                ...$needed,
                'string',
                'max:40',
                'regex:/^[\p{L}\p{N}._@-]+$/u',
                Rule::unique('people', 'sign_in_name')->ignore($person),
            ],
            'password' => ['sometimes', ...NewPassword::rules($signInName ?? $person?->sign_in_name)],
            'role' => [...$needed, Rule::enum(Role::class)],
            'active' => ['sometimes', 'boolean'],
            'may_use_all_machines' => ['sometimes', 'boolean'],
            'machine_ids' => ['sometimes', 'array', 'max:2000'],
            'machine_ids.*' => ['integer', 'exists:machines,id'],
        ];
    }
}
