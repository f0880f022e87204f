<?php

declare(strict_types=1);

namespace App\Reckoner;

use App\Reckoner\Sheets\CalculatorSheet;
use App\Reckoner\Sheets\Sheets;
use Core\Reckoner\Catalogue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The web's doors to the calculators. */
final class ReckonController
{
    /** The calculators as they are offered: what each asks. */
    public function index(): JsonResponse
    {
        $groups = Sheets::all();

        return new JsonResponse(['groups' => array_map(fn (string $heading, array $sheets): array => [
            'heading' => $heading,
            'calculators' => array_map(fn (CalculatorSheet $sheet): array => $sheet->toArray(), $sheets),
        ], array_keys($groups), $groups)]);
    }

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

        return new JsonResponse(['answer' => $answer, 'told' => $answer === null ? null : Sheets::find($name)?->told($answer), 'missing' => (object) $missing, 'wrong' => (object) $wrong]);
    }
}
