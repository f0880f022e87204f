<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;

/**
 * How a machine is used, learned from its readings: so much in an average week, spread over the year by its season, wandering by so much. It tells
 * on which day a point will be reached, and how surely.
 */
final class Usage
{
    /** Weeks after which a week's use counts half as much for the level: common practice, no source. */
    private const HALF_LIFE = 39;

    /** Clock weeks of an ordinary wander that stand in where few weeks are known, and that wander as a share of a week's use. */
    private const SUPPOSED_WEEKS = 6;

    private const SUPPOSED_WANDER = 0.6;

    /** One year's use differs from the last by about this share, whatever the weeks say. */
    private const YEAR_TO_YEAR = 0.15;

    /** The weeks of former years, from which the season was learned, wandered too; fewer years than this count as this. */
    private const LEAST_YEARS = 0.5;

    /** Where less than a year was seen, the weeks of the next season may differ by this share. */
    private const UNSEEN_SEASON = 1.5;

    private const WEEKS_OF_A_SEASON = 13;

    /** One time in ten a normal chance lies further out than so many standard deviations. */
    private const TENTH = 1.281552;

    /** Beyond this nobody should believe a date. */
    private const FURTHEST_DAYS = 25 * 365;

    /** Days without a reading before it is worth a word. */
    public const STALE_DAYS = 14;

    /** @var array<int|string, Passage|null> by what was asked: the points of many rules coincide */
    private array $told = [];

    /**
     * @param  float  $level  in a clock week
     * @param  float  $variance  of what is gained in a clock week
     * @param  float  $levelUnsure  by what share the level may be wrong
     * @param  float  $seasonUnseen  by what share a week a season ahead may differ, where no such week was seen yet
     */
    private function __construct(
        private readonly Season $season,
        private readonly float $level,
        private readonly float $variance,
        private readonly float $levelUnsure,
        private readonly float $seasonUnseen,
        private readonly int $readOn,
        private readonly float $run,
        private readonly int $knownDays,
        private readonly int $knownGains,
    ) {
    }

    /**
     * @param  Season|null  $lent  the season of its class
     * @return self|null null where fewer than two readings on different days are known, or it has never been used
     */
    public static function learn(MeterHistory $history, ?Season $lent = null): ?self
    {
        $gains = $history->gains();
        if ($gains === []) {
            return null;
        }
        $season = SeasonalUse::of($history, $lent ?? Season::even());
        [$readOn, $run] = $history->last();
        $rows = [];
        $gained = $clocked = $weighed = 0.0;
        foreach ($gains as [$from, $to, $gain]) {
            $clock = $season->clock($to) - $season->clock($from);
            $weight = 0.5 ** (($readOn - $to) / 7 / self::HALF_LIFE);
            $rows[] = [$gain, $clock, $weight];
            $gained += $weight * $gain;
            $clocked += $weight * $clock;
            $weighed += $weight * $weight * $clock;
        }
        $level = $gained / $clocked;
        if ($level <= 0) {
            return null;
        }
        $supposed = (self::SUPPOSED_WANDER * $level) ** 2;
        $squares = self::SUPPOSED_WEEKS * $supposed;
        foreach ($rows as [$gain, $clock, $weight]) {
            $squares += $weight * ($gain - $level * $clock) ** 2;
        }
        $variance = $squares / ($clocked + self::SUPPOSED_WEEKS);
        $known = $clocked * $clocked / $weighed;
        $years = ($readOn - $gains[0][0]) / 365;

        return new self($season, $level, $variance * (1 + 1 / max(self::LEAST_YEARS, $years)), hypot(sqrt($variance / $known) / $level, self::YEAR_TO_YEAR),
            self::UNSEEN_SEASON * max(0.0, 1 - $years) * ($lent === null ? 1 : 0.5), $readOn, $run, $readOn - $gains[0][0], count($gains));
    }

    /**
     * The day on which the machine will have run so much, or, where it has, did. The use wanders, which makes the first passage inverse Gaussian on the
     * season's clock; that its level is only known so well widens the tenths about the median, the two put together as the sides of a right angle.
     *
     * @return Passage|null null where that is too far off to be told
     */
    public function passage(BigDecimal|float $at): ?Passage
    {
        $at = $at instanceof BigDecimal ? $at->toFloat() : $at;
        $key = (string) $at;
        if (! array_key_exists($key, $this->told)) {
            $this->told[$key] = $this->foretell($at);
        }

        return $this->told[$key];
    }

    /** The day on which it will probably have run so much, without telling how surely; null where that is too far off. */
    public function expectedDay(BigDecimal $at): ?int
    {
        $weeks = ($at->toFloat() - $this->run) / $this->level;

        return abs($weeks) * 7 > self::FURTHEST_DAYS ? null : (int) floor($this->season->dayAt($this->season->clock($this->readOn) + $weeks));
    }

    private function foretell(float $at): ?Passage
    {
        $left = $at - $this->run;
        $clock = $this->season->clock($this->readOn);
        $weeks = $left / $this->level;
        if (abs($weeks) * 7 > self::FURTHEST_DAYS) {
            return null;
        }
        if ($left <= 0) {
            return Passage::on((int) floor($this->season->dayAt($clock + $weeks)));
        }
        $first = InverseGaussian::firstPassage($left, $this->level, $this->variance);
        $median = $first->quantile(0.5);
        $unsure = self::TENTH * $this->unsure($weeks);
        $widened = fn (float $quantile): float => $median * exp(($quantile <=> $median) * hypot(log($quantile / $median), $unsure));
        $day = fn (float $weeks): int => (int) min($this->readOn + 2 * self::FURTHEST_DAYS, floor($this->season->dayAt($clock + $weeks)));

        return new Passage($day($widened($first->quantile(0.1))), $day($median), $day($widened($first->quantile(0.9))));
    }

    /** What it will probably have run by a day. */
    public function runBy(int $day): float
    {
        return $this->run + $this->level * ($this->season->clock($day) - $this->season->clock($this->readOn));
    }

    /**
     * Between which amounts it will have run by a day, four times in five.
     *
     * @return array{float, float}
     */
    public function rangeBy(int $day): array
    {
        $weeks = max(0.0, $this->season->clock($day) - $this->season->clock($this->readOn));
        $middle = $this->level * $weeks;
        $either = self::TENTH * hypot(sqrt($this->variance * $weeks), $middle * $this->unsure($weeks));

        return [$this->run + max(0.0, $middle - $either), $this->run + $middle + $either];
    }

    /** What it is used in a week at that time of the year. */
    public function perWeek(int $day): float
    {
        return $this->level * $this->season->weightOn($day);
    }

    public function confidence(int $today): Confidence
    {
        $unread = $today - $this->readOn;

        return match (true) {
            $this->knownDays < 42 || $this->knownGains < 4 || $unread > 90 => Confidence::Thin,
            $this->knownDays < 365 || $unread > 21 => Confidence::Fair,
            default => Confidence::Good,
        };
    }

    /** Days since somebody last read the meter. */
    public function unreadDays(int $today): int
    {
        return max(0, $today - $this->readOn);
    }

    /** By what share the use of the next so many clock weeks may differ, beside its wandering. */
    private function unsure(float $weeks): float
    {
        return hypot($this->levelUnsure, $this->seasonUnseen * min(1, $weeks / self::WEEKS_OF_A_SEASON));
    }
}
