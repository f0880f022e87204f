<?php

declare(strict_types=1);

namespace Core\Forecast;

/**
 * How use is spread over the year, learned week by week from what one machine did, or a whole class: each week's mean
 * use and how many years it was seen in, smoothed over its neighbours.
 */
final readonly class SeasonalUse
{
    /** How much each week counts for its neighbours, nearest first. */
    private const SMOOTHING = [3, 2, 1];

    /** Years of seeing a week that what is lent is worth. */
    private const LENT_YEARS = 0.1;

    /**
     * @param  list<float>  $gained  in each of the 52 parts of the year, smoothed
     * @param  list<float>  $seen  weeks that each part was seen for, smoothed
     */
    private function __construct(private array $gained, private array $seen) {}

    /** The season of one machine: spread first as another's has it, then once more by what that taught. */
    public static function of(MeterHistory $history, Season $lent): Season
    {
        return self::spread($history, self::spread($history, $lent)->leaningOn($lent))->leaningOn($lent);
    }

    private static function spread(MeterHistory $history, Season $season): self
    {
        $gained = $seen = array_fill(0, Season::WEEKS, 0.0);
        foreach ($history->byWeek($season) as $week => [$gain, $days]) {
            $part = Season::part(MeterHistory::monday($week) + 3);
            $gained[$part] += $gain;
            $seen[$part] += $days / 7;
        }

        return new self(self::smoothed(array_values($gained)), self::smoothed(array_values($seen)));
    }

    /**
     * The season of a class: every machine's, each scaled to an average week of 1, so that the hard-worked ones do not
     * drown the others.
     *
     * @param  list<MeterHistory>  $histories
     */
    public static function ofClass(array $histories): Season
    {
        $gained = $seen = array_fill(0, Season::WEEKS, 0.0);
        foreach ($histories as $history) {
            $own = self::spread($history, self::of($history, Season::even()));
            $average = array_sum($own->seen) > 0 ? array_sum($own->gained) / array_sum($own->seen) : 0.0;
            for ($part = 0; $average > 0 && $part < Season::WEEKS; $part++) {
                $gained[$part] += $own->gained[$part] / $average;
                $seen[$part] += $own->seen[$part];
            }
        }

        return (new self($gained, $seen))->leaningOn(Season::even());
    }

    /** Its own shape where it is known well, another's where it is not. */
    private function leaningOn(Season $lent): Season
    {
        $expected = 0.0;
        foreach ($this->seen as $part => $seen) {
            $expected += $seen * $lent->weights[$part];
        }
        $level = $expected > 0 ? array_sum($this->gained) / $expected : 0.0;
        if ($level <= 0) {
            return $lent;
        }
        $weights = [];
        foreach ($this->gained as $part => $gained) {
            $weights[] = ($gained / $level + self::LENT_YEARS * $lent->weights[$part]) / ($this->seen[$part] + self::LENT_YEARS);
        }

        return Season::of($weights);
    }

    /**
     * @param  list<float>  $parts
     * @return list<float>
     */
    private static function smoothed(array $parts): array
    {
        $whole = 2 * array_sum(self::SMOOTHING) - self::SMOOTHING[0];
        $smoothed = [];
        foreach ($parts as $part => $amount) {
            $sum = self::SMOOTHING[0] * $amount;
            for ($away = 1; $away < count(self::SMOOTHING); $away++) {
                $sum += self::SMOOTHING[$away] * ($parts[($part + $away) % Season::WEEKS] + $parts[($part - $away + Season::WEEKS) % Season::WEEKS]);
            }
            $smoothed[] = $sum / $whole;
        }

        return $smoothed;
    }
}
