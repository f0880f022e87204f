<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Yard\Yard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\Rules\Password;

/** Signing in and out, and the first keeper of a new yard. */
final class SessionController
{
    private const TRIES_A_NAME = 5;

    private const TRIES_AN_ADDRESS = 30;

    public function show(Request $request): JsonResponse
    {
        $person = $request->user();

        return new JsonResponse([
            'yard' => Yard::query()->value('name'),
            'first_visit' => $person === null && Person::query()->doesntExist(),
            'person' => $person instanceof Person ? $person->toAccount() : null,
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['sign_in_name' => ['required', 'string', 'max:40'], 'password' => ['required', 'string', 'max:200']]);
        $name = mb_strtolower(trim($given['sign_in_name']));
        $limits = ["sign-in:{$name}|{$request->ip()}" => self::TRIES_A_NAME, "sign-in:{$request->ip()}" => self::TRIES_AN_ADDRESS];
        foreach ($limits as $limit => $tries) {
            if (RateLimiter::tooManyAttempts($limit, $tries)) {
                $wait = RateLimiter::availableIn($limit);
                throw new Refusal(new Problem(429, 'too-often', 'Too many tries', "Wait {$wait} seconds and try again.", headers: ['Retry-After' => (string) $wait]));
            }
            RateLimiter::hit($limit);
        }
        if (! Auth::guard('web')->attempt(['sign_in_name' => $name, 'password' => $given['password'], 'active' => true])) {
            throw Refusal::field('password', 'That name and password do not belong together.');
        }
        RateLimiter::clear("sign-in:{$name}|{$request->ip()}");
        $request->session()->regenerate();

        return $this->show($request);
    }

    public function destroy(Request $request): Response
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response(status: 204);
    }

    /** On the first visit to an empty yard: names the yard and its first keeper, and signs them in. */
    public function firstKeeper(Request $request): JsonResponse
    {
        $given = $request->validate([
            'yard' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'timezone:all'],
            'distance_unit' => ['required', 'in:km,mi'],
            'name' => ['required', 'string', 'max:80'],
            'sign_in_name' => ['required', 'string', 'max:40', 'regex:/^[\p{L}\p{N}._@-]+$/u'],
            'password' => ['required', 'string', 'max:200', Password::min(10)],
        ]);
        $keeper = DB::transaction(function () use ($given): Person {
            if (Person::query()->lockForUpdate()->exists()) {
                throw Refusal::conflict('This yard has its keeper already. Sign in instead.');
            }
            Yard::query()->updateOrCreate(['id' => 1], ['name' => $given['yard'], 'time_zone' => $given['time_zone'], 'distance_unit' => $given['distance_unit']]);

            return Person::query()->create(['name' => $given['name'], 'sign_in_name' => mb_strtolower($given['sign_in_name']), 'password' => $given['password'], 'role' => Role::Keeper]);
        });
        Auth::guard('web')->login($keeper);
        $request->session()->regenerate();

        return new JsonResponse(['yard' => $given['yard'], 'first_visit' => false, 'person' => $keeper->toAccount()], 201);
    }
}
