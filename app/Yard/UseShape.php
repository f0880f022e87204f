<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Readings\WeeklyReadings;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Standings\ClassSeason;
use Brick\Math\BigDecimal;
use Core\Forecast\Confidence;
use Core\Forecast\MeterHistory;
use Core\Forecast\Season;
use Core\Forecast\Usage;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\MeterUnit;

/** What a machine was run week by week, and how surely its days can be told, as the contract's `Use`. */
final class UseShape
{
    private const WEEKS = 156;

    /** @return array<string, mixed> */
    public static function of(Machine $machine, Yard $yard): array
    {
        $season = ClassSeason::for($machine->class, $yard)->toCore();
        $meters = $machine->primaryMeters();
        $unit = $meters->last()->unit ?? MeterUnit::Hours;
        $history = WeeklyReadings::history($meters, WeeklyReadings::query()->findMany($meters->modelKeys())->keyBy('meter_id'));
        $usage = $history->isEmpty() ? null : Usage::learn($history, $season);
        $today = Day::number($yard->today());

        return [
            'unit' => $unit->value,
            'weeks' => self::weeks($history, $season, $today, $unit),
            'confidence' => ($usage?->confidence($today) ?? Confidence::None)->value,
            'why' => self::why($usage, $unit, $yard->today()),
        ];
    }

    /**
     * @return list<array{from: string, use: float|null}> the last three years, Mondays first; null where nobody read
     *     the meter
     */
    private static function weeks(MeterHistory $history, Season $season, int $today, MeterUnit $unit): array
    {
        $known = $history->byWeek($season);
        $weeks = [];
        for ($week = MeterHistory::week($today) - self::WEEKS + 1; $week <= MeterHistory::week($today); $week++) {
            $use = isset($known[$week])
                ? $unit->fromReckoned(BigDecimal::of(sprintf('%.2F', $known[$week][0])))->toFloat()
                : null;
            $weeks[] = ['from' => Day::of(MeterHistory::monday($week))->format('Y-m-d'), 'use' => $use];
        }

        return $weeks;
    }

    private static function why(?Usage $usage, MeterUnit $unit, \DateTimeImmutable $today): string
    {
        $day = Day::number($today);
        if ($usage === null) {
            return 'Two readings on different days are needed before anybody can tell when a point will come.';
        }
        $rate = Plain::number($unit->fromReckoned(BigDecimal::of(sprintf('%.1F', $usage->perWeek($day)))));
        $trust = match ($usage->confidence($day)) {
            Confidence::Good => 'More than a year is known, so the season is too.',
            Confidence::Fair => 'Less than a year is known or the meter was not read lately, so the dates are rougher.',
            default => 'Little is known yet, so the dates are guesses.',
        };
        $unread = $usage->unreadDays($day);

        $stale = $unread > Usage::STALE_DAYS
            ? ' Nobody has read this meter for '.Plain::count($unread, 'day').', which widens every date.'
            : '';

        return "{$rate} {$unit->value} a week is usual now. {$trust}{$stale}";
    }
}
