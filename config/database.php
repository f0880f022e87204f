<?php

declare(strict_types=1);

$hosts = fn (string $name): array => array_filter(explode(',', (string) env($name, '')));

// One small computer reads and writes one server. DB_READ_HOSTS and DB_WRITE_HOSTS spread a replicated or clustered
// one.
return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3306'),
            'database' => env('DB_DATABASE', 'jardinier'),
            'username' => env('DB_USERNAME', 'jardinier'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'prefix' => '',
            'strict' => true,
            // One way to the server and back for each question, not two.
            'options' => [PDO::ATTR_EMULATE_PREPARES => true],
            'timezone' => '+00:00',
            // Whoever waited for a machine's row must then see what the one before them wrote.
            'isolation_level' => 'READ COMMITTED',
            ...($hosts('DB_READ_HOSTS') === [] ? [] : [
                'read' => ['host' => $hosts('DB_READ_HOSTS')],
                'write' => ['host' => $hosts('DB_WRITE_HOSTS') ?: [env('DB_HOST', '127.0.0.1')]],
                'sticky' => true,
            ]),
        ],
    ],
    'migrations' => ['table' => 'migrations'],
];
