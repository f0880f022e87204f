<?php

declare(strict_types=1);

namespace App\People\Session;

use App\People\Person;
use App\People\SignIn;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The devices on which one is signed in, each to be ended. */
final class SignInController
{
    public function index(Request $request): JsonResponse
    {
        $person = Person::asking($request);

        return new JsonResponse(['data' => $person->signIns()->orderByDesc('last_seen_at')->orderByDesc('id')->get()
            ->sortByDesc(fn (SignIn $signIn): bool => $signIn->id === $person->signIn)->values()
            ->map(fn (SignIn $signIn): array => $signIn->toRecord($person->signIn))->all(), 'next_cursor' => null]);
    }

    public function destroy(Request $request, string $signIn): Response
    {
        Person::asking($request)->signIns()->findOrFail($signIn)->delete();

        return new Response(status: 204);
    }
}
