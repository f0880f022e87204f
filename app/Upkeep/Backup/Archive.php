<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use Illuminate\Support\Facades\File;

/**
 * Reads a packed backup (POSIX.1-1988 ustar and GNU's numbers, through gzip). Its manifest comes first and names what
 * there is, with size and checksum; before anything else is written it is refused: links, devices, paths of any other
 * shape, what is not named or is larger than it says.
 */
final class Archive
{
    /** The folder of the photographs within it. */
    public const PHOTOS = 'photos';

    private const BLOCK = 512;

    private const PIECE = 1 << 20;

    private const LARGEST_MANIFEST = 64 * 1024 * 1024;

    /** All that a backup ever holds. */
    private const PATHS = '~^(database\.sql|keys/(app\.key|authority\.key|authority\.crt)|photos/[0-9a-f]{2}/[0-9a-f-]{4,40}\.jpg)$~D';

    private const FOLDERS = '~^(keys|photos|photos/[0-9a-f]{2})/?$~D';

    /** @param  resource  $stream */
    private function __construct(private readonly mixed $stream, private readonly string $folder) {}

    /** @throws Unusable if it is no backup, is damaged, or holds anything that its manifest does not name */
    public static function unpack(string $file, string $folder): Manifest
    {
        $stream = @gzopen($file, 'rb');
        if ($stream === false) {
            throw new Unusable("{$file} cannot be read.");
        }
        try {
            return (new self($stream, $folder))->all();
        } finally {
            gzclose($stream);
        }
    }

    private function all(): Manifest
    {
        [$name, $size] = $this->next() ?? throw self::damaged();
        if ($name !== Manifest::FILE || $size > self::LARGEST_MANIFEST) {
            throw new Unusable('That is not a backup of Jardinier.');
        }
        $this->write($name, $size);
        $manifest = Manifest::read($this->folder);
        $this->refuseWithoutRoom($manifest);
        File::ensureDirectoryExists("{$this->folder}/".self::PHOTOS, 0700);
        $left = $manifest->files;
        while (($next = $this->next()) !== null) {
            [$name, $size] = $next;
            $known = $left[$name] ?? null;
            if ($known === null || preg_match(self::PATHS, $name) !== 1) {
                throw new Unusable("The backup holds {$name}, which its manifest does not name.");
            }
            if ($known['bytes'] !== $size) {
                throw new Unusable("{$name} in the backup is not as large as its manifest says.");
            }
            if ($this->write($name, $size) !== $known['sha256']) {
                throw new Unusable("{$name} in the backup is not as it was.");
            }
            unset($left[$name]);
        }
        if ($left !== []) {
            throw new Unusable(array_key_first($left).' is missing from the backup.');
        }

        return $manifest;
    }

    private function refuseWithoutRoom(Manifest $manifest): void
    {
        $needs = array_sum(array_column($manifest->files, 'bytes'));
        if ($needs > disk_free_space($this->folder)) {
            throw new Unusable('There is no room for it on the disk: it would take '.number_format($needs / 1e6).' MB.');
        }
    }

    /** @return array{string, int}|null name and size of the next file; null at the end */
    private function next(): ?array
    {
        do {
            $header = $this->read(self::BLOCK);
            if (trim($header, "\0") === '') {
                return null;
            }
            // The checksum counts itself as spaces.
            $sum = array_sum(array_map(ord(...), str_split(substr_replace($header, str_repeat(' ', 8), 148, 8))));
            if (octdec(trim(substr($header, 148, 8), " \0")) !== $sum) {
                throw self::damaged();
            }
            $name = rtrim(substr($header, 0, 100), "\0");
            $prefix = substr($header, 257, 6) === "ustar\0" ? rtrim(substr($header, 345, 155), "\0") : '';
            $name = $prefix === '' ? $name : "{$prefix}/{$name}";
            $isFolder = $header[156] === '5' && preg_match(self::FOLDERS, $name) === 1;
            if (! $isFolder && ! in_array($header[156], ['0', "\0"], true)) {
                throw new Unusable("The backup holds {$name}, which is neither a file nor a folder of one.");
            }
        } while ($isFolder);

        return [$name, self::size(substr($header, 124, 12))];
    }

    /** Octal; of what is larger than that can say, binary with the first bit set. */
    private static function size(string $field): int
    {
        return (ord($field[0]) & 0x80) === 0
            ? (int) octdec(trim($field, " \0"))
            : (int) hexdec(bin2hex(substr($field, 4)));
    }

    /** @return string the checksum of what was written */
    private function write(string $name, int $size): string
    {
        $path = "{$this->folder}/{$name}";
        File::ensureDirectoryExists(dirname($path), 0700);
        $file = fopen($path, 'xb') ?: throw new Unusable("{$name} stands twice in the backup.");
        $hash = hash_init('sha256');
        for ($left = $size; $left > 0; $left -= strlen($piece)) {
            $piece = $this->read(min($left, self::PIECE));
            hash_update($hash, $piece);
            if (fwrite($file, $piece) !== strlen($piece)) {
                throw new Unusable('There is no room for it on the disk.');
            }
        }
        fclose($file);
        $this->read((self::BLOCK - $size % self::BLOCK) % self::BLOCK);

        return hash_final($hash);
    }

    private function read(int $length): string
    {
        for ($read = ''; strlen($read) < $length; $read .= $piece) {
            $piece = @gzread($this->stream, $length - strlen($read));
            if ($piece === false || $piece === '') {
                throw self::damaged();
            }
        }

        return $read;
    }

    private static function damaged(): Unusable
    {
        return new Unusable('That is not a backup, or it is damaged or cut off.');
    }
}
