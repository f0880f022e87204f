<?php

declare(strict_types=1);

namespace Core\Forecast;

use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Schedule\YearWindow;

/**
 * How a machine is used, learned from its readings: so much in an average week, spread over the year by its season,
 * wandering by so much. It tells on which day a point will be reached, and how surely.
 *
 * Three things are not known of the days ahead, and each widens them: how the weeks wander (the first passage of a
 * drifting use is inverse Gaussian on the season's clock), how much this year and the next are used against former ones
 * ({@see YearlyUse}), and how early or late the season comes.
 */
final class Usage
{
    /**
     * Clock weeks of an ordinary wander that stand in where few weeks are known, and that wander as a share of a week's
     * use: common practice, no source.
     */
    private const SUPPOSED_WEEKS = 6;

    private const SUPPOSED_WANDER = 0.6;

    /** Days by which a year's season may come early (below nothing) or late, each as likely: common practice, no source. */
    private const SHIFTS = [-20, 0, 20];

    /** Of the machines whose winters nobody has seen, one in three stands then: common practice, no source. */
    private const WINTER = ['11-10', '03-20', 'winter'];

    /** However much this year has told, its season is known only so well. */
    private const LEAST_UNSURE = 0.24;

    /** Shares of chances at which the days are tried, with their normal deviates. */
    private const DEVIATES = [-1.383, -0.6745, -0.2104, 0.2104, 0.6745, 1.383];

    /**
     * Where less than a year was seen, the weeks of the next season may differ by this share; by so much of it where
     * its class lends one.
     */
    private const UNSEEN_SEASON = 1.5;

    private const LENT = 0.3;

    private const WEEKS_OF_A_SEASON = 13;

    /** Clock weeks without use that do not agree with a season. */
    private const WEEKS_THAT_STAND_OUT = 8;

    /** Days known, and days since the last reading, between which the bands hold as they should. */
    private const GOOD_FROM = 365;

    private const GOOD_READ = 21;

    /** One time in ten a normal chance lies further out than so many standard deviations. */
    private const TENTH = 1.281552;

    /** Beyond this nobody should believe a date. */
    private const FURTHEST_DAYS = 25 * 365;

    /** Days without a reading before it is worth a word. */
    public const STALE_DAYS = 14;

    /** @var array<int|string, Passage|null> by what was asked: the points of many rules coincide */
    private array $told = [];

    private readonly int $readOn;

    private readonly float $run;

    private readonly int $knownDays;

    private readonly int $knownGains;

    private readonly int $standsFor;

    /** The first day of the year after the last reading. */
    private readonly int $newYear;

    /** @var list<SeasonAhead> as likely one as the other; in groups of as many as there are shifts */
    private readonly array $courses;

    /**
     * @param  Season|null  $wintering  the same with a rest in winter, where nothing is known of its winters
     * @param  float  $variance  of what is gained in a clock week
     * @param  float  $seasonUnseen  by what share a week a season ahead may differ, where no such week was seen yet
     */
    private function __construct(
        private readonly Season $season,
        private readonly YearlyUse $use,
        ?Season $wintering,
        private readonly float $variance,
        private readonly float $seasonUnseen,
        MeterHistory $history,
    ) {
        [$this->readOn, $this->run] = $history->last();
        $this->knownDays = self::daysKnown($history);
        $this->knownGains = count($history->usedGains());
        $this->standsFor = $history->standsFor();
        $this->newYear = Day::numberOf(self::year($this->readOn) + 1, 1, 1);
        $courses = [];
        foreach ($wintering === null ? [$season] : [$season, $season, $wintering] as $each) {
            foreach (self::SHIFTS as $shift) {
                $courses[] = SeasonAhead::of($each, $shift, $this->readOn, $this->newYear);
            }
        }
        $this->courses = $courses;
    }

    /**
     * @param  Season|null  $lent  the season of its class
     * @param  list<YearWindow>  $resting  parts of the year in which it is known to stand
     * @return self|null null where fewer than two readings on different days are known, or it has never been used
     */
    public static function learn(MeterHistory $history, ?Season $lent = null, array $resting = []): ?self
    {
        $gains = $history->usedGains();
        if ($gains === [] || array_sum(array_column($gains, 2)) <= 0) {
            return null;
        }
        $lent = $lent?->isEven() === true ? null : $lent;
        $season = SeasonalUse::of($history, $lent ?? Season::even())->restingIn($resting);
        $years = self::years($gains, $season);
        $usual = array_sum(array_column($years, 0)) / array_sum(array_column($years, 1));
        $variance = self::variance($gains, $years, $season, $usual);
        $wander = $variance / $usual ** 2;
        $knownDays = self::daysKnown($history);
        $isUnknown = $lent === null && $resting === [] && $knownDays < 365;

        return new self($season, YearlyUse::of($years, self::year($history->last()[0]), $wander), $isUnknown ? $season->restingIn(
            [YearWindow::between(...self::WINTER)],
        ) : null, $variance,
            self::UNSEEN_SEASON * max(0.0, 1 - $knownDays / 365) * ($lent === null ? 1 : self::LENT),
            $history);
    }

