<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    // Browsers and files count by the real clock, so a server with a day of its own must keep its sessions for years.
    'lifetime' => 60 * 24 * (env('CLOCK_AHEAD_SECONDS') ? 36_500 : 14),
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'connection' => env('SESSION_CONNECTION'),
    'store' => env('SESSION_STORE'),
    'lottery' => [2, 1000],
    // Browsers send cookies to every port of a computer: each yard has a name of its own.
    'cookie' => 'jardinier_'.substr(hash('sha256', (string) env('APP_KEY')), 0, 10),
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE_COOKIE', env('LAN_ADDRESS') !== null),
    'http_only' => true,
    'same_site' => 'lax',
];
