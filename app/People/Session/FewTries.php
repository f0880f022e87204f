<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Problem;
use App\Contract\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/** Strangers knock a limited number of times a minute, counted before anything of what they send is read. */
final readonly class FewTries
{
    private const DOORS = ['api/session', 'api/first-keeper', 'api/invitation'];

    private const TRIES_AN_ADDRESS = 30;

    /** Tries under one name, from wherever, after which each must wait longer than the one before. */
    private const TRIES_A_NAME = 5;

    private const LONGEST_WAIT = 30;

    /** Seconds after which a name's tries are forgotten. */
    private const FORGOTTEN = 3600;

    public function __construct(private RateLimiter $limiter) {}

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->isMethod('POST') && $request->is(...self::DOORS)) {
            $who = 'sign-in:'.(KnownDevice::of($request)->id ?? $request->ip());
            $this->count($who, self::TRIES_AN_ADDRESS);
            $response = $next($request);
            // Whoever is let in was no stranger: many people may share one address.
            if ($response->isSuccessful()) {
                $this->limiter->decrement($who);
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
            throw self::tooMany($this->limiter->availableIn($what));
        }
        $this->limiter->hit($what);
    }

    /**
     * Counts one try more under a name over all addresses: nobody is ever shut out for it, and nothing sleeps, but one
     * try after another must wait, longer each time.
     *
     * @throws Refusal if it comes too soon
     */
    public function countOverAll(string $name): void
    {
        for ($try = 1; $try <= self::TRIES_A_NAME; $try++) {
            if (Cache::add("{$name} try {$try}", true, self::FORGOTTEN)) {
                return;
            }
        }
        $waited = (int) Cache::get("{$name} waited", 0);
        $seconds = min(self::LONGEST_WAIT, 2 ** $waited);
        $now = CarbonImmutable::now();
        // Of several who come at once one gets through.
        if (! Cache::add("{$name} until", $now->getTimestamp() + $seconds, $seconds)) {
            throw self::tooMany((int) Cache::get("{$name} until", 0) - $now->getTimestamp());
        }
        Cache::put("{$name} waited", min($waited + 1, 10), self::FORGOTTEN);
    }

    public function forget(string $what): void
    {
        $this->limiter->clear($what);
    }

    public function forgetOverAll(string $name): void
    {
        foreach ([...array_map(fn (int $try): string => "try {$try}", range(1, self::TRIES_A_NAME)), 'waited', 'until'] as $part) {
            Cache::forget("{$name} {$part}");
        }
    }

    private static function tooMany(int $seconds): Refusal
    {
        $wait = max(1, $seconds);

        return new Refusal(
            new Problem(
                429,
                'too-often',
                'Too many tries',
                "Wait {$wait} seconds and try again.",
                headers: ['Retry-After' => (string) $wait],
            ),
        );
    }
}
