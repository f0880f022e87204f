<?php

declare(strict_types=1);

namespace Core\LogLine;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Core\Meter\MeterUnit;

/**
 * Reads the one-line log: a machine, a value, and if need be a unit and a day, in any order. The grammar is set out in docs/log-line.md.
 */
final readonly class Parser
{
    private const UNITS = [
        'h' => MeterUnit::Hours, 'hr' => MeterUnit::Hours, 'hrs' => MeterUnit::Hours, 'hour' => MeterUnit::Hours, 'hours' => MeterUnit::Hours,
        'km' => MeterUnit::Kilometres, 'mi' => MeterUnit::Miles, 'mile' => MeterUnit::Miles, 'miles' => MeterUnit::Miles,
    ];

    private const FILLERS = ['at', 'on', 'is', 'now', 'shows', 'read'];

    /**
     * @param  array<string, string>  $names  machine id => name
     * @param  \DateTimeImmutable  $today  the yard's local day
     */
    public function __construct(
        private array $names,
        private \DateTimeImmutable $today,
    ) {
    }

    /** @throws NotUnderstood */
    public function parse(string $line): LogLine
    {
        $words = preg_split('/\s+/u', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if ($words === []) {
            throw new NotUnderstood('Write a machine and what its meter shows, like heron 412.6.');
        }
        [$machineId, $words] = $this->takeMachine($words);
        [$day, $words] = (new DayWords($this->today))->take($words);
        [$unit, $words] = $this->takeUnit($words);
        $words = array_values(array_filter($words, fn (string $word): bool => ! in_array(mb_strtolower($word), self::FILLERS, true)));
        $name = $this->names[$machineId];
        if ($words === []) {
            throw new NotUnderstood("What does {$name}'s meter show? Add it to the line, like ".mb_strtolower($name).' 412.6.');
        }
        if (count($words) > 1) {
            throw new NotUnderstood('"'.implode(' ', $words).'" is not understood here. After the machine comes what its meter shows, like '.mb_strtolower($name).' 412.6.');
        }

        return new LogLine($machineId, $this->value($words[0]), str_starts_with($words[0], '+'), $unit, $day);
    }

    /** @throws NotUnderstood */
    private function value(string $word): BigDecimal
    {
        try {
            $value = WrittenNumber::ofMeter($word);
        } catch (Unreadable $unreadable) {
            throw new NotUnderstood($unreadable->getMessage());
        }
        if ($value->isNegative()) {
            throw new NotUnderstood("A meter never shows less than nothing: \"{$word}\".");
        }

        return $value->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
    }

    /**
     * The machine's whole name wherever it stands, else the one name that begins like a word of the line.
     *
     * @param  list<string>  $words
     * @return array{string, list<string>} the machine's id and the other words
     *
     * @throws NotUnderstood
     */
    private function takeMachine(array $words): array
    {
        for ($length = count($words); $length > 0; $length--) {
            for ($at = 0; $at + $length <= count($words); $at++) {
                $id = array_search(mb_strtolower(implode(' ', array_slice($words, $at, $length))), array_map(mb_strtolower(...), $this->names), true);
                if ($id !== false) {
                    return [(string) $id, self::without($words, $at, $length)];
                }
            }
        }
        foreach ($words as $at => $word) {
            $begun = array_filter($this->names, fn (string $name): bool => mb_strlen($word) >= 2 && str_starts_with(mb_strtolower($name), mb_strtolower($word)));
            if (count($begun) === 1) {
                return [(string) array_key_first($begun), self::without($words, $at, 1)];
            }
            if ($begun !== []) {
                throw new NotUnderstood('"'.$word.'" could be '.self::listed(array_values($begun)).'.', self::rewritten($words, $at, array_values($begun)));
            }
        }

        throw $this->unknownMachine($words);
    }

    /** @param  list<string>  $words */
    private function unknownMachine(array $words): NotUnderstood
    {
        foreach ($words as $at => $word) {
            if (! preg_match('/^\p{L}{3,}/u', $word)) {
                continue;
            }
            $close = $this->namesLike(mb_strtolower($word));
            if ($close !== []) {
                return new NotUnderstood("No machine is called \"{$word}\". Did you mean ".self::listed($close).'?', self::rewritten($words, $at, $close));
            }
        }

        return new NotUnderstood('No machine of this yard is named in "'.implode(' ', $words).'".');
    }

    /** @return list<string> the names that at most two slips of a finger tell from a word, and of these the most alike */
    private function namesLike(string $word): array
    {
        $alike = [];
        foreach ($this->names as $name) {
            if (levenshtein(mb_strtolower($name), $word) <= 2) {
                $alike[$name] = similar_text(mb_strtolower($name), $word);
            }
        }

        return $alike === [] ? [] : array_keys($alike, max($alike), true);
    }

    /**
     * @param  list<string>  $words
     * @return array{MeterUnit|null, list<string>}
     */
    private function takeUnit(array $words): array
    {
        foreach ($words as $at => $word) {
            $word = mb_strtolower($word);
            if (isset(self::UNITS[$word])) {
                return [self::UNITS[$word], self::without($words, $at, 1)];
            }
            if (preg_match('/^([+\-]?[\d.,]+)([a-z]+)$/', $word, $part) && isset(self::UNITS[$part[2]])) {
                $words[$at] = $part[1];

                return [self::UNITS[$part[2]], array_values($words)];
            }
        }

        return [null, $words];
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function without(array $words, int $at, int $length): array
    {
        array_splice($words, $at, $length);

        return $words;
    }

    /**
     * @param  list<string>  $words
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function rewritten(array $words, int $at, array $names): array
    {
        return array_map(fn (string $name): string => implode(' ', array_replace($words, [$at => mb_strtolower($name)])), array_slice($names, 0, 5));
    }

    /** @param  list<string>  $names */
    private static function listed(array $names): string
    {
        $names = array_slice($names, 0, 5);
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names).' or '.$last;
    }
}
