<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

use App\Machines\Yard;
use Carbon\CarbonImmutable;
use Core\Upkeep\Rotation;
use Illuminate\Support\Facades\File;

/** A backup that lies in the yard's own folder, with what is known of it beside it. */
final readonly class Kept
{
    private const NOTE = '.json';

    private const BEFORES = 4;

    private function __construct(
        public string $file,
        public CarbonImmutable $madeAt,
        public int $bytes,
        public ?CarbonImmutable $provedAt,
    ) {}

    public static function name(CarbonImmutable $at, bool $isSealed): string
    {
        return BackupFile::folder().'/jardinier-'.$at->utc()->format('Ymd-His').($isSealed ? '.sealed' : '.tar.gz');
    }

    /** When a file of that name was made; null where it is none of ours. */
    public static function madeAt(string $file): ?CarbonImmutable
    {
        return preg_match('/^jardinier-(\d{8}-\d{6})\.(sealed|tar\.gz)$/D', basename($file), $part) === 1
            ? CarbonImmutable::createFromFormat('Ymd-His', $part[1], 'UTC') ?: null
            : null;
    }

    public static function note(string $file, CarbonImmutable $madeAt, ?CarbonImmutable $provedAt): void
    {
        $note = ['made_at' => $madeAt->toIso8601String(), 'bytes' => (int) filesize($file), 'proved_at' => $provedAt?->toIso8601String()];
        file_put_contents($file.self::NOTE.'.new', json_encode($note, JSON_THROW_ON_ERROR));
        // The web workers read what there is, never what is in it.
        chmod($file.self::NOTE.'.new', 0640);
        rename($file.self::NOTE.'.new', $file.self::NOTE);
    }

    /** @return list<self> the newest first */
    public static function all(): array
    {
        $all = [];
        foreach (glob(BackupFile::folder().'/*'.self::NOTE) ?: [] as $note) {
            $file = substr($note, 0, -strlen(self::NOTE));
            $known = json_decode((string) file_get_contents($note), associative: true);
            if (is_file($file) && isset($known['made_at'])) {
                $proved = $known['proved_at'] ?? null;
                $all[] = new self($file, CarbonImmutable::parse($known['made_at']), (int) $known['bytes'], $proved === null ? null : CarbonImmutable::parse($proved));
            }
        }
        usort($all, fn (self $one, self $other): int => $other->madeAt <=> $one->madeAt);

        return $all;
    }

    public static function newest(): ?self
    {
        return self::all()[0] ?? null;
    }

    /** Throws away all but the newest of those that were made before something was changed. */
    public static function rotateBefores(): void
    {
        $befores = glob(BackupFile::folder().'/before-*') ?: [];
        usort($befores, fn (string $one, string $other): int => filemtime($other) <=> filemtime($one));
        File::delete(array_slice($befores, self::BEFORES));
    }

    /** Throws away what the rotation does not keep. */
    public static function rotate(Yard $yard): void
    {
        $all = array_column(self::all(), null, 'file');
        $kept = Rotation::kept(array_map(
            fn (self $one): \DateTimeImmutable => $one->madeAt->setTimezone($yard->time_zone),
            $all,
        ));
        foreach (array_diff_key($all, array_flip($kept)) as $file => $one) {
            File::delete([$file, $file.self::NOTE]);
        }
    }
}
