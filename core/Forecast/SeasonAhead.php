<?php

declare(strict_types=1);

namespace Core\Forecast;

/** One way in which the seasons ahead may come: so many days early or late. */
final readonly class SeasonAhead
{
    /**
     * @param  int  $shift  days by which it is late
     * @param  float  $begin  where its clock stands at the last reading
     * @param  float  $thisYear  clock weeks from there to New Year
     * @param  float  $newYear  where the clock of a season so late stands at New Year
     */
    private function __construct(
        public Season $season,
        public int $shift,
        public float $begin,
        public float $thisYear,
        public float $newYear,
    ) {}

    public static function of(Season $season, int $shift, int $readOn, int $newYear): self
    {
        $begin = $season->clock($readOn - $shift);
        $end = $season->clock($newYear - $shift);

        return new self($season, $shift, $begin, $end - $begin, $end);
    }
}
