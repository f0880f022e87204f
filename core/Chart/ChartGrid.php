<?php

declare(strict_types=1);

namespace Core\Chart;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Meter\Limit;
use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule;

/**
 * A rulebook as a book prints it: first services, then the points up to the longest interval that fits, then what
 * recurs by other measures. The headings are those that {@see ChartReader} understands.
 */
final readonly class ChartGrid
{
    /** As many points as fit beside each other on a printed page. */
    private const MOST_POINTS = 24;

    /**
     * @param  list<string>  $headings
     * @param  list<list<bool>>  $marks  a row for each rule, a field for each heading
     */
    private function __construct(public array $headings, public array $marks) {}

    /**
     * @param  list<Rule>  $rules
     * @param  MeterUnit  $unit  of the points; distances are told in it, or in kilometres
     */
    public static function of(array $rules, MeterUnit $unit = MeterUnit::Hours): self
    {
        $limit = $unit->limit();
        $distance = $unit->isDistance() ? $unit : MeterUnit::Kilometres;
        $points = self::points($rules, $limit);
        $top = $points === [] ? null : BigDecimal::of((string) array_key_last($points));
        $rows = array_map(fn (Rule $rule): array => self::marked($rule, $limit, $top, $distance), $rules);
        $columns = array_replace([], ...$rows);
        foreach (array_keys($points) as $at) {
            $columns[self::point(BigDecimal::of((string) $at), $limit, $distance)] = [1, (float) $at];
        }
        asort($columns);
        $headings = array_keys($columns);

        return new self(
            $headings,
            array_map(
                fn (array $row): array => array_map(fn (string $heading): bool => isset($row[$heading]), $headings),
                $rows,
            ),
        );
    }

    /**
     * The points of the chart, at which at least one rule falls due; so many that they fit.
     *
     * @param  list<Rule>  $rules
     * @return array<int|numeric-string, true> rising
     */
    private static function points(array $rules, Limit $limit): array
    {
        $intervals = array_filter(array_map(fn (Rule $rule): ?BigDecimal => $rule->every->length($limit), $rules));
        usort($intervals, fn (BigDecimal $one, BigDecimal $other): int => $other->compareTo($one));
        foreach ($intervals as $top) {
            $points = [];
            foreach ($rules as $rule) {
                foreach (self::multiples($rule, $limit, $top) as $point) {
                    $points[(string) $point] = true;
                    if (count($points) > self::MOST_POINTS) {
                        continue 3;
                    }
                }
            }
            ksort($points, SORT_NUMERIC);

            return $points;
        }

        return [];
    }

    /** @return array<string, array{int, float}> the headings it is marked under, with what puts them in order */
    private static function marked(Rule $rule, Limit $limit, ?BigDecimal $top, MeterUnit $distance): array
    {
        $marked = [];
        foreach ($rule->first as $first) {
            $marked["first {$first->inWords($distance)}"] = [
                0,
                ($first->length($limit) ?? BigDecimal::zero())->toFloat(),
            ];
        }
        $every = $rule->every->length($limit);
        if ($every !== null && $top !== null && $every->isLessThanOrEqualTo($top)) {
            foreach (self::multiples($rule, $limit, $top) as $point) {
                $marked[self::point($point, $limit, $distance)] = [1, $point->toFloat()];
            }
        } elseif ($every !== null) {
            $marked["every {$rule->every->only($limit)->inWords($distance)}"] = [2, $every->toFloat()];
        }
        foreach (array_filter(Limit::cases(), fn (Limit $other): bool => $other !== $limit && $rule->every->gives($other)) as $place => $other) {
            $marked["every {$rule->every->only($other)->inWords($distance)}"] = [
                3 + $place,
                $rule->every->length($other)?->toFloat() ?? (float) $rule->every->months,
            ];
        }
        foreach ($rule->windows as $window) {
            $marked[Heading::ofSeason($window)] = [6, (float) str_replace('-', '.', $window->from())];
        }

        return $marked;
    }

    /** @return iterable<BigDecimal> */
    private static function multiples(Rule $rule, Limit $limit, BigDecimal $top): iterable
    {
        if ($rule->every->length($limit)?->isLessThanOrEqualTo($top) === true) {
            foreach (ColumnChart::points((new Rule($rule->every->only($limit), self::before($rule, $limit), Anchor::Chart)), BigDecimal::zero(), $top, $limit) as $point) {
                if (array_filter($rule->firstPoints($limit), $point->isEqualTo(...)) === []) {
                    yield $point->stripTrailingZeros();
                }
            }
        }
    }

    /** @return list<Interval> */
    private static function before(Rule $rule, Limit $limit): array
    {
        return array_values(array_filter($rule->first, fn (Interval $first): bool => $first->gives($limit)));
    }

    private static function point(BigDecimal $at, Limit $limit, MeterUnit $distance): string
    {
        return $limit === Limit::Hours
            ? Plain::number($at).' h'
            : Plain::number($distance->fromReckoned($at))." {$distance->value}";
    }
}
