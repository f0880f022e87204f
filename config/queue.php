<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // The work of the night. A backup of twenty years takes minutes, never an hour.
        'database' => [
            'driver' => 'database',
            'table' => 'queued_work',
            'queue' => 'night',
            'retry_after' => 3600,
            'after_commit' => true,
        ],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'queue' => 'night', 'retry_after' => 3600],
    ],
    'failed' => ['driver' => 'null'],
];
