<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Machine;
use Core\Supply\Need\Preference;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What coming jobs need, and what to order for them. */
final readonly class NeedsController
{
    /** Machines whose orders are reckoned while somebody waits. */
    private const AT_ONCE = 150;

    public function __construct(private ReadyWorks $works, private KeptNeeds $kept) {}

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

    /** Where there are many machines nobody waits until it is reckoned: what was reckoned last is shown meanwhile. */
    public function orders(Request $request): JsonResponse
    {
        $preference = Preference::from($request->validate([
            'preference' => ['sometimes', Rule::enum(Preference::class)],
        ])['preference'] ?? Preference::Makers->value);
        if (Machine::query()->where('retired', false)->count() <= self::AT_ONCE) {
            return JsonResponse::fromJsonString($this->kept->of(
                Orders::key($preference),
                fn (): array => [...app(Orders::class)->reckoned($preference), 'is_behind' => false],
            ));
        }
        $last = $this->kept->last(Orders::key($preference));
        if ($last === null || $last['is_behind']) {
            ReckonOrders::dispatch($preference);
        }

        return new JsonResponse([
            ...$last['answer'] ?? app(Orders::class)->none($preference),
            'is_behind' => $last['is_behind'] ?? true,
        ]);
    }
}
