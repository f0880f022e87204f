<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Foundation\Vite;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells the browser to run and show nothing but what this yard serves. */
final readonly class SecurityHeaders
{
    public function __construct(private Vite $vite) {}

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $nonce = $this->vite->useCspNonce();
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => implode('; ', [
                "default-src 'none'",
                "script-src 'self' 'nonce-{$nonce}' 'wasm-unsafe-eval'",
                "style-src 'self' 'nonce-{$nonce}'",
                "img-src 'self' data: blob:",
                "font-src 'self'",
                "connect-src 'self'",
                "manifest-src 'self'",
                "base-uri 'none'",
                "form-action 'self'",
                "frame-ancestors 'none'",
            ]),
            'X-Frame-Options' => 'DENY',
            'X-Content-Type-Options' => 'nosniff',
            // Who knows such an address may read it: it is told to no other site.
            'Referrer-Policy' => $request->is('counter/*', 'api/counter/*', 'api/calendar/*', 'welcome') ? 'no-referrer' : 'same-origin',
            'X-Robots-Tag' => 'noindex, nofollow',
            'Permissions-Policy' => 'camera=(self), geolocation=(), microphone=()',
            'Cross-Origin-Opener-Policy' => 'same-origin',
        ]);
        if ($request->is('api/*') && ! $response->headers->hasCacheControlDirective('max-age')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
