<?php

declare(strict_types=1);

namespace Core\LogLine;

/** The ways of naming a day in a log line: today, yesterday, a weekday (the last one gone by), `14 may`, `14.5.`, `2026-05-14`. */
final readonly class DayWords
{
    private const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

    private const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];

    public function __construct(private \DateTimeImmutable $today)
    {
    }

    /**
     * @param  list<string>  $words
     * @return array{\DateTimeImmutable|null, list<string>} the day, null where none is named, and the other words
     *
     * @throws NotUnderstood if the day is none of the calendar
     */
    public function take(array $words): array
    {
        foreach ($words as $at => $word) {
            $word = mb_strtolower(rtrim($word, ','));
            $next = mb_strtolower(rtrim($words[$at + 1] ?? '', ','));
            [$day, $length] = $this->dayAt($word, $next);
            if ($day !== null) {
                array_splice($words, $at, $length);

                return [$day, $words];
            }
        }

        return [null, $words];
    }

    /** @return array{\DateTimeImmutable|null, int} the day and how many words name it */
    private function dayAt(string $word, string $next): array
    {
        if ($word === 'today') {
            return [$this->today, 1];
        }
        if ($word === 'yesterday') {
            return [$this->today->modify('-1 day'), 1];
        }
        if (preg_match('/^(\d{4})-(\d{1,2})-(\d{1,2})$/', $word, $part)) {
            return [$this->day((int) $part[1], (int) $part[2], (int) $part[3], $word), 1];
        }
        if (preg_match('/^(\d{1,2})\.(\d{1,2})\.(\d{4})?$/', $word, $part)) {
            return [$this->recent((int) $part[2], (int) $part[1], $word, isset($part[3]) ? (int) $part[3] : null), 1];
        }
        if (($weekday = self::named(self::WEEKDAYS, $word)) !== null) {
            $back = ((int) $this->today->format('N') - 1 - $weekday + 7) % 7;

            return [$this->today->modify('-'.($back === 0 ? 7 : $back).' days'), 1];
        }
        if (preg_match('/^\d{1,2}$/', $word) && ($month = self::named(self::MONTHS, $next)) !== null) {
            return [$this->recent($month + 1, (int) $word, "{$word} {$next}"), 2];
        }
        if (($month = self::named(self::MONTHS, $word)) !== null && preg_match('/^\d{1,2}$/', $next)) {
            return [$this->recent($month + 1, (int) $next, "{$word} {$next}"), 2];
        }

        return [null, 0];
    }

    /** The last such day that is not after today. */
    private function recent(int $month, int $day, string $written, ?int $year = null): \DateTimeImmutable
    {
        if ($year !== null) {
            return $this->day($year, $month, $day, $written);
        }
        $thisYear = (int) $this->today->format('Y');
        $found = $this->day($month === 2 && $day === 29 ? $this->leapYear($thisYear) : $thisYear, $month, $day, $written);

        return $found > $this->today ? $found->modify('-1 year') : $found;
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
            throw new NotUnderstood("There is no day \"{$written}\".");
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
