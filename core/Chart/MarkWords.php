<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Machine\TaskKind;

/** What the marks and words in a chart's fields mean. */
final class MarkWords
{
    private const NOTHING = ['', '-', '–', '—', '.', 'no', '0'];

    /** Marks that say when, not what; those that are one sign to the eye together. */
    private const SIGNS = [
        'X' => ['x', '×', '✗', '✘'],
        '●' => ['●', '•'],
        '○' => ['○', '◦', 'o'],
        '·' => ['·'],
        '*' => ['*'],
        '+' => ['+'],
        '✓' => ['✓', '✔', 'yes', 'y', '1'],
    ];

    private const WORDS = [
        'replace' => TaskKind::Replace,
        'change' => TaskKind::Replace,
        'renew' => TaskKind::Replace,
        'r' => TaskKind::Replace,
        'inspect' => TaskKind::Inspect,
        'check' => TaskKind::Inspect,
        'test' => TaskKind::Inspect,
        'look' => TaskKind::Inspect,
        'i' => TaskKind::Inspect,
        'clean' => TaskKind::Clean, 'wash' => TaskKind::Clean,
        'adjust' => TaskKind::Adjust, 'tighten' => TaskKind::Adjust, 'a' => TaskKind::Adjust,
        'lubricate' => TaskKind::Lubricate,
        'grease' => TaskKind::Lubricate,
        'oil' => TaskKind::Lubricate,
        'g' => TaskKind::Lubricate,
        'check level' => TaskKind::CheckLevel, 'level' => TaskKind::CheckLevel, 'top up' => TaskKind::CheckLevel,
        'sample' => TaskKind::Sample, 's' => TaskKind::Sample,
        'run' => TaskKind::Run,
    ];

    /** Letters that books use for more than one thing. */
    private const UNSURE = [
        'c' => [TaskKind::Clean, TaskKind::Inspect, TaskKind::Replace],
        'l' => [TaskKind::Lubricate, TaskKind::CheckLevel],
        't' => [TaskKind::Adjust, TaskKind::Inspect],
    ];

    public static function isNothing(string $cell): bool
    {
        return in_array(self::plain($cell), self::NOTHING, true);
    }

    /** The sign of a mark that says when, not what; null where it is none. */
    public static function sign(string $cell): ?string
    {
        foreach (self::SIGNS as $sign => $written) {
            if (in_array(self::plain($cell), $written, true)) {
                return $sign;
            }
        }

        return null;
    }

    /** The likeliest work for one of several signs: an open one looks, a full one replaces. */
    public static function guessSign(string $sign): TaskKind
    {
        return in_array($sign, ['○', '·', '+'], true) ? TaskKind::Inspect : TaskKind::Replace;
    }

    public static function kind(string $cell): ?TaskKind
    {
        return self::WORDS[str_replace('_', ' ', self::plain($cell))] ?? null;
    }

    /** @return list<TaskKind> what a letter may mean; none where it is no such letter */
    public static function mayMean(string $cell): array
    {
        return self::UNSURE[self::plain($cell)] ?? [];
    }

    /** What the words of a task say is done, as in `Replace engine oil` or `Grease all points`. */
    public static function kindIn(string $task): ?TaskKind
    {
        $words = explode(' ', self::plain($task));
        foreach ([implode(' ', array_slice($words, 0, 2)), $words[0]] as $lead) {
            if (strlen($lead) > 1 && $lead !== 'oil' && isset(self::WORDS[$lead])) {
                return self::WORDS[$lead];
            }
        }

        return null;
    }

    /** The likeliest work for a task that does not say. */
    public static function guess(string $task): TaskKind
    {
        return match (true) {
            (bool) preg_match('/oil|filter|plug|coolant|fluid/i', $task) => TaskKind::Replace,
            (bool) preg_match('/grease|spindle|pivot|nipple|points|bearing/i', $task) => TaskKind::Lubricate,
            (bool) preg_match('/deck|terminal|screen|radiator|cleaner/i', $task) => TaskKind::Clean,
            default => TaskKind::Inspect,
        };
    }

    private static function plain(string $cell): string
    {
        return mb_strtolower(trim($cell));
    }
}
