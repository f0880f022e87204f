<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

/** A file sealed with a passphrase: libsodium's secretstream (XChaCha20-Poly1305), its key by Argon2id. */
final class PassphraseSeal
{
    private const MAGIC = "JARDINIER-SEALED-1\n";

    private const PIECE = 65_536;

    public static function isOn(string $file): bool
    {
        return file_get_contents($file, length: strlen(self::MAGIC)) === self::MAGIC;
    }

    public static function put(string $from, string $to, #[\SensitiveParameter] string $passphrase): void
    {
        [$in, $out] = [self::open($from, 'r'), self::open($to, 'w')];
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        [$state, $header] = sodium_crypto_secretstream_xchacha20poly1305_init_push(self::key($passphrase, $salt));
        fwrite($out, self::MAGIC.$salt.$header);
        do {
            $piece = (string) fread($in, self::PIECE);
            $isLast = feof($in);
            fwrite($out, sodium_crypto_secretstream_xchacha20poly1305_push($state, $piece, '', $isLast
                ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE));
        } while (! $isLast);
        array_map(fclose(...), [$in, $out]);
    }

    /** @throws Unusable if the passphrase is another, or anything was changed or cut off */
    public static function take(string $from, string $to, #[\SensitiveParameter] string $passphrase): void
    {
        [$in, $out] = [self::open($from, 'r'), self::open($to, 'w')];
        fread($in, strlen(self::MAGIC));
        $salt = (string) fread($in, SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $header = (string) fread($in, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
        if (strlen($header) < SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES) {
            throw new Unusable('The backup is cut off.');
        }
        $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, self::key($passphrase, $salt));
        $tag = null;
        while ($tag !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL) {
            $piece = (string) fread($in, self::PIECE + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES);
            $opened = $piece === '' ? false : sodium_crypto_secretstream_xchacha20poly1305_pull($state, $piece);
            if ($opened === false) {
                throw new Unusable($tag === null
                    ? 'It does not open with that passphrase.'
                    : 'The backup is damaged or cut off.');
            }
            [$plain, $tag] = $opened;
            fwrite($out, $plain);
        }
        array_map(fclose(...), [$in, $out]);
    }

    private static function key(#[\SensitiveParameter] string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_INTERACTIVE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_INTERACTIVE,
            SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        );
    }

    /** @return resource */
    private static function open(string $file, string $mode)
    {
        $stream = fopen($file, $mode.'b');
        if ($stream === false) {
            throw new Unusable("{$file} cannot be opened.");
        }
        // So that each read is a whole piece.
        stream_set_read_buffer($stream, 0);

        return $stream;
    }
}
