<?php

declare(strict_types=1);

namespace Core\LogLine;

use Core\Machine\TaskKind;

/** What a log line says was done at a place: `fuel filter`, `grease all`, `clean air cleaner`. */
final readonly class LoggedWork
{
    private const WORDS = [
        'grease' => TaskKind::Lubricate,
        'greased' => TaskKind::Lubricate,
        'clean' => TaskKind::Clean,
        'cleaned' => TaskKind::Clean,
        'adjust' => TaskKind::Adjust,
        'adjusted' => TaskKind::Adjust,
        'replace' => TaskKind::Replace,
        'replaced' => TaskKind::Replace,
        'change' => TaskKind::Replace,
        'changed' => TaskKind::Replace,
        'new' => TaskKind::Replace,
    ];

    /** @param  string  $where  the words for the place */
    public function __construct(public TaskKind $kind, public string $where) {}

    /** @param  non-empty-list<string>  $words */
    public static function read(array $words): self
    {
        $kind = null;
        foreach ($words as $at => $word) {
            $said = self::WORDS[mb_strtolower(rtrim($word, ','))] ?? null;
            if ($said !== null && $kind === null) {
                $kind = $said;
                unset($words[$at]);
            }
        }

        return new self($kind ?? TaskKind::Replace, implode(' ', $words));
    }
}
