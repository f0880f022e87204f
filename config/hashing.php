<?php

declare(strict_types=1);

// Argon2id (RFC 9106) reads a password to its end, where bcrypt stops at 72 bytes. The costs are the least that OWASP's
// cheat sheet on storing passwords names.
return [
    'driver' => 'argon2id',
    'argon' => [
        'memory' => (int) env('HASH_MEMORY', 19_456),
        'threads' => 1,
        'time' => (int) env('HASH_TIME', 2),
        'verify' => false,
    ],
    'rehash_on_login' => true,
];
