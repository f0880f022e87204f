<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\Middleware\TrustProxies as Middleware;

/** Believes the proxies that are named in the settings, and nobody else, about who asks. */
final class TrustProxies extends Middleware
{
    /** @return list<string>|null */
    protected function proxies(): ?array
    {
        return config('app.trusted_proxies') ?: null;
    }
}
