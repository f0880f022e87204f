<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Problem;
use App\Contract\Refusal;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Http\Request;
use Illuminate\Pipeline\Pipeline;
use Symfony\Component\HttpFoundation\Response;

/**
 * People come with a session cookie, and write from the yard's own pages: browsers say where a write comes from, and no
 * page can make them say otherwise. `Sec-Fetch-Site` (W3C Fetch Metadata Request Headers) where the yard is reached safely,
 * `Origin` (RFC 6454) everywhere. Programs come with a bearer token, which no other site can
 * make a browser send, and get no session.
 */
final readonly class SessionOrToken
{
    private const SESSION = [EncryptCookies::class, AddQueuedCookiesToResponse::class, PersonalSession::class];

    public function __construct(private Pipeline $pipeline) {}

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->bearerToken() !== null && ! $request->is('api/session', 'api/first-keeper')) {
            return $next($request);
        }

        if (! $request->isMethodSafe() && ! self::comesFromHere($request)) {
            throw new Refusal(
                new Problem(
                    403,
                    'foreign-origin',
                    'Not from here',
                    'This was sent by a page that is not of this yard, so it was not carried out. '
                        .'Open the yard and do it there.',
                ),
            );
        }

        return $this->pipeline->send($request)->through(self::SESSION)->then($next);
    }

    private static function comesFromHere(Request $request): bool
    {
        $site = $request->headers->get('Sec-Fetch-Site');

        return $site === null
            ? $request->headers->get('Origin') === $request->getSchemeAndHttpHost()
            : $site === 'same-origin';
    }
}
