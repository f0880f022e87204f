<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;

/** What a machine does that points to some of its spots. Common practice, no source. */
enum Symptom: string
{
    case LowPower = 'low_power';
    case WeakDrive = 'weak_drive';
    case Backfiring = 'backfiring';
    case Grime = 'grime';
    case HardLever = 'hard_lever';
    case LevelRising = 'level_rising';
    case WaterCrossed = 'water_crossed';

    public function label(): string
    {
        return match ($this) {
            self::LowPower => 'Low power, or it runs unevenly',
            self::WeakDrive => 'The drive is weak',
            self::Backfiring => 'It backfires',
            self::Grime => 'Oily grime on a shock or ram',
            self::HardLever => 'A lever is hard',
            self::LevelRising => 'A level has risen by itself',
            self::WaterCrossed => 'Deep water was crossed',
        };
    }

    /** Whether it points to this spot. */
    public function pointsTo(Spot $spot): bool
    {
        return match ($this) {
            self::LowPower => $spot->kind === SpotKind::Part
                && in_array($spot->subject, [Subject::Fuel, Subject::AirCleaner], true),
            self::WeakDrive => $spot->subject === Subject::Hydraulics
                && (
                    $spot->kind === SpotKind::Part
                    || $spot->kind === SpotKind::Compartment
                    || $spot->role === OpeningRole::Strainer
                ),
            self::Backfiring => $spot->subject === Subject::Ignition && $spot->kind === SpotKind::Part,
            self::Grime => in_array($spot->key, ['shocks', 'loader', 'lift_arms', 'steering'], true),
            self::HardLever => in_array(
                $spot->key,
                ['steering_boosters', 'lever_shafts', 'lever_pivots', 'levers'],
                true,
            ),
            self::LevelRising => $spot->kind === SpotKind::Compartment && $spot->subject === Subject::EngineOil,
            self::WaterCrossed => $spot->kind === SpotKind::Compartment
                && in_array($spot->subject, [Subject::GearOil, Subject::Hydraulics, Subject::EngineOil], true),
        };
    }

    /**
     * @param  list<Spot>  $spots  of one machine
     * @return list<Spot>
     */
    public function among(array $spots): array
    {
        return array_values(array_filter($spots, $this->pointsTo(...)));
    }
}
