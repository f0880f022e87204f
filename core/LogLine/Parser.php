<?php

declare(strict_types=1);

namespace Core\LogLine;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Measure\Plain;
use Core\Measure\TwoWays;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Core\Meter\MeterUnit;

/**
 * Reads the one-line log: a machine, what its meter or both its meters show, and if need be units and a day, in any
 * order. The grammar is set out in docs/log-line.md.
 */
final readonly class Parser
{
    private const UNITS = [
        'h' => MeterUnit::Hours,
        'hr' => MeterUnit::Hours,
        'hrs' => MeterUnit::Hours,
        'hour' => MeterUnit::Hours,
        'hours' => MeterUnit::Hours,
        'km' => MeterUnit::Kilometres,
        'mi' => MeterUnit::Miles,
        'mile' => MeterUnit::Miles,
        'miles' => MeterUnit::Miles,
    ];

    /** What a line begins with that tells of no machine. */
    private const SHELF = 'shelf';

    private const FILLERS = ['at', 'on', 'is', 'now', 'shows', 'read', 'in', 'into', 'of', 'to', 'from', 'the'];

    /**
     * @param  array<int|string, string>  $names  machine id => name
     * @param  \DateTimeImmutable  $today  the yard's local day
     */
    public function __construct(private array $names, private \DateTimeImmutable $today) {}

    /**
     * @return non-empty-list<LogLine> one for each machine that is named
     *
     * @throws NotUnderstood
     */
    public function lines(string $text): array
    {
        return array_map($this->parse(...), (new Segments([self::SHELF, ...array_values($this->names)]))->of($text));
    }

    /** @throws NotUnderstood */
    public function parse(string $line): LogLine
    {
        $words = preg_split('/\s+/u', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if ($words === []) {
            throw new NotUnderstood('Write a machine and what its meter shows, like heron 412.6.');
        }
        if (mb_strtolower($words[0]) === self::SHELF && ! in_array(self::SHELF, array_map(mb_strtolower(...), $this->names), true)) {
            [$day, $dayWords, $words] = (new DayWords($this->today))->take(array_slice($words, 1));

            return new LogLine(null, [], $day, $dayWords, stock: LoggedStock::read($words));
        }
        [$machineId, $words] = $this->takeMachine($words);
        $pour = PourWords::take($words);
        [$day, $dayWords, $words] = (new DayWords($this->today))->take($pour[3] ?? $words);
        if ($pour !== null) {
            [$amount, $typed, $isOut] = $pour;
            $where = $this->where($words, $this->names[$machineId], ($isOut ? '-' : '+').$typed);

            return new LogLine($machineId, [], $day, $dayWords, new LoggedPour($amount, $typed, $isOut, $where));
        }
        [$written, $words] = $this->takeValues($words);
        $words = self::withoutFillers($words);
        $name = $this->names[$machineId];
        $line = fn (string $value): string => implode(' ', array_filter([mb_strtolower($name), $value, $dayWords]));
        if ($words !== [] && $written === []) {
            return new LogLine($machineId, [], $day, $dayWords, work: LoggedWork::read($words));
        }
        if ($words !== []) {
            throw new NotUnderstood(
                Plain::quoted(implode(' ', $words)).' is not understood here. After the machine comes what its meter shows, like '.$line('412.6').'.',
            );
        }
        if ($written === []) {
            throw new NotUnderstood("What does {$name}'s meter show? Add it to the line, like ".$line('412.6').'.');
        }

        return new LogLine($machineId, $this->values($written, $line), $day, $dayWords);
    }

    /**
     * The words for the compartment of a pour.
     *
     * @param  list<string>  $words
     *
     * @throws NotUnderstood if there are none
     */
    private function where(array $words, string $name, string $amount): string
    {
        return implode(' ', self::withoutFillers($words)) ?: throw new NotUnderstood(
            "What of {$name} was it? Add the fluid, like ".mb_strtolower($name)." {$amount} hydraulic.",
        );
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function withoutFillers(array $words): array
    {
        return array_values(
            array_filter($words, fn (string $word): bool => ! in_array(mb_strtolower($word), self::FILLERS, true)),
        );
    }

    /**
     * @param  non-empty-list<array{string, MeterUnit|null}>  $written  numbers with their units
     * @param  \Closure(string): string  $line  the whole line with other values
     * @return non-empty-list<LoggedValue>
     *
     * @throws NotUnderstood
     */
    private function values(array $written, \Closure $line): array
    {
        if (
            count($written) > 2
            || (
                count($written) === 2
                && (
                    $written[0][1] === null
                    || $written[1][1] === null
                    || $written[0][1]->isDistance() === $written[1][1]->isDistance()
                )
            )
        ) {
            throw new NotUnderstood(
                'Two values are an hour meter\'s and an odometer\'s, each with its unit, like '.$line('412.6 h 8120 km').'.',
            );
        }
        $values = [];
        foreach ($written as $index => [$number, $unit]) {
            try {
                $values[] = new LoggedValue($this->value($number), $number, str_starts_with($number, '+'), $unit);
            } catch (TwoWays $asked) {
                $with = fn (string $reading): string => $line(
                    implode(
                        ' ',
                        array_map(
                            fn (array $each, int $at): string => ($at === $index ? (str_starts_with($number, '+') ? '+' : '').self::toHundredths($reading) : $each[0]).($each[1] === null ? '' : " {$each[1]->value}"),
                            $written,
                            array_keys($written),
                        ),
                    ),
                );
                throw new NotUnderstood(
                    Plain::quoted($number).' can be read two ways.',
                    array_map($with, $asked->readings),
                );
            } catch (Unreadable $unreadable) {
                throw new NotUnderstood($unreadable->getMessage());
            }
        }

        return $values;
    }

    /** @throws Unreadable */
    private function value(string $word): BigDecimal
    {
        if (preg_match('/^([+]?)(\d{1,5}):([0-5]\d)$/', $word, $part)) {
            return BigRational::nd(
                (int) $part[2] * 60 + (int) $part[3],
                60,
            )->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
        }
        $value = WrittenNumber::ofMeter($word);
        if ($value->isNegative()) {
            throw new Unreadable('A meter never shows less than nothing: '.Plain::quoted($word).'.');
        }

        return $value->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
    }

    private static function toHundredths(string $decimal): string
    {
        return (string) BigDecimal::of($decimal)->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
    }

    /**
     * @param  list<string>  $words
     * @return array{list<array{string, MeterUnit|null}>, list<string>} numbers with the units that stand at or after
     *     them, and the other words
     */
    private function takeValues(array $words): array
    {
        $values = $rest = [];
        foreach ($words as $word) {
            $word = rtrim($word, ',');
            $unit = self::UNITS[mb_strtolower($word)] ?? null;
            [$number, $unitOfIt] = end($values) ?: ['', $unit];
            if ($unit !== null && $unitOfIt === null) {
                $values = [...array_slice($values, 0, -1), [$number, $unit]];
            } elseif (
                preg_match('~^([+\-]?[\d.,:/½⅓⅔¼¾⅛⅜⅝⅞\']*\d[\d.,:/\']*)(\p{L}*)$~u', $word, $part)
                && ($part[2] === '' || isset(self::UNITS[mb_strtolower($part[2])]))
            ) {
                $values[] = [$part[1], self::UNITS[mb_strtolower($part[2])] ?? null];
            } else {
                $rest[] = $word;
            }
        }

        return [$values, $rest];
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
                $id = array_search(
                    mb_strtolower(implode(' ', array_slice($words, $at, $length))),
                    array_map(mb_strtolower(...), $this->names),
                    true,
                );
                if ($id !== false) {
                    return [(string) $id, self::without($words, $at, $length)];
                }
            }
        }
        foreach ($words as $at => $word) {
            $begun = array_filter(
                $this->names,
                fn (string $name): bool => mb_strlen($word) >= 2
                    && str_starts_with(mb_strtolower($name), mb_strtolower($word)),
            );
            if (count($begun) === 1) {
                return [(string) array_key_first($begun), self::without($words, $at, 1)];
            }
            if ($begun !== []) {
                throw new NotUnderstood(
                    Plain::quoted($word).' could be '.self::listed(array_values($begun)).'.',
                    self::rewritten($words, $at, array_values($begun)),
                );
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
                return new NotUnderstood(
                    'No machine is called '.Plain::quoted($word).'. Did you mean '.self::listed($close).'?',
                    self::rewritten($words, $at, $close),
                );
            }
        }

        return new NotUnderstood('No machine of this yard is named in '.Plain::quoted(implode(' ', $words)).'.');
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
        return array_map(
            fn (string $name): string => implode(' ', array_replace($words, [$at => mb_strtolower($name)])),
            array_slice($names, 0, 5),
        );
    }

    /** @param  list<string>  $names */
    private static function listed(array $names): string
    {
        $names = array_slice($names, 0, 5);
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names).' or '.$last;
    }
}
