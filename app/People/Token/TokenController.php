<?php

declare(strict_types=1);

namespace App\People\Token;

use App\Contract\Refusal;
use App\People\AccessToken;
use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** Personal tokens, with which other programs act for their owner. The token itself is shown once. */
final class TokenController
{
    private const MOST = 20;

    private const LONGEST_DAYS = 366;

    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(
            [
                'data' => Person::asking($request)->tokens()->latest('id')->get()->map($this->shape(...))->all(),
                'next_cursor' => null,
            ],
        );
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'abilities' => ['required', 'array', 'list', 'min:1', 'max:3'],
            'abilities.*' => ['distinct', Rule::enum(TokenAbility::class)],
            'days' => ['required', 'integer', 'between:1,'.self::LONGEST_DAYS],
        ], ['abilities.required' => 'Say what it may do.', 'abilities.min' => 'Say what it may do.']);
        $owner = Person::asking($request);
        if ($owner->tokens()->count() >= self::MOST) {
            throw Refusal::conflict('You have '.self::MOST.' tokens. Take one back first.');
        }
        $token = $owner->createToken($given['name'], $given['abilities'], now()->addDays((int) $given['days']));
        // As its owner was when they asked: whoever was put out meanwhile has made none.
        $made = $token->accessToken;
        assert($made instanceof AccessToken);
        $made->forceFill(['epoch' => $owner->epoch])->save();

        return new JsonResponse([...$this->shape($made), 'token' => $token->plainTextToken], 201);
    }

    /** Of another's it is not told whether there is one. */
    public function destroy(Request $request, string $token): Response
    {
        Person::asking($request)->tokens()->findOrFail($token)->delete();

        return new Response(status: 204);
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
