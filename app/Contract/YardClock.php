<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Each answer says when it was given, by our own clock: a device whose clock is wrong shows ours. */
final readonly class YardClock
{
    public const HEADER = 'Jardinier-Clock';

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $response = $next($request);
        $response->headers->set(self::HEADER, self::read());

        return $response;
    }

    /** With its thousandths and offset, as ISO 8601 has it. */
    public static function read(): string
    {
        return now()->utc()->format('Y-m-d\TH:i:s.vP');
    }
}
