<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Point;
use Core\Measure\Plain;

/** A maker's promise that runs to a day, to so many hours, or to whichever comes first. */
final readonly class Warranty
{
    public function __construct(public ?\DateTimeImmutable $until = null, public ?BigDecimal $hours = null) {}

    public function runs(Point $now): bool
    {
        if ($this->until === null && $this->hours === null) {
            return false;
        }

        return ($this->until === null || $now->date === null || $now->date <= $this->until)
            && ($this->hours === null || $now->hours === null || $now->hours->isLessThanOrEqualTo($this->hours));
    }

    /** `to 14 May 2027 or 1,000 h` */
    public function inWords(): string
    {
        return 'to '.implode(
            ' or ',
            array_filter(
                [
                    $this->until === null ? null : Plain::day($this->until),
                    $this->hours === null ? null : Plain::number($this->hours).' h',
                ],
            ),
        );
    }
}
