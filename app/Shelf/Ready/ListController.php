<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Supply\Need\Preference;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** Lists that are gathered: on the phone, on paper, or at the counter. */
final readonly class ListController
{
    private const MESSAGES = [
        'name.required' => 'Give the list a name.',
        'for_day.date_format' => 'A day is written like 2026-05-14.',
    ];

    public function __construct(private ReadyWorks $works, private ListShape $shape) {}

    /** @return array<string, array<mixed>> */
    private static function fields(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'for_day' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'preference' => ['sometimes', Rule::enum(Preference::class)],
        ];
    }

    public function index(): JsonResponse
    {
        return new JsonResponse([
            'lists' => GatheringList::query()->whereNull('closed_at')->with('person:id,name')
                ->orderByRaw('for_day is null, for_day, id')->get()
                ->map(fn (GatheringList $list): array => $list->toRecord())->all(),
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            ...self::fields(),
            'name' => ['required', 'string', 'max:80'],
            ...NeedsRequest::works(),
        ], self::MESSAGES);
        $works = [...$this->works->ofRules($given['rules'] ?? []), ...$this->works->ofSpots($given['spots'] ?? [])];
        if ($works === []) {
            throw Refusal::field('rules', 'Choose at least one job.');
        }
        $list = GatheringList::query()->create([
            'name' => $given['name'],
            'for_day' => $given['for_day'] ?? null,
            'preference' => $given['preference'] ?? Preference::Makers,
            'works' => GatheringList::remembered($works),
            'person_id' => Person::asking($request)->id,
            'made_at' => CarbonImmutable::now(),
        ]);

        return $list->respond($this->shape->of($list), 201);
    }

    public function show(GatheringList $list): JsonResponse
    {
        return $list->respond($this->shape->of($list));
    }

    public function update(Request $request, GatheringList $list): JsonResponse
    {
        $given = $request->validate([...self::fields(), 'is_closed' => ['sometimes', 'boolean']], self::MESSAGES);
        $changed = $list->changeAsSeen(
            $request,
            function (GatheringList $current) use ($given): void {
                $current->fill(array_diff_key($given, ['is_closed' => true]));
                if (isset($given['is_closed'])) {
                    $current->closed_at = $given['is_closed'] ? CarbonImmutable::now() : null;
                    $current->links()->delete();
                }
            },
            fn (GatheringList $current): array => $current->toRecord(),
        );

        return $changed->respond($this->shape->of($changed));
    }

    public function want(Request $request, GatheringList $list): JsonResponse
    {
        $list->things()->create($request->validate([
            'name' => ['required', 'string', 'max:80'],
            'count' => ['required', 'integer', 'between:1,500'],
        ], ['name.required' => 'Say what it is.', 'count.required' => 'Say how many.']) + ['uuid' => (string) Str::uuid()]);

        return new JsonResponse($this->shape->of($list), 201);
    }

    public function unwant(GatheringList $list, string $thing): JsonResponse
    {
        $list->things()->findOrFail($thing)->delete();

        return new JsonResponse($this->shape->of($list));
    }

    public function csv(GatheringList $list): Response
    {
        return new Response($this->shape->csv($list), 200, [
            'Content-Type' => 'text/csv; charset=utf-8; header=present',
            'Content-Disposition' => 'attachment; filename="list.csv"',
        ]);
    }

    public function link(Request $request, GatheringList $list): JsonResponse
    {
        return new JsonResponse(CounterLink::open($list, Person::asking($request))->toRecord(), 201);
    }

    public function unlink(GatheringList $list, string $link): Response
    {
        $list->links()->findOrFail($link)->delete();

        return new Response('', 204);
    }

    /** For the person at the counter: this list alone. */
    public function counter(string $token): JsonResponse
    {
        $link = CounterLink::byToken($token) ?? throw new Refusal(new Problem(
            404,
            'ended',
            'No list any more',
            'This link has ended, or was taken back. Ask whoever sent it for a new one.',
        ));

        return new JsonResponse($this->shape->atCounter($link));
    }
}
