<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Refusal;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Signing in and out, and the first keeper of a new yard. */
final class SessionController
{
    private const TRIES_A_NAME = 5;

    /** Several who would all be first may bar each other. */
    private const ATTEMPTS = 5;

    public function show(Request $request): JsonResponse
    {
        $person = $request->user();

        return new JsonResponse([
            'yard' => DB::table('yard')->value('name'),
            'first_visit' => $person === null && Person::query()->doesntExist(),
            'person' => $person instanceof Person ? $person->toAccount() : null,
        ]);
    }

    public function store(SignInRequest $request, FewTries $tries, Hasher $hasher): JsonResponse
    {
        $given = $request->validated();
        $name = mb_strtolower(trim($given['sign_in_name']));
        $tries->count("sign-in:{$name}|{$request->ip()}", self::TRIES_A_NAME);
        $person = Person::query()->where(['sign_in_name' => $name, 'active' => true])->first();
        // A name that nobody has is as much work as one that somebody has, so that the time taken tells neither.
        if (
            ! $hasher->check($given['password'], $person->password ?? $this->nobodysPassword($hasher))
            || $person === null
        ) {
            throw Refusal::field('password', 'That name and password do not belong together.');
        }
        if ($hasher->needsRehash($person->password)) {
            $person->update(['password' => $given['password']]);
        }
        $tries->forget("sign-in:{$name}|{$request->ip()}");
        $this->signIn($request, $person);

        return $this->show($request);
    }

    private function nobodysPassword(Hasher $hasher): string
    {
        return Cache::rememberForever('nobodys-password', fn (): string => $hasher->make(Str::random()));
    }

    private function signIn(Request $request, Person $person): void
    {
        Auth::guard('web')->login($person);
        $request->session()->regenerate();
    }

    public function destroy(Request $request): Response
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();

        return new Response(status: 204);
    }

    /** On the first visit to an empty yard: names the yard and its first keeper, and signs them in. */
    public function firstKeeper(FirstKeeperRequest $request): JsonResponse
    {
        $given = $request->validated();
        $keeper = DB::transaction(function () use ($given): Person {
            // The yard's one row lets only one first keeper through at a time.
            DB::table('yard')->upsert(
                [
                    'id' => 1,
                    'name' => $given['yard'],
                    'time_zone' => $given['time_zone'],
                    'distance_unit' => $given['distance_unit'],
                ],
                ['id'],
                ['id'],
            );
            DB::table('yard')->lockForUpdate()->find(1);
            if (Person::query()->exists()) {
                throw Refusal::conflict('This yard has its keeper already. Sign in instead.');
            }
            DB::table('yard')->where('id', 1)->update(
                [
                    'name' => $given['yard'],
                    'time_zone' => $given['time_zone'],
                    'distance_unit' => $given['distance_unit'],
                ],
            );

            return Person::query()->create(
                [
                    'name' => $given['name'],
                    'sign_in_name' => mb_strtolower($given['sign_in_name']),
                    'password' => $given['password'],
                    'role' => Role::Keeper,
                ],
            );
        }, attempts: self::ATTEMPTS);
        $this->signIn($request, $keeper);

        return new JsonResponse(
            ['yard' => $given['yard'], 'first_visit' => false, 'person' => $keeper->toAccount()],
            201,
        );
    }
}
