<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\Stock\Supply;
use App\Machines\Yard;
use Illuminate\Http\JsonResponse;

/** What is kept on the shelf, and how much of it there is. */
final readonly class SupplyController
{
    public function __construct(private SupplyShape $shape, private Yard $yard) {}

    public function index(): JsonResponse
    {
        return new JsonResponse([
            'supplies' => $this->shape->all(Supply::query()->where('retired', false)->orderBy('name')->get()),
            'waiting' => WasteShape::all(),
            'currency' => $this->yard->currency,
        ]);
    }

    public function show(Supply $supply): JsonResponse
    {
        return $supply->respond([
            ...$this->shape->all($supply->newCollection([$supply]))[0],
            'lately' => $this->shape->lately($supply),
            'currency' => $this->yard->currency,
        ]);
    }

    public function store(SupplyRequest $request): JsonResponse
    {
        $supply = Supply::query()->create($request->columns());

        return $supply->respond($supply->toRecord(), 201);
    }

    public function update(SupplyRequest $request, Supply $supply): JsonResponse
    {
        $columns = $request->columns($supply);
        $changed = $supply->changeAsSeen(
            $request,
            fn (Supply $current) => $current->fill($columns),
            fn (Supply $current): array => $current->toRecord(),
        );

        return $changed->respond($changed->toRecord());
    }
}
