<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\Cursor as Place;
use Illuminate\Pagination\CursorPaginator;

/**
 * Lists page by cursor: a page, and where the next begins. A cursor is signed for its list, so that none is made up or
 * taken elsewhere.
 */
final readonly class Cursor
{
    private const USUAL = 50;

    private const MOST = 200;

    private function __construct(private Request $request, private int $size, private ?Place $place) {}

    /** @throws Refusal if the cursor is none of this list */
    public static function of(Request $request): self
    {
        $given = $request->validate(
            [
                'limit' => ['sometimes', 'integer', 'between:1,'.self::MOST],
                'cursor' => ['sometimes', 'nullable', 'string', 'max:1000'],
            ],
        );
        $place = null;
        if (isset($given['cursor'])) {
            [$encoded, $signature] = [...explode('.', $given['cursor'], 2), ''];
            $place = hash_equals(self::sign($request, $encoded), $signature) ? Place::fromEncoded($encoded) : null;
            $place ?? throw Refusal::field('cursor', 'This is no place in this list. Begin at the first page.');
        }

        return new self($request, (int) ($given['limit'] ?? self::USUAL), $place);
    }

    /** @return CursorPaginator<int, mixed> */
    public function page(Builder|Relation $list): CursorPaginator
    {
        $page = $list->cursorPaginate($this->size, cursor: $this->place);
        assert($page instanceof CursorPaginator);

        return $page;
    }

    /**
     * @template T
     *
     * @param  CursorPaginator<int, T>  $page
     * @param  \Closure(T): mixed  $shape
     * @param  array<string, mixed>  $more
     */
    public function respond(CursorPaginator $page, \Closure $shape, array $more = []): JsonResponse
    {
        return new JsonResponse(
            ['data' => array_map($shape, $page->items()), 'next_cursor' => $this->next($page), ...$more],
        );
    }

    /**
     * The same of what is kept as JSON already: nothing of it is read and written anew.
     *
     * @template T
     *
     * @param  CursorPaginator<int, T>  $page
     * @param  \Closure(T): string  $json
     */
    public function respondWithJson(CursorPaginator $page, \Closure $json): JsonResponse
    {
        $data = implode(',', array_map($json, $page->items()));
        $next = json_encode($this->next($page), JSON_THROW_ON_ERROR);

        return JsonResponse::fromJsonString("{\"data\":[{$data}],\"next_cursor\":{$next}}");
    }

    /** @param  CursorPaginator<int, mixed>  $page */
    private function next(CursorPaginator $page): ?string
    {
        $next = $page->nextCursor()?->encode();

        return $next === null ? null : $next.'.'.self::sign($this->request, $next);
    }

    private static function sign(Request $request, string $encoded): string
    {
        return substr(hash_hmac('sha256', $request->path().' '.$encoded, (string) config('app.key')), 0, 20);
    }
}
