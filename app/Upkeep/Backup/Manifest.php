<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

/** What a backup says of itself, first of all that lies in it. */
final readonly class Manifest
{
    public const FILE = 'manifest.json';

    private const FORMAT = 2;

    /**
     * @param  list<string>  $migrations  those that its tables were made by
     * @param  array{file: string, position: int}  $changes  where the binary log went on
     * @param  array<string, array{rows: int, hash: string}>  $tables
     * @param  array<string, array{bytes: int, sha256: string}>  $files  by path
     */
    public function __construct(
        public \DateTimeImmutable $madeAt,
        public string $yardId,
        public string $yard,
        public string $timeZone,
        public array $migrations,
        public array $changes,
        public array $tables,
        public array $files,
    ) {}

    /** @throws Unusable if it is none, or one of a later form */
    public static function read(string $folder): self
    {
        $read = json_decode((string) @file_get_contents("{$folder}/".self::FILE), associative: true);
        if (! is_array($read) || ! isset($read['format'])) {
            throw new Unusable('That is not a backup of Jardinier.');
        }
        if ($read['format'] !== self::FORMAT) {
            throw new Unusable($read['format'] < self::FORMAT
                ? 'That backup was made by an older Jardinier, which put it back with less care. Put it back with that one, then upgrade.'
                : 'That backup was made by a newer Jardinier. Install that one.');
        }
        try {
            return new self(new \DateTimeImmutable($read['made_at']), $read['yard_id'], self::onOneLine($read['yard']), (new \DateTimeZone($read['time_zone']))->getName(), $read['migrations'], $read['changes'], $read['tables'], $read['files']);
        } catch (\TypeError|\Exception) {
            throw new Unusable('The backup does not say what is in it.');
        }
    }

    public function write(string $folder): void
    {
        file_put_contents("{$folder}/".self::FILE, json_encode([
            'format' => self::FORMAT,
            'made_at' => $this->madeAt->format(DATE_ATOM),
            'yard_id' => $this->yardId,
            'yard' => $this->yard,
            'time_zone' => $this->timeZone,
            'migrations' => $this->migrations,
            'changes' => $this->changes,
            'tables' => $this->tables,
            'files' => $this->files,
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR));
    }

    /** It is shown in a terminal, which does what some signs say. */
    private static function onOneLine(string $name): string
    {
        return (string) preg_replace('/\p{C}+/u', ' ', mb_scrub($name));
    }
}
