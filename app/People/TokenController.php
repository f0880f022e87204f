<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Personal tokens, with which other programs act for their owner. The token itself is shown once. */
final class TokenController
{
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(
            [
                'data' => $this->owner($request)->tokens()->latest('id')->get()->map($this->shape(...))->all(),
                'next_cursor' => null,
            ],
        );
    }

    public function store(TokenRequest $request): JsonResponse
    {
        $given = $request->validated();
        $token = $this->owner($request)->createToken(
            $given['name'],
            $given['abilities'],
            now()->addDays((int) $given['days']),
        );

        return new JsonResponse([...$this->shape($token->accessToken), 'token' => $token->plainTextToken], 201);
    }

    public function destroy(Request $request, AccessToken $token): Response
    {
        $this->owner($request)->tokens()->findOrFail($token->id)->delete();

        return new Response(status: 204);
    }

    private function owner(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }

    /** @return array<string, mixed> */
    private function shape(AccessToken $token): array
    {
        return [
            'id' => $token->getKey(),
            'name' => $token->getAttribute('name'),
            'abilities' => $token->abilities,
            'expires_at' => $token->expires_at?->toAtomString(),
            'created_at' => $token->created_at?->toAtomString(),
            'last_used_at' => $token->last_used_at?->toAtomString(),
        ];
    }
}
