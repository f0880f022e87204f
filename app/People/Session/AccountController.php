<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Refusal;
use App\People\NewPassword;
use App\People\Person;
use App\People\SignIn;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** One's own password, and the devices on which one is signed in, each to be ended. */
final class AccountController
{
    /** Within a minute; one that succeeds counts too. */
    private const TRIES = 5;

    /** Anybody changes their own password, knowing the present one. */
    public function changePassword(Request $request, FewTries $tries): JsonResponse
    {
        $person = Person::asking($request);
        // Counted before anything that was sent is looked at.
        $tries->count("password:{$person->id}", self::TRIES);
        $given = $request->validate([
            'present' => ['required', 'string', 'max:200'],
            'password' => NewPassword::rules($person->sign_in_name),
        ]);
        // Under the lock: who changes a password by the old one must not undo what a keeper has done meanwhile.
        $person = DB::transaction(function () use ($person, $given): Person {
            $current = Person::query()->lockForUpdate()->findOrFail($person->id);
            if ($current->epoch !== $person->epoch || ! $current->active) {
                throw new AuthenticationException;
            }
            if (! Hash::check($given['present'], $current->password)) {
                throw Refusal::field('present', 'That is not your present password.');
            }
            if (Hash::check($given['password'], $current->password)) {
                throw Refusal::field('password', 'That is the password you have. Choose another.');
            }
            $current->fill(['password' => $given['password']])->endAccess()->save();

            return $current;
        });
        // Every other session has ended with the old password; this one goes on.
        $person->signIn = SignIn::begin($person, $request)->id;
        Auth::guard('web')->login($person);
        $request->session()->regenerate();

        return new JsonResponse($person->toAccount());
    }

    public function signIns(Request $request): JsonResponse
    {
        $person = Person::asking($request);

        return new JsonResponse(['data' => $person->signIns()->orderByDesc('last_seen_at')->orderByDesc('id')->get()
            ->sortByDesc(fn (SignIn $signIn): bool => $signIn->id === $person->signIn)->values()
            ->map(fn (SignIn $signIn): array => $signIn->toRecord($person->signIn))->all(), 'next_cursor' => null]);
    }

    public function endSignIn(Request $request, string $signIn): Response
    {
        Person::asking($request)->signIns()->findOrFail($signIn)->delete();

        return new Response(status: 204);
    }
}
