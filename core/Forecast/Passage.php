<?php

declare(strict_types=1);

namespace Core\Forecast;

use Core\Measure\Day;
use Core\Measure\Plain;

/**
 * The day on which a point is reached: as likely as not by p50, one time in ten by p10 and nine in ten by p90. Days are
 * counted from 1 January 1970.
 */
final readonly class Passage
{
    public function __construct(public int $p10, public int $p50, public int $p90) {}

    /** A day that is certain. */
    public static function on(int $day): self
    {
        return new self($day, $day, $day);
    }

    /**
     * The first of several points of one machine. Its meters run together, so whichever is early finds the others early
     * too.
     *
     * @param  non-empty-list<self>  $passages
     */
    public static function firstOf(array $passages): self
    {
        $first = $passages[0];
        foreach ($passages as $passage) {
            $first = new self(
                min($first->p10, $passage->p10),
                min($first->p50, $passage->p50),
                min($first->p90, $passage->p90),
            );
        }

        return $first;
    }

    /** No earlier than a day: nobody can do anything about what has gone by. */
    public function notBefore(int $day): self
    {
        return new self(max($day, $this->p10), max($day, $this->p50), max($day, $this->p90));
    }

    public function isCertain(): bool
    {
        return $this->p10 === $this->p90;
    }

    /**
     * `about 5 December, between 28 November and 14 December`
     *
     * @param  \DateTimeImmutable  $today  whose year goes without saying
     */
    public function inWords(\DateTimeImmutable $today): string
    {
        $day = fn (int $number): string => Plain::nearDay(Day::of($number), $today);

        return match (true) {
            $this->isCertain() => $day($this->p50),
            $this->p50 <= Day::number($today) => 'about now, by '.$day($this->p90),
            default => 'about '.$day($this->p50).', between '.$day($this->p10).' and '.$day($this->p90),
        };
    }
}
