<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Laravel\Sanctum\PersonalAccessToken;

/** Personal tokens, with which other programs act for their owner. The token itself is shown once. */
final class TokenController
{
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(['data' => $this->owner($request)->tokens()->latest('id')->get()->map($this->shape(...))->all(), 'next_cursor' => null]);
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:80']]);
        $token = $this->owner($request)->createToken($given['name']);

        return new JsonResponse([...$this->shape($token->accessToken), 'token' => $token->plainTextToken], 201);
    }

    public function destroy(Request $request, int $token): Response
    {
        $this->owner($request)->tokens()->whereKey($token)->firstOrFail()->delete();

        return new Response(status: 204);
    }

    /** Tokens are managed by people, so that a stolen one cannot make more. */
    private function owner(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);
        if ($request->bearerToken() !== null) {
            throw Refusal::conflict('Sign in to manage tokens; a token cannot.');
        }

        return $person;
    }

    /** @return array<string, mixed> */
    private function shape(PersonalAccessToken $token): array
    {
        return ['id' => $token->getKey(), 'name' => $token->getAttribute('name'), 'created_at' => $token->created_at?->toAtomString(), 'last_used_at' => $token->last_used_at?->toAtomString()];
    }
}
