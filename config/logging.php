<?php

declare(strict_types=1);

use Monolog\Formatter\LineFormatter;
use Monolog\Handler\StreamHandler;

// What is written to stderr is kept, turned over and bounded by whoever watches the process.
return [
    'default' => 'stderr',
    'channels' => [
        'stderr' => [
            'driver' => 'monolog',
            'level' => env('LOG_LEVEL', 'warning'),
            'handler' => StreamHandler::class,
            'handler_with' => ['stream' => 'php://stderr'],
            'formatter' => LineFormatter::class,
            'formatter_with' => ['allowInlineLineBreaks' => true, 'ignoreEmptyContextAndExtra' => true],
        ],
    ],
];
