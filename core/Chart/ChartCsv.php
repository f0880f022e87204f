<?php

declare(strict_types=1);

namespace Core\Chart;

use Core\Form\Csv;
use Core\Meter\MeterUnit;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;

/**
 * A chart as a CSV file by RFC 4180: a row for each task, a column for each first point, interval and part of the year;
 * {@see ChartReader} reads it back.
 */
final class ChartCsv
{
    private const MARK = 'X';

    /**
     * @param  list<ChartRow>  $rows
     * @param  MeterUnit  $distance  the unit that distances are written in
     */
    public static function write(array $rows, MeterUnit $distance = MeterUnit::Kilometres): string
    {
        $intervals = [];
        foreach ($rows as $row) {
            foreach (self::marked($row, $distance) as $heading => $order) {
                $intervals[$heading] = $order;
            }
        }
        asort($intervals);
        $headings = array_keys($intervals);
        $lines = [['Task', 'Work', 'Counted', ...$headings]];
        foreach ($rows as $row) {
            $marked = self::marked($row, $distance);
            $lines[] = [
                $row->task, $row->kind->word(), $row->anchor === Anchor::Chart
                    ? 'by the chart'
                    : 'from the day it was done',
                ...array_map(fn (string $heading): string => isset($marked[$heading]) ? self::MARK : '', $headings),
            ];
        }

        return Csv::of($lines);
    }

    /** @return array<string, array{int, float}> the headings it is marked under, with what puts them in order */
    private static function marked(ChartRow $row, MeterUnit $distance): array
    {
        $marked = [];
        foreach ($row->first as $first) {
            $marked["first {$first->inWords($distance)}"] = [0, self::order($first)];
        }
        foreach ([new Interval(hours: $row->every->hours), new Interval(km: $row->every->km), new Interval(months: $row->every->months)] as $turn => $every) {
            if (! $every->isEmpty()) {
                $marked["every {$every->inWords($distance)}"] = [1 + $turn, self::order($every)];
            }
        }
        foreach ($row->windows as $window) {
            $marked[Heading::ofSeason($window)] = [4, (float) str_replace('-', '.', $window->from())];
        }

        return $marked;
    }

    private static function order(Interval $interval): float
    {
        return $interval->hours?->toFloat() ?? $interval->km?->toFloat() ?? (float) $interval->months;
    }
}
