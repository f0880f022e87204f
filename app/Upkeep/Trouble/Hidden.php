<?php

declare(strict_types=1);

namespace App\Upkeep\Trouble;

use App\Upkeep\StateFolder;
use Illuminate\Support\Facades\DB;

/** What is taken out of a text before somebody else reads it: secrets, names, addresses, what was asked for. */
final readonly class Hidden
{
    /** In what nginx and others write: who asked, for what, and what stands in quotes. */
    private const PATTERNS = [
        '/request: "[^"]*"?/' => 'request: …',
        '/(client|host|referrer|upstream): [^,\n]*/' => '$1: …',
        '/"[^"\n]*"/' => '"…"',
        '/\b\d{1,3}(\.\d{1,3}){3}\b/' => '…',
        '/base64:[A-Za-z0-9+\/=]+/' => '…',
        '/[0-9a-f]{32,}/' => '…',
    ];

    /** @var list<string> */
    private array $words;

    public function __construct()
    {
        $settings = @file(StateFolder::path('.env'), FILE_IGNORE_NEW_LINES) ?: [];
        $values = preg_filter('/^[A-Z_]*(KEY|PASSWORD|PASSPHRASE|SECRET|TOKEN)[A-Z_]*=/', '', $settings) ?: [];
        $this->words = array_values(array_filter(
            array_unique([...array_map(fn (string $value): string => trim($value, '"\''), $values), trim((string) @file_get_contents(StateFolder::path('backup-passphrase'))), ...self::names()]),
            fn (string $word): bool => mb_strlen($word) > 2,
        ));
    }

    public function in(string $text): string
    {
        $text = preg_replace(array_keys(self::PATTERNS), array_values(self::PATTERNS), mb_scrub($text)) ?? '';

        return str_ireplace(array_map(strval(...), $this->words), '…', $text);
    }

    /** @return list<string> where the database can be asked */
    private static function names(): array
    {
        try {
            return array_values(array_map(strval(...), [
                ...DB::table('people')->pluck('name'),
                ...DB::table('people')->pluck('sign_in_name'),
                ...DB::table('machines')->pluck('name'),
                ...DB::table('yard')->pluck('name'),
            ]));
        } catch (\Throwable) {
            return [];
        }
    }
}
