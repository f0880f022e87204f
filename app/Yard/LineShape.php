<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\StandDowns;
use App\Machines\Meter;
use App\Rulebook\Standings\MeterShape;
use App\Rulebook\Standings\PassageShape;
use App\Rulebook\Standings\Reckoning;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Forecast\Stake;
use Core\Machine\Task;
use Core\Measure\Day;
use Core\Meter\Limit;
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
            'stood_down' => StandDowns::shape($reckoning->standDowns, $reckoning->yard),
            'meters' => array_map(
                fn (Meter $meter): array => MeterShape::of($meter, $reckoning),
                $machine->currentMeters(),
            ),
            'leading' => $leading === null ? null : self::task($leading->task),
            'why' => $reckoning->outlook->why(),
            'days_left' => $reckoning->outlook->expectedDays(),
            'per_week' => self::perWeek($reckoning),
            'rail' => self::rail($reckoning),
        ];
    }

    /** @return array<string, mixed> */
    private static function rail(Reckoning $reckoning): array
    {
        $rail = $reckoning->rail();
        $unit = $rail->along === Limit::Distance ? $reckoning->machine->distanceUnit() : null;
        $shown = fn (BigDecimal $at): BigDecimal => $unit === MeterUnit::Miles ? $unit->fromReckoned($at) : $at;
        $place = fn (BigDecimal $at): string => (string) $shown($at)
            ->toScale(2, RoundingMode::HALF_UP)
            ->stripTrailingZeros();

        return [
            'unit' => $unit->value ?? ($rail->along === Limit::Hours ? 'h' : 'day'),
            'from' => $place($rail->from),
            'now' => $place($rail->now),
            'to' => $place($rail->to),
            'today' => $reckoning->today->format('Y-m-d'),
            'stakes' => array_map(fn (Stake $stake): array => [
                'at' => $place($stake->at),
                'early_from' => $place($stake->earlyFrom),
                'state' => $stake->state->value,
                'again' => $stake->again,
                'by_date' => $stake->byDate,
                'when' => PassageShape::of($stake->when),
                'band' => $stake->band === null ? null : array_map($place, $stake->band),
                'label' => $stake->label(),
                'weight' => count($stake->tasks),
                'tasks' => array_map(self::task(...), $stake->tasks),
            ], $rail->stakes),
        ];
    }

    private static function perWeek(Reckoning $reckoning): ?string
    {
        $usage = $reckoning->usage();
        if ($usage === null) {
            return null;
        }
        $unit = ($reckoning->machine->currentMeters()[0] ?? null)->unit ?? MeterUnit::Hours;

        return (string) $unit->fromReckoned(
            BigDecimal::of(sprintf('%.2F', $usage->perWeek(Day::number($reckoning->today)))),
        )
            ->toScale(2, RoundingMode::HALF_UP)
            ->stripTrailingZeros();
    }

    /** @return array{rule_id: int, task: string, kind: string} */
    public static function task(Task $task): array
    {
        return ['rule_id' => (int) $task->id, 'task' => $task->name, 'kind' => $task->kind->value];
    }
}
