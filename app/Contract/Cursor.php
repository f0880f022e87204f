<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\CursorPaginator;

/** Lists page by cursor: a page, and where the next begins. */
final class Cursor
{
    public const USUAL = 50;

    public const MOST = 200;

    public static function pageSize(Request $request): int
    {
        return (int) ($request->validate(['limit' => ['sometimes', 'integer', 'between:1,'.self::MOST], 'cursor' => ['sometimes', 'string', 'max:1000']])['limit'] ?? self::USUAL);
    }

    /**
     * @template T
     *
     * @param  CursorPaginator<int, T>  $page
     * @param  \Closure(T): mixed  $shape
     * @param  array<string, mixed>  $more
     */
    public static function respond(CursorPaginator $page, \Closure $shape, array $more = []): JsonResponse
    {
        return new JsonResponse(['data' => array_map($shape, $page->items()), 'next_cursor' => $page->nextCursor()?->encode(), ...$more]);
    }
}
