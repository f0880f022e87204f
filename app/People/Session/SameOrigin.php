<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Problem;
use App\Contract\Refusal;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What is written with a session must come from a page of this yard. Browsers say where a write comes from, and no page
 * can make them say otherwise:
 * `Sec-Fetch-Site` (W3C Fetch Metadata Request Headers) where the yard is reached safely, `Origin` (RFC 6454)
 * everywhere.
 */
final class SameOrigin
{
    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if (! $request->isMethodSafe() && ! $this->comesFromHere($request)) {
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

        return $next($request);
    }

    private function comesFromHere(Request $request): bool
    {
        $site = $request->headers->get('Sec-Fetch-Site');

        return $site === null
            ? $request->headers->get('Origin') === $request->getSchemeAndHttpHost()
            : $site === 'same-origin';
    }
}
