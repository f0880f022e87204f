<?php

declare(strict_types=1);

namespace App\Yard;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Forecast\Passage;
use Core\Forecast\RailUnit;
use Core\Forecast\Stake;
use Core\Machine\Task;
use Core\Measure\Day;
use Core\Meter\MeterUnit;

/** A machine's line on the yard's sheet, as the contract's `YardLine`. */
final class LineShape
{
    /** @return array<string, mixed> */
    public static function of(Reckoning $reckoning): array
    {
        $machine = $reckoning->machine;
        $leading = $reckoning->outlook->leading();

        return [
            'id' => $machine->id,
            'name' => $machine->name,
            'class' => $machine->class->value,
            'class_label' => $machine->class->label(),
            'place' => $machine->place,
            'state' => $reckoning->state(),
            'stood_down' => self::standDown($reckoning),
            'meters' => array_map(fn (Meter $meter): array => self::meter($meter, $reckoning), $machine->currentMeters()),
            'leading' => $leading === null ? null : self::task($leading->task),
            'why' => $reckoning->outlook->why(),
            'days_left' => $reckoning->outlook->expectedDays(),
            'per_week' => self::perWeek($reckoning),
            'rail' => self::rail($reckoning),
        ];
    }

    /** @return array<string, mixed> */
    public static function meter(Meter $meter, Reckoning $reckoning): array
    {
        $latest = $reckoning->latest[$meter->id] ?? null;

        return [
            'id' => $meter->id,
            'unit' => $meter->unit->value,
            'value' => (string) BigDecimal::of($latest->value ?? $meter->shown_when_fitted)->stripTrailingZeros(),
            'read_on' => $latest === null ? null : $reckoning->yard->dayOf($latest->happened_at)->format('Y-m-d'),
            'run' => (string) $meter->span()->run(BigDecimal::of($latest->value ?? $meter->shown_when_fitted))->stripTrailingZeros(),
            'fitted_on' => $reckoning->yard->dayOf($meter->fitted_at)->format('Y-m-d'),
            'replaced' => ! in_array($meter, $reckoning->machine->currentMeters(), true),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function standDown(Reckoning $reckoning): ?array
    {
        $entry = $reckoning->standDown;

        return $entry === null ? null : [
            'entry_id' => $entry->id,
            'by' => $entry->person?->name,
            'on' => $reckoning->yard->dayOf($entry->happened_at)->format('Y-m-d'),
            'because' => $entry->note,
        ];
    }

    /** @return array<string, mixed> */
    private static function rail(Reckoning $reckoning): array
    {
        $rail = $reckoning->rail();
        $unit = $rail->unit === RailUnit::Kilometres ? $reckoning->machine->distanceUnit() : null;
        $place = fn (BigDecimal $at): string => (string) ($unit === MeterUnit::Miles ? $unit->fromReckoned($at) : $at)->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();

        return [
            'unit' => $unit->value ?? $rail->unit->value,
            'from' => $place($rail->from),
            'now' => $place($rail->now),
            'to' => $place($rail->to),
            'today' => $reckoning->yard->today()->format('Y-m-d'),
            'stakes' => array_map(fn (Stake $stake): array => [
                'at' => $place($stake->at),
                'early_from' => $place($stake->earlyFrom),
                'state' => $stake->state->value,
                'again' => $stake->again,
                'by_date' => $stake->byDate,
                'when' => self::passage($stake->when),
                'band' => $stake->band === null ? null : array_map($place, $stake->band),
                'label' => $stake->label(),
                'weight' => count($stake->tasks),
                'tasks' => array_map(self::task(...), $stake->tasks),
            ], $rail->stakes),
        ];
    }

    /** @return array{p10: string, p50: string, p90: string}|null */
    public static function passage(?Passage $when): ?array
    {
        $day = fn (int $number): string => Day::of($number)->format('Y-m-d');

        return $when === null ? null : ['p10' => $day($when->p10), 'p50' => $day($when->p50), 'p90' => $day($when->p90)];
    }

    private static function perWeek(Reckoning $reckoning): ?string
    {
        $usage = $reckoning->usage();
        if ($usage === null) {
            return null;
        }
        $unit = ($reckoning->machine->currentMeters()[0] ?? null)->unit ?? MeterUnit::Hours;

        return (string) $unit->fromReckoned(BigDecimal::of(sprintf('%.2F', $usage->perWeek(Day::number($reckoning->yard->today())))))->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
    }

    /** @return array{rule_id: int, task: string, kind: string} */
    public static function task(Task $task): array
    {
        return ['rule_id' => (int) $task->id, 'task' => $task->name, 'kind' => $task->kind->value];
    }
}
