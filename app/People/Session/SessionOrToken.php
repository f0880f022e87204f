<?php

declare(strict_types=1);

namespace App\People\Session;

use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Http\Request;
use Illuminate\Pipeline\Pipeline;
use Symfony\Component\HttpFoundation\Response;

/**
 * People come with a session cookie, and write from the yard's own pages. Programs come with a bearer token, which no
 * other site can make a browser send,
 * and get no session.
 */
final readonly class SessionOrToken
{
    private const SESSION = [
        SameOrigin::class,
        EncryptCookies::class,
        AddQueuedCookiesToResponse::class,
        PersonalSession::class,
    ];

    public function __construct(private Pipeline $pipeline)
    {
    }

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->bearerToken() !== null && ! $request->is('api/session', 'api/first-keeper')) {
            return $next($request);
        }

        return $this->pipeline->send($request)->through(self::SESSION)->then($next);
    }
}
