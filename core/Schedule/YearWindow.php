<?php

declare(strict_types=1);

namespace Core\Schedule;

use Core\Measure\Day;

/** A part of every year: `spring, 1 March to 15 April`. It may run over New Year. */
final readonly class YearWindow
{
    private const MONTHS = [
        '',
        'January',
        'February',
        'March',
        'April',
        'May',
        'June',
        'July',
        'August',
        'September',
        'October',
        'November',
        'December',
    ];

    private function __construct(
        public string $name,
        private int $fromMonth,
        private int $fromDay,
        private int $toMonth,
        private int $toDay,
    ) {}

    /**
     * @param  string  $from  month and day, `03-01`
     * @param  string  $to  the last day of it, `04-15`
     *
     * @throws \InvalidArgumentException if there is no such day in a leap year
     */
    public static function between(string $from, string $to, string $name = ''): self
    {
        return new self($name, ...self::monthAndDay($from), ...self::monthAndDay($to));
    }

    /** The first day, as `03-01`. */
    public function from(): string
    {
        return sprintf('%02d-%02d', $this->fromMonth, $this->fromDay);
    }

    /** The last day, as `04-15`. */
    public function to(): string
    {
        return sprintf('%02d-%02d', $this->toMonth, $this->toDay);
    }

    public function holds(\DateTimeImmutable $day): bool
    {
        $date = $day->format('m-d');

        return $this->runsOverNewYear() ? $date >= $this
            ->from() || $date <= $this
            ->to() : $date >= $this
            ->from() && $date <= $this
            ->to();
    }

    /** The day on which it opens in a year, counted from 1 January 1970. */
    public function opening(int $year): int
    {
        return Day::numberOf($year, $this->fromMonth, min($this->fromDay, Day::daysIn($year, $this->fromMonth)));
    }

    /** The last day of the window that opens in a year, counted from 1 January 1970. */
    public function closing(int $year): int
    {
        $year += (int) $this->runsOverNewYear();

        return Day::numberOf($year, $this->toMonth, min($this->toDay, Day::daysIn($year, $this->toMonth)));
    }

    /** `in spring, 1 March to 15 April`, `before storage, 15 October to 30 November`, `from 1 March to 15 April` */
    public function when(): string
    {
        return match (true) {
            $this->name === '' => "from {$this->inWords()}",
            (bool) preg_match('/^(before|after|at|in|during)\b/i', $this->name) => $this->inWords(),
            default => "in {$this->inWords()}",
        };
    }

    /** `spring, 1 March to 15 April` */
    public function inWords(): string
    {
        return ($this->name === '' ? '' : "{$this->name}, ").sprintf(
            '%d %s to %d %s',
            $this->fromDay,
            self::MONTHS[$this->fromMonth],
            $this->toDay,
            self::MONTHS[$this->toMonth],
        );
    }

    private function runsOverNewYear(): bool
    {
        return $this->to() < $this->from();
    }

    /** @return array{int, int} */
    private static function monthAndDay(string $written): array
    {
        if (! preg_match('/^(\d\d)-(\d\d)$/', $written, $part) || ! checkdate((int) $part[1], (int) $part[2], 2000)) {
            throw new \InvalidArgumentException("\"{$written}\" is no month and day like 03-01.");
        }

        return [(int) $part[1], (int) $part[2]];
    }
}
