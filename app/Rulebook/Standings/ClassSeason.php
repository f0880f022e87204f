<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Contract\Record;
use App\Logbook\Readings\WeeklyReadings;
use App\Machines\Machine;
use App\Machines\Yard;
use Core\Forecast\Season;
use Core\Forecast\SeasonalUse;
use Core\Machine\MachineClass;
use Core\Measure\Day;

/**
 * How the machines of a class are used over the year, lent to those of it that have little history. It holds for a
 * month and rests on what happened
 * before the month before it, so that the day's readings of one machine do not move the dates of another.
 *
 * @property MachineClass $class
 * @property string $month
 * @property string $hash
 * @property list<float> $weights
 */
final class ClassSeason extends Record
{
    protected $primaryKey = 'class';

    protected $keyType = 'string';

    public $incrementing = false;

    private ?Season $core = null;

    protected function casts(): array
    {
        return ['class' => MachineClass::class, 'weights' => 'array'];
    }

    public static function for(MachineClass $class, Yard $yard): self
    {
        $kept = self::query()->find($class->value);
        if ($kept?->month === self::month($yard)) {
            return $kept;
        }
        $until = self::restsOnDaysUpTo($yard);
        $machines = Machine::query()->where('class', $class)
            ->where('retired', false)
            ->with('meters')
            ->orderBy('id')
            ->get();
        $readings = WeeklyReadings::query()->findMany(
            $machines->flatMap(fn (Machine $machine) => $machine->meters->modelKeys()),
        )->keyBy('meter_id');
        $season = SeasonalUse::ofClass(
            array_values($machines->map(
                fn (Machine $machine) => WeeklyReadings::history($machine->primaryMeters(), $readings)->until($until),
            )->all()),
        );
        $weights = array_map(fn (float $weight): float => round($weight, 4), $season->weights);

        return self::query()->updateOrCreate(
            ['class' => $class->value],
            [
                'month' => self::month($yard),
                'weights' => $weights,
                'hash' => substr(hash('xxh128', implode(' ', $weights)), 0, 12),
            ],
        );
    }

    /** After something came to light, or was struck, that happened before what the season rests on. */
    public static function forgetIfItRestsOn(\DateTimeInterface $happened, MachineClass $class, Yard $yard): void
    {
        if (Day::number($yard->dayOf($happened)) <= self::restsOnDaysUpTo($yard)) {
            self::query()->whereKey($class->value)->delete();
        }
    }

    public function toCore(): Season
    {
        return $this->core ??= Season::of(array_map(floatval(...), $this->weights));
    }

    private static function month(Yard $yard): string
    {
        return $yard->today()->format('Y-m');
    }

    private static function restsOnDaysUpTo(Yard $yard): int
    {
        return Day::number($yard->today()->modify('first day of last month')) - 1;
    }
}
