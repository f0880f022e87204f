<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where the disk is full nothing is begun that could not be ended; what was kept on phones waits there. */
final class RoomToWrite
{
    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if (! $request->isMethodSafe() && Disk::isFull()) {
            throw new Refusal(Problem::unavailable(Unavailable::NO_ROOM));
        }

        return $next($request);
    }
}
