<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Pipeline\Pipeline;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * People come with a session cookie, and their writes carry its anti-forgery token. Programs come with a bearer token, which no other site can
 * make a browser send, and get no session.
 */
final readonly class SessionOrToken
{
    private const SESSION = [EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class, ValidateCsrfToken::class];

    public function __construct(private Pipeline $pipeline)
    {
    }

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->bearerToken() !== null) {
            return $next($request);
        }

        return $this->pipeline->send($request)->through(self::SESSION)->then($next);
    }
}
