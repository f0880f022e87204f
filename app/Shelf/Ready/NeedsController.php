<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use Illuminate\Http\JsonResponse;

/** What coming jobs need. */
final readonly class NeedsController
{
    public function __construct(private ReadyWorks $works, private KeptNeeds $kept)
    {
    }

    public function show(NeedsRequest $request): JsonResponse
    {
        return JsonResponse::fromJsonString($this->kept->of($request->validated(), function () use ($request): array {
            $works = $request->readyWorks($this->works);

            return [
                'works' => array_map(fn (ReadyWork $work): array => $work->toRecord(), $works),
                ...app(ReadyNeeds::class)->of($works, $request->preference()),
            ];
        }));
    }

    /** Every task that may fall due, for choosing among them. */
    public function works(): JsonResponse
    {
        return JsonResponse::fromJsonString($this->kept->of(['works'], fn (): array => [
            'works' => array_map(fn (ReadyWork $work): array => $work->toRecord(), $this->works->all()),
        ]));
    }
}
