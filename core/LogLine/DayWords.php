<?php

declare(strict_types=1);

namespace Core\LogLine;

use Core\Measure\Plain;

/**
 * The ways of naming a day in a log line: today, yesterday, `2 days ago`, a weekday (the last one gone by), `14 may`,
 * `14 may 2025`, `14.5.`, `5/14`, `2026-05-14`.
 */
final readonly class DayWords
{
    private const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

    private const MONTHS = [
        'january',
        'february',
        'march',
        'april',
        'may',
        'june',
        'july',
        'august',
        'september',
        'october',
        'november',
        'december',
    ];

    /** A day without its year is not taken for one that lies farther back than so many days: common practice, no source. */
    private const SURELY_MEANT = 270;

    public function __construct(private \DateTimeImmutable $today) {}

    /**
     * @param  list<string>  $words
     * @return array{\DateTimeImmutable|null, string, list<string>} the day, null where none is named, the words that
     *     name it, and the others
     *
     * @throws NotUnderstood if the day is none of the calendar, has not come yet, or may be of this year or the last
     */
    public function take(array $words): array
    {
        foreach (array_keys($words) as $at) {
            [$day, $length] = $this->dayAt(
                array_map(fn (string $word): string => mb_strtolower(rtrim($word, ',')), array_slice($words, $at, 3)),
            );
            if ($day !== null) {
                $named = implode(
                    ' ',
                    array_map(fn (string $word): string => rtrim($word, ','), array_splice($words, $at, $length)),
                );
                if ($day > $this->today) {
                    throw new NotUnderstood(Plain::quoted($named).' is '.Plain::day($day).', which has not come yet.');
                }

                return [$day, $named, $words];
            }
        }

        return [null, '', $words];
    }

    /**
     * @param  list<string>  $words  up to three
     * @return array{\DateTimeImmutable|null, int} the day and how many words name it
     */
    private function dayAt(array $words): array
    {
        [$word, $next, $third] = [...$words, '', '', ''];
        $year = preg_match('/^\d{4}$/', $third) ? (int) $third : null;
        $length = $year === null ? 2 : 3;

        return match (true) {
            $word === 'today' => [$this->today, 1],
            $word === 'yesterday' => [$this->today->modify('-1 day'), 1],
            preg_match('/^\d{1,3}$/', $word) === 1
                && preg_match('/^(day|week)s?$/', $next, $part) === 1
                && $third === 'ago' => [$this->today->modify("-{$word} {$part[1]}s"), 3],
            preg_match('/^(\d{4})-(\d{1,2})-(\d{1,2})$/', $word, $part) === 1 => [
                $this->day((int) $part[1], (int) $part[2], (int) $part[3], $word),
                1,
            ],
            preg_match('/^(\d{1,2})\.(\d{1,2})\.(\d{4})?$/', $word, $part) === 1 => [
                $this->recent((int) $part[2], (int) $part[1], $word, isset($part[3]) ? (int) $part[3] : null),
                1,
            ],
            preg_match('~^([1-9]\d?)/([1-9]\d?)(?:/(\d{4}))?$~', $word, $part) === 1 => [
                $this->slashed((int) $part[1], (int) $part[2], $word, isset($part[3]) ? (int) $part[3] : null),
                1,
            ],
            ($weekday = self::named(self::WEEKDAYS, $word)) !== null => [$this->weekday($weekday), 1],
            preg_match('/^\d{1,2}$/', $word) === 1
                && ($month = self::named(self::MONTHS, $next)) !== null => [
                    $this->recent($month + 1, (int) $word, implode(' ', array_slice($words, 0, $length)), $year),
                    $length,
                ],
            ($month = self::named(self::MONTHS, $word)) !== null
                && preg_match('/^\d{1,2}$/', $next) === 1 => [
                    $this->recent($month + 1, (int) $next, implode(' ', array_slice($words, 0, $length)), $year),
                    $length,
                ],
            default => [null, 0],
        };
    }

    private function weekday(int $weekday): \DateTimeImmutable
    {
        $back = ((int) $this->today->format('N') - 1 - $weekday + 7) % 7;

        return $this->today->modify('-'.($back === 0 ? 7 : $back).' days');
    }

    /**
     * `5/14` is the fourteenth of May, whichever number stands first; where both could be the month, the two days are
     * asked about.
     *
     * @throws NotUnderstood
     */
    private function slashed(int $one, int $other, string $written, ?int $year): \DateTimeImmutable
    {
        if ($one > 12 || $other > 12 || $one === $other) {
            return $one > 12
                ? $this->recent($other, $one, $written, $year)
                : $this->recent($one, $other, $written, $year);
        }
        $days = array_map(
            fn (array $monthAndDay): string => "{$monthAndDay[1]} ".self::MONTHS[$monthAndDay[0] - 1].($year === null ? '' : " {$year}"),
            [[$other, $one], [$one, $other]],
        );
        throw new NotUnderstood(Plain::quoted($written)." can be read two ways. Write {$days[0]} or {$days[1]}.");
    }

    /**
     * The last such day that is not after today. A day without its year that would be so long ago is asked about.
     *
     * @throws NotUnderstood
     */
    private function recent(int $month, int $day, string $written, ?int $year = null): \DateTimeImmutable
    {
        if ($year !== null) {
            return $this->day($year, $month, $day, $written);
        }
        $thisYear = (int) $this->today->format('Y');
        $found = $this->day(
            $month === 2 && $day === 29 ? $this->leapYear($thisYear) : $thisYear,
            $month,
            $day,
            $written,
        );
        $last = $found > $this->today
            ? $this->day((int) $found->format('Y') - ($month === 2 && $day === 29 ? 4 : 1), $month, $day, $written)
            : $found;
        if ($last->diff($this->today)->days > self::SURELY_MEANT) {
            throw new NotUnderstood(
                Plain::quoted($written).' would be '.Plain::day($last).'. Write its year if that is meant.',
            );
        }

        return $last;
    }

    private function leapYear(int $year): int
    {
        while (! checkdate(2, 29, $year)) {
            $year--;
        }

        return $year;
    }

    private function day(int $year, int $month, int $day, string $written): \DateTimeImmutable
    {
        if (! checkdate($month, $day, $year)) {
            throw new NotUnderstood('There is no day '.Plain::quoted($written).'.');
        }

        return $this->today->setDate($year, $month, $day);
    }

    /**
     * @param  list<string>  $names
     * @return int|null which of the names the word is, or begins with at least three letters
     */
    private static function named(array $names, string $word): ?int
    {
        if (! preg_match('/^[a-z]{3,9}\.?$/', $word)) {
            return null;
        }
        foreach ($names as $index => $name) {
            if (str_starts_with($name, rtrim($word, '.'))) {
                return $index;
            }
        }

        return null;
    }
}
