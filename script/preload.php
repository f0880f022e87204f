<?php

declare(strict_types=1);

// What ordinary requests load is compiled and linked once, when php-fpm starts.

$list = getenv('JARDINIER_STATE').'/cache/preload.txt';
foreach (is_file($list) ? (array) file($list, FILE_IGNORE_NEW_LINES) : [] as $file) {
    opcache_compile_file((string) $file);
}
