<?php

declare(strict_types=1);

namespace Core\LogLine;

/** What a log line says came to the shelf: `+2 x 5 L 10W-30`. */
final readonly class LoggedStock
{
    private const MOST = 500;

    /**
     * @param  string|null  $size  of one container, as it was written; null of a part
     * @param  string  $what  the words for the supply
     */
    public function __construct(public int $count, public ?string $size, public string $what) {}

    /**
     * @param  list<string>  $words  without the word for the shelf
     *
     * @throws NotUnderstood if it is not said how many of what
     */
    public static function read(array $words): self
    {
        if ($words === []) {
            throw new NotUnderstood('What came to the shelf? Write it like shelf +2 x 5 L 10W-30, or shelf +6 drain washer.');
        }
        $pour = PourWords::take($words);
        if ($pour !== null && $pour[2]) {
            throw new NotUnderstood('What went from the shelf is told of the machine it went into, like wren +0.3 qt hydraulic.');
        }
        $rest = array_values(array_filter(
            $pour[3] ?? $words,
            fn (string $word): bool => ! in_array(mb_strtolower($word), ['x', '×', 'of', 'to', 'the'], true),
        ));
        [$count, $rest] = self::count($rest, $pour === null);
        if ($rest === []) {
            throw new NotUnderstood('Of what? Add its name or its grade, like shelf +2 x 5 L 10W-30.');
        }

        return new self($count, $pour[1] ?? null, implode(' ', $rest));
    }

    /**
     * @param  list<string>  $words
     * @return array{int, list<string>} how many, and the other words
     *
     * @throws NotUnderstood
     */
    private static function count(array $words, bool $needed): array
    {
        foreach ($words as $at => $word) {
            if (preg_match('/^([+\-−–]?)(\d{1,3})[x×]?$/u', $word, $part) !== 1 || ($at > 0 && $part[1] === '')) {
                continue;
            }
            if (! in_array($part[1], ['', '+'], true)) {
                throw new NotUnderstood('What went from the shelf is counted there, with the reason.');
            }
            if ((int) $part[2] < 1 || (int) $part[2] > self::MOST) {
                throw new NotUnderstood('From 1 to '.self::MOST.' at once.');
            }
            unset($words[$at]);

            return [(int) $part[2], array_values($words)];
        }

        return $needed ? throw new NotUnderstood('How many? Write it like shelf +6 drain washer.') : [1, $words];
    }
}