    private static function daysKnown(MeterHistory $history): int
    {
        return $history->last()[0] - $history->gains()[0][0];
    }

    /**
     * @param  non-empty-list<array{int, int, float}>  $gains
     * @return non-empty-array<int, array{float, float}> gained and clock weeks run in each year
     */
    private static function years(array $gains, Season $season): array
    {
        $years = [];
        foreach ($gains as [$from, $to, $gain]) {
            $year = self::year($to);
            [$gained, $weeks] = $years[$year] ?? [0.0, 0.0];
            $years[$year] = [$gained + $gain, $weeks + $season->clock($to) - $season->clock($from)];
        }

        return $years;
    }

    /**
     * Of a clock week's use about its own year's mean.
     *
     * @param  non-empty-list<array{int, int, float}>  $gains
     * @param  non-empty-array<int, array{float, float}>  $years
     */
    private static function variance(array $gains, array $years, Season $season, float $usual): float
    {
        $squares = self::SUPPOSED_WEEKS * (self::SUPPOSED_WANDER * $usual) ** 2;
        $clocked = self::SUPPOSED_WEEKS;
        foreach ($gains as [$from, $to, $gain]) {
            $weeks = $season->clock($to) - $season->clock($from);
            [$gained, $inYear] = $years[self::year($to)];
            $squares += ($gain - $gained / $inYear * $weeks) ** 2;
            $clocked += $weeks;
        }

        return $squares / $clocked;
    }

    /**
     * The day on which the machine will have run so much, or, where it has, did; as it is known from the readings.
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

    /**
     * The same told on a day: never of days gone by. Where nobody has read the meter for long, or the machine has stood
     * for long, it may have stood ever since.
     */
    public function passageFrom(int $today, BigDecimal|float $at): ?Passage
    {
        $passage = $this->passage($at);
        if ($passage === null) {
            return null;
        }
        $last = $passage->p90 + $this->standsFor;
        $left = ($at instanceof BigDecimal ? $at->toFloat() : $at) - $this->run;
        if ($left > 0 && $this->unreadDays($today) > self::STALE_DAYS) {
            $last = max($last, $this->dayOf($this->season, $this->season->clock($today) + $left / $this->use->level));
        }

        return (new Passage($passage->p10, $passage->p50, $last))->notBefore($today);
    }

    /** The day on which it will probably have run so much, without telling how surely; null where that is too far off. */
    public function expectedDay(BigDecimal $at): ?int
    {
        $left = $at->toFloat() - $this->run;

        if ($this->isTooFar($left)) {
            return null;
        }
        $thisYear = $this->gain($this->newYear);
        [$from, $weeks] = $left <= $thisYear
            ? [$this->readOn, $left / $this->use->level]
            : [$this->newYear, ($left - $thisYear) / $this->use->later];

        return $this->dayOf($this->season, $this->season->clock($from) + $weeks);
    }

    private function foretell(float $at): ?Passage
    {
        $left = $at - $this->run;
        if ($this->isTooFar($left)) {
            return null;
        }
        if ($left <= 0) {
            return Passage::on(
                $this->dayOf($this->season, $this->season->clock($this->readOn) + $left / $this->use->level),
            );
        }
        $first = InverseGaussian::firstPassage($left, $this->use->level, $this->variance);
        $median = $first->quantile(0.5);
        $wander = [
            log($median / $first->quantile(0.1)) / self::TENTH,
            log($first->quantile(0.9) / $median) / self::TENTH,
        ];
        $days = [];
        foreach ($this->courses as $turn => $course) {
            $next = $this->courses[$turn - $turn % count(self::SHIFTS) + ($turn + 1) % count(self::SHIFTS)];
            array_push($days, ...$this->daysBy($course, $next, $left, $median / $first->mean, $wander));
        }
        assert($days !== []);
        sort($days);

        return new Passage(self::quantile($days, 0.1), self::quantile($days, 0.5), self::quantile($days, 0.9));
    }

