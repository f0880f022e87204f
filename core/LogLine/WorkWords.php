<?php

declare(strict_types=1);

namespace Core\LogLine;

use Core\Machine\TaskKind;

/** What was done, by its word: without one, what is named was replaced. */
final class WorkWords
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

    /** @param  non-empty-list<string>  $words */
    public static function read(array $words): LoggedWork
    {
        $kind = null;
        foreach ($words as $at => $word) {
            $said = self::WORDS[mb_strtolower(rtrim($word, ','))] ?? null;
            if ($said !== null && $kind === null) {
                $kind = $said;
                unset($words[$at]);
            }
        }

        return new LoggedWork($kind ?? TaskKind::Replace, implode(' ', $words));
    }
}
