<?php

declare(strict_types=1);

namespace Core\Forecast;

/**
 * How much a machine is used in a clock week, this year and in years to come. Each year's use differs from the next;
 * what this year has shown so far tells of the rest of it, what all years have shown of those to come.
 *
 * Normal means with a known prior, as in Gelman and others, Bayesian Data Analysis, 2.5 (value from memory).
 */
final readonly class YearlyUse
{
    /** One year's use differs from another's by about this share: common practice, no source. */
    private const YEAR_TO_YEAR = 0.25;

    /** Years that the usual difference is worth against what a machine's own years show. */
    private const SUPPOSED_YEARS = 4;

    /** Of a machine's first year nothing is known beforehand but its order of size. */
    private const FIRST_YEAR_UNSURE = 0.7;

    /** A year counts so much less for each one after it. */
    private const FADES = 0.8;

    /** Clock weeks of a year that tell it apart from the others. */
    private const LEAST_WEEKS = 4;

    /**
     * @param  float  $level  in a clock week of this year
     * @param  float  $unsure  by what share that may be wrong
     * @param  float  $later  in a clock week of years to come
     * @param  float  $laterUnsure  by what share that may be wrong
     */
    private function __construct(
        public float $level,
        public float $unsure,
        public float $later,
        public float $laterUnsure,
    ) {}

    /**
     * @param  non-empty-array<int, array{float, float}>  $years  gained and clock weeks run, by year
     * @param  int  $present  this year
     * @param  float  $wander  variance of a clock week's use, as a share of the square of a usual week's
     */
    public static function of(array $years, int $present, float $wander): self
    {
        $gained = array_sum(array_column($years, 0));
        $usual = $gained / array_sum(array_column($years, 1));
        $differ = self::differ($years, $usual, $wander);
        $former = array_diff_key($years, [$present => true]);
        [$before, $beforeUnsure] = self::mean($former, $present, $usual, $differ, $wander);
        [$level, $unsure] = [$before, hypot($differ, $beforeUnsure)];
        [$gain, $weeks] = $years[$present] ?? [0.0, 0.0];
        if ($weeks > 0) {
            // What this year has shown, against what former years let expect of it.
            $shown = $wander / $weeks;
            $share = $unsure ** 2 / ($unsure ** 2 + $shown);
            $level += $share * ($gain / $weeks - $level);
            $unsure *= sqrt($shown / ($unsure ** 2 + $shown));
        }
        [$later, $laterUnsure] = self::mean($years, $present, $usual, $differ, $wander);

        return new self(max($level, $usual * 0.05), $unsure, max($later, $usual * 0.05), hypot($differ, $laterUnsure));
    }

    /**
     * By what share the years differ: what this machine's own show, leaning on what is usual.
     *
     * @param  array<int, array{float, float}>  $years
     */
    private static function differ(array $years, float $usual, float $wander): float
    {
        $squares = self::SUPPOSED_YEARS * self::YEAR_TO_YEAR ** 2;
        $told = array_filter($years, fn (array $year): bool => $year[1] >= self::LEAST_WEEKS);
        if (count($told) < 2) {
            return self::YEAR_TO_YEAR;
        }
        foreach ($told as [$gain, $weeks]) {
            $squares += max(
                0.0,
                ($gain / $weeks / $usual - 1) ** 2 - $wander / $weeks,
            ) * count($told) / (count($told) - 1);
        }

        return sqrt($squares / (self::SUPPOSED_YEARS + count($told)));
    }

    /**
     * @param  array<int, array{float, float}>  $years
     * @return array{float, float} the mean of some years' levels, and by what share it may be wrong
     */
    private static function mean(array $years, int $present, float $usual, float $differ, float $wander): array
    {
        // What is usual at all, which keeps a single odd year from being believed whole.
        $weights = 1 / self::FIRST_YEAR_UNSURE ** 2;
        $levels = $usual * $weights;
        foreach ($years as $year => [$gain, $weeks]) {
            if ($weeks > 0) {
                $weight = self::FADES ** ($present - $year) / ($differ ** 2 + $wander / $weeks);
                $weights += $weight;
                $levels += $weight * $gain / $weeks;
            }
        }

        return [$levels / $weights, 1 / sqrt($weights)];
    }
}
