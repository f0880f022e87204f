<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Problem;
use App\Contract\Refusal;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Strangers knock a limited number of times a minute, counted before anything of what they send is read. */
final readonly class FewTries
{
    private const TRIES_AN_ADDRESS = 30;

    public function __construct(private RateLimiter $limiter)
    {
    }

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->isMethod('POST') && $request->is('api/session', 'api/first-keeper')) {
            $this->count("sign-in:{$request->ip()}", self::TRIES_AN_ADDRESS);
            $response = $next($request);
            // Whoever is let in was no stranger: many people may share one address.
            if ($response->isSuccessful()) {
                $this->limiter->decrement("sign-in:{$request->ip()}");
            }

            return $response;
        }

        return $next($request);
    }

    /**
     * Counts one try more within a minute.
     *
     * @throws Refusal if there were too many
     */
    public function count(string $what, int $most): void
    {
        if ($this->limiter->tooManyAttempts($what, $most)) {
            $wait = $this->limiter->availableIn($what);
            throw new Refusal(
                new Problem(
                    429,
                    'too-often',
                    'Too many tries',
                    "Wait {$wait} seconds and try again.",
                    headers: ['Retry-After' => (string) $wait],
                ),
            );
        }
        $this->limiter->hit($what);
    }

    public function forget(string $what): void
    {
        $this->limiter->clear($what);
    }
}
