<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Cursor;
use App\Machines\Machine;
use App\People\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The logbook, read. */
final class EntryController
{
    public function index(Request $request): JsonResponse
    {
        return $this->page($request, Entry::query());
    }

    public function ofMachine(Request $request, Machine $machine): JsonResponse
    {
        return $this->page($request, Entry::query()->where('machine_id', $machine->id));
    }

    /** @param  Builder<Entry>  $entries */
    private function page(Request $request, Builder $entries): JsonResponse
    {
        $filter = $request->validate(['kind' => ['sometimes', Rule::enum(EntryKind::class)]]);
        $cursor = Cursor::of($request);
        $page = $cursor->page($entries->when(
            $filter['kind'] ?? null,
            fn ($query, string $kind) => $query->where('kind', $kind),
        )
            ->with(EntryShape::WITH)->orderByDesc('happened_at')->orderByDesc('id'));
        $reader = Person::asking($request);

        return $cursor->respond($page, fn (Entry $entry): array => EntryShape::of($entry, $reader));
    }
}
