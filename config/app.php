<?php

declare(strict_types=1);

return [
    'name' => 'Jardinier',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1'),
    'timezone' => 'UTC',
    // A test server has a day of its own, the same whenever it runs.
    'clock_ahead_seconds' => (int) env('CLOCK_AHEAD_SECONDS', 0),
    'trusted_proxies' => array_values(
        array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_PROXIES', '')))),
    ),
    'key' => env('APP_KEY'),
    'cipher' => 'AES-256-CBC',
];
