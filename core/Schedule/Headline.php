<?php

declare(strict_types=1);

namespace Core\Schedule;

/** The yard in one line: `Bittern is past, Wren is stood down, Heron and Teal are nearing, 13 are fresh.` */
final class Headline
{
    /** More machines of one state than this are only counted. */
    public const NAMES_TOLD = 2;

    /** The states a machine can be in, the most urgent first, each with its word. */
    public const WORDS = [
        'past' => 'past',
        'due' => 'due',
        'stood_down' => 'stood down',
        'nearing' => 'nearing',
        'unknown' => 'not known',
        'fresh' => 'fresh',
    ];

    /**
     * @param  array<string, list<string>>  $names  by state, the first few of each
     * @param  array<string, int>  $counts  by state, all of each
     * @return list<array{state: string, count: int, text: string}> most urgent first; states that nobody is in are left
     *     out
     */
    public static function of(array $names, array $counts): array
    {
        $parts = [];
        foreach (self::WORDS as $state => $word) {
            $count = $counts[$state] ?? 0;
            if ($count > 0) {
                $parts[] = [
                    'state' => $state,
                    'count' => $count,
                    'text' => self::who($state, $names[$state] ?? [], $count).($count === 1 ? ' is ' : ' are ').$word,
                ];
            }
        }

        return $parts;
    }

    /** @param  list<string>  $names */
    private static function who(string $state, array $names, int $count): string
    {
        $told = $state === 'fresh' ? [] : array_slice($names, 0, self::NAMES_TOLD);
        $others = $count - count($told);
        if ($told === []) {
            return $count === 1 && $names !== [] ? $names[0] : number_format($count);
        }
        if ($others > 0) {
            return implode(', ', $told).' and '.number_format($others).' more';
        }
        $last = array_pop($told);

        return $told === [] ? $last : implode(', ', $told).' and '.$last;
    }
}