    /**
     * The days by one course of things, from early to late: run at this year's pace up to New Year, then at that of the
     * years to come.
     *
     * @param  SeasonAhead  $next  how the next year's season comes
     * @param  float  $middle  the median of the wandering time against its mean
     * @param  array{float, float}  $wander  by what share one standard deviation of the wandering changes the time,
     *     early and late
     * @return list<int>
     */
    private function daysBy(SeasonAhead $course, SeasonAhead $next, float $left, float $middle, array $wander): array
    {
        $usual = $left / $this->use->level * $middle;
        $unsure = max(self::LEAST_UNSURE, $this->use->unsure) ** 2 + $this->unseen($usual) ** 2;
        $spread = [sqrt($wander[0] ** 2 + $unsure), sqrt($wander[1] ** 2 + $unsure)];
        $days = [];
        foreach (self::DEVIATES as $deviate) {
            $weeks = $usual * exp($deviate * $spread[(int) ($deviate > 0)]);
            if ($weeks <= $course->thisYear) {
                $days[] = $this->dayOf($course->season, $course->begin + $weeks) + $course->shift;

                continue;
            }
            $later = $left * (1 - $course->thisYear / $weeks) / $this->use->later * $middle;
            $later *= exp(
                $deviate * sqrt(
                    $wander[(int) ($deviate > 0)] ** 2 + $this->use->laterUnsure ** 2 + $this->unseen($later) ** 2,
                ),
            );
            $days[] = $this->dayOf($next->season, $next->newYear + $later) + $next->shift;
        }

        return $days;
    }

    /** @param  non-empty-list<int>  $days  in order, as likely one as the other */
    private static function quantile(array $days, float $share): int
    {
        $place = max(0.0, min(count($days) - 1, $share * count($days) - 0.5));
        [$low, $high] = [$days[(int) floor($place)], $days[(int) ceil($place)]];

        return (int) floor($low + ($high - $low) * ($place - floor($place)));
    }

    /** What it will probably have run by a day. */
    public function runBy(int $day): float
    {
        return $this->run + $this->gain($day);
    }

    /**
     * Between which amounts it will have run by a day, four times in five.
     *
     * @return array{float, float}
     */
    public function rangeBy(int $day): array
    {
        $weeks = max(0.0, $this->season->clock($day) - $this->season->clock($this->readOn));
        $middle = $this->gain($day);
        $unsure = $day < $this->newYear ? $this->use->unsure : $this->use->laterUnsure;
        $either = self::TENTH * hypot(sqrt($this->variance * $weeks), $middle * hypot($unsure, $this->unseen($weeks)));

        return [$this->run + max(0.0, $middle - $either), $this->run + max(0.0, $middle + $either)];
    }

    /** What it will probably gain from the last reading to a day. */
    private function gain(int $day): float
    {
        $begin = $this->season->clock($this->readOn);
        $now = $this->season->clock(min($day, $this->newYear)) - $begin;
        $later = $this->season->clock(max($day, $this->newYear)) - $this->season->clock($this->newYear);

        return $this->use->level * $now + $this->use->later * $later;
    }

    /** What it is used in a week at that time of the year. */
    public function perWeek(int $day): float
    {
        return ($day < $this->newYear ? $this->use->level : $this->use->later) * $this->season->weightOn($day);
    }

    public function confidence(int $today): Confidence
    {
        $unread = $today - $this->readOn;

        return match (true) {
            $this->knownDays < 42 || $this->knownGains < 4 || $unread > 90 => Confidence::Thin,
            $this->knownDays < self::GOOD_FROM
                || $unread > self::GOOD_READ
                || $this->standsBeyondItsSeason() => Confidence::Fair,
            default => Confidence::Good,
        };
    }

    /** Days since somebody last read the meter. */
    public function unreadDays(int $today): int
    {
        return max(0, $today - $this->readOn);
    }

    /** Whether it has stood for weeks in which its season would have it run. */
    private function standsBeyondItsSeason(): bool
    {
        return $this->season->clock($this->readOn) - $this->season
            ->clock($this->readOn - $this->standsFor) > self::WEEKS_THAT_STAND_OUT;
    }

    /** By what share the use of the next so many clock weeks may differ where no such weeks were seen yet. */
    private function unseen(float $weeks): float
    {
        return $this->seasonUnseen * min(1, $weeks / self::WEEKS_OF_A_SEASON);
    }

    private function isTooFar(float $left): bool
    {
        return abs($left) / $this->use->later * 7 > self::FURTHEST_DAYS;
    }

    /** The day on which a season's clock stands at so many weeks. */
    private function dayOf(Season $season, float $clock): int
    {
        return (int) min($this->readOn + 2 * self::FURTHEST_DAYS, floor($season->dayAt($clock)));
    }

    private static function year(int $day): int
    {
        return (int) gmdate('Y', $day * 86_400);
    }
}
