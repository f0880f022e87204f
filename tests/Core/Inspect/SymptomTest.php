<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\Symptom;
use Core\Machine\MachineClass;
use Core\Machine\Spot;
use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Handbook, section 17, "Symptom to spot". */
final class SymptomTest extends TestCase
{
    /** @param  list<string>  $keys */
    #[DataProvider('handbook')]
    public function test_a_symptom_points_to_the_spots_of_the_handbook(
        Symptom $symptom,
        MachineClass $class,
        array $keys,
    ): void {
        self::assertSame([], array_diff($keys, self::pointed($symptom, $class)));
    }

    /** @return iterable<string, array{Symptom, MachineClass, list<string>}> */
    public static function handbook(): iterable
    {
        yield 'low power' => [
            Symptom::LowPower,
            MachineClass::Tractor,
            ['fuel_filter', 'water_separator', 'air_cleaner'],
        ];
        yield 'weak drive' => [
            Symptom::WeakDrive,
            MachineClass::Tractor,
            ['suction_screen', 'hydrostatic_filter', 'hydrostatic'],
        ];
        yield 'backfiring' => [Symptom::Backfiring, MachineClass::ZeroTurn, ['spark_plugs']];
        yield 'grime on a shock' => [Symptom::Grime, MachineClass::UtilityVehicle, ['shocks']];
        yield 'hard lever' => [Symptom::HardLever, MachineClass::Crawler, ['steering_boosters']];
        yield 'level rising' => [Symptom::LevelRising, MachineClass::Generator, ['engine_oil']];
        yield 'water crossed' => [
            Symptom::WaterCrossed,
            MachineClass::UtilityVehicle,
            ['front_gear_case', 'transmission', 'rear_axle'],
        ];
    }

    public function test_every_class_has_a_spot_for_low_power_unless_it_runs_on_batteries(): void
    {
        foreach (MachineClass::cases() as $class) {
            self::assertSame(
                $class === MachineClass::ElectricCart,
                self::pointed(Symptom::LowPower, $class) === [],
                $class->value,
            );
        }
    }

    /** @return list<string> */
    private static function pointed(Symptom $symptom, MachineClass $class): array
    {
        $spots = array_map(fn (StarterSpot $spot): Spot => $spot->spot, array_values(Starters::for($class)->spots()));

        return array_map(fn (Spot $spot): string => $spot->key, $symptom->among($spots));
    }
}
