<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

/** The keys that came out of a backup: they are what they are called, or the backup is not believed. */
final class RestoredKeys
{
    private const APP_KEY = '~^base64:[A-Za-z0-9+/]{43}=$~D';

    /** @throws Unusable */
    public static function check(string $folder): void
    {
        if (preg_match(self::APP_KEY, (string) @file_get_contents("{$folder}/app.key")) !== 1) {
            throw new Unusable('The key in the backup is not a key.');
        }
        [$certificate, $key] = ["{$folder}/authority.crt", "{$folder}/authority.key"];
        if (is_file($certificate) !== is_file($key)) {
            throw new Unusable('The backup holds half of an authority.');
        }
        if (is_file($key) && ! @openssl_x509_check_private_key((string) file_get_contents($certificate), (string) file_get_contents($key))) {
            throw new Unusable('The key in the backup is not that of its authority.');
        }
    }
}
