<?php

declare(strict_types=1);

namespace App\Reckoner;

use Core\Reckoner\Catalogue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The web's doors to the calculators. */
final class ReckonController
{
    public function answer(Request $request, string $name): JsonResponse
    {
        return new JsonResponse(Catalogue::reckon($name, $request->json()->all(), now()->toDateTimeImmutable()));
    }

    /** What can be told while it is still being typed. */
    public function typing(Request $request, string $name): JsonResponse
    {
        [
            'answer' => $answer,
            'missing' => $missing,
            'wrong' => $wrong,
        ] = Catalogue::typing($name, $request->json()->all(), now()->toDateTimeImmutable());

        return new JsonResponse(['answer' => $answer, 'missing' => (object) $missing, 'wrong' => (object) $wrong]);
    }
}
