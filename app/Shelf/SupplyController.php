<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Logbook\Fluids\Supply;
use Core\Fluid\FluidFields;
use Core\Form\BadInput;
use Core\Form\Fields;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The fluids that are kept, by what stands on their bottles. */
final class SupplyController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'fluids' => Supply::query()->where('retired', false)->orderBy('name')->get()
                ->map(fn (Supply $supply): array => $supply->toRecord())->all(),
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        $supply = Supply::query()->create(self::given($request));

        return $supply->respond($supply->toRecord(), 201);
    }

    public function update(Request $request, Supply $supply): JsonResponse
    {
        $given = self::given($request, $supply);
        $changed = $supply->changeAsSeen(
            $request,
            fn (Supply $current) => $current->fill($given),
            fn (Supply $current): array => $current->toRecord(),
        );

        return $changed->respond($changed->toRecord());
    }

    /**
     * @return array<string, mixed>
     *
     * @throws BadInput if the label cannot be read
     */
    private static function given(Request $request, ?Supply $changed = null): array
    {
        $given = $request->validate([
            'name' => ['required', 'string', 'max:80', Rule::unique('supplies')->ignore($changed)],
            'label' => ['required', 'array', 'max:10'],
            'retired' => ['sometimes', 'boolean'],
        ], [
            'name.required' => 'Give the fluid the name it goes by here.',
            'name.unique' => 'There is a fluid of that name already.',
        ]);
        $label = new Fields($given['label'], 'label.');
        FluidFields::bottle($label);
        $label->refuseUnknown();

        return $given;
    }
}
