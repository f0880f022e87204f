<?php

declare(strict_types=1);

// Two yards installed a month apart run the same code, though no lock is written: composer.json conflicts with every other
// version of each package, and packages.txt lists the checksum of each archive.
//
//   php pin_packages.php            writes both from what is installed
//   php pin_packages.php --check    fails where anything else is installed than is listed

const LIST_FILE = __DIR__.'/packages.txt';
const COMPOSER = __DIR__.'/../composer.json';

$installed = json_decode((string) file_get_contents(__DIR__.'/../vendor/composer/installed.json'), true, flags: JSON_THROW_ON_ERROR)['packages'];
$lines = array_map(fn (array $package): string => "{$package['name']} {$package['version']} {$package['dist']['shasum']}", $installed);
sort($lines);

if (($argv[1] ?? '') === '--check') {
    $listed = file(LIST_FILE, FILE_IGNORE_NEW_LINES) ?: [];
    foreach (array_diff($lines, $listed) as $foreign) {
        fwrite(STDERR, "Installed, and not listed in script/packages.txt: {$foreign}\n");
    }
    exit(array_diff($lines, $listed) === [] ? 0 : 1);
}

file_put_contents(LIST_FILE, implode("\n", $lines)."\n");
$composer = json_decode((string) file_get_contents(COMPOSER), true, flags: JSON_THROW_ON_ERROR);
$composer['conflict'] = array_column(array_map(fn (array $package): array => [$package['name'], "!= {$package['version']}"], $installed), 1, 0);
ksort($composer['conflict']);
file_put_contents(COMPOSER, json_encode($composer, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
