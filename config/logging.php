<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/jardinier.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 30],
    ],
];
