<?php

declare(strict_types=1);

namespace App\Reckoner;

use Core\Reckoner\Catalogue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The web's door to the calculators. */
final class ReckonController
{
    public function __invoke(Request $request, string $name): JsonResponse
    {
        return new JsonResponse(Catalogue::reckon($name, $request->json()->all(), now()->toDateTimeImmutable()));
    }
}
