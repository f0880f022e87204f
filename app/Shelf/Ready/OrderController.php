<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Machine;
use Core\Supply\Need\Preference;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What to order. Where there are many machines nobody waits until it is reckoned: what was reckoned last is shown meanwhile. */
final readonly class OrderController
{
    /** Machines whose orders are reckoned while somebody waits. */
    private const AT_ONCE = 150;

    public function __construct(private KeptNeeds $kept)
    {
    }

    public function index(Request $request): JsonResponse
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
