<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\MachineClass;
use Core\Machine\Spot;
use Core\Machine\TaskKind;
use Core\Procedure\Cautions;
use Core\Starter\Starters;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The cautions of the trade handbook, section 6, at the spots where they matter, whatever the task is called. */
final class CautionTest extends TestCase
{
    #[DataProvider('tasks')]
    public function test_each_task_carries_its_caution(
        MachineClass $class,
        TaskKind $kind,
        string $spot,
        string $says,
    ): void {
        self::assertStringContainsString($says, implode(' ', self::cautions($class, $kind, [$spot])));
    }

    /** @return iterable<string, array{MachineClass, TaskKind, string, string}> */
    public static function tasks(): iterable
    {
        yield 'hot oil' => [MachineClass::Tractor, TaskKind::Replace, 'engine_oil', 'Hot oil and exhaust burn'];
        yield 'used oil' => [
            MachineClass::Tractor,
            TaskKind::Replace,
            'front_axle',
            'collection point that local rules name',
        ];
        yield 'fuel' => [MachineClass::SmallTruck, TaskKind::Replace, 'fuel_filter', 'No flame, no sparks'];
        yield 'coolant' => [MachineClass::Tractor, TaskKind::Replace, 'coolant', 'Never open the cooling system hot'];
        yield 'hydraulics' => [
            MachineClass::ZeroTurn,
            TaskKind::Replace,
            'hydrostatic_left',
            'Never feel for a leak with a hand',
        ];
        yield 'blades' => [MachineClass::FrontMower, TaskKind::Clean, 'blades', 'spark-plug lead off'];
        yield 'jack' => [MachineClass::UtilityVehicle, TaskKind::Inspect, 'pads', 'A jack is not a stand'];
        yield 'jack at an axle' => [
            MachineClass::UtilityVehicle,
            TaskKind::Replace,
            'rear_axle',
            'A jack is not a stand',
        ];
        yield 'battery' => [MachineClass::PetrolCart, TaskKind::Replace, 'battery', 'Negative off first, on last'];
        yield 'cart pack' => [
            MachineClass::ElectricCart,
            TaskKind::CheckLevel,
            'battery_water',
            'Lift batteries with help',
        ];
        yield 'generator' => [MachineClass::Generator, TaskKind::Clean, 'oil_strainer', 'Disable starting'];
        yield 'house wiring' => [MachineClass::Generator, TaskKind::Inspect, 'alternator_belt', 'licensed electrician'];
        yield 'exhaust' => [MachineClass::Generator, TaskKind::Run, 'set', 'exhaust cannot gather'];
        yield 'belts' => [MachineClass::RiderMower, TaskKind::Inspect, 'deck_belt', 'before a hand goes near belts'];
        yield 'tracks' => [MachineClass::Crawler, TaskKind::Adjust, 'tracks', 'clear of the tracks'];
        yield 'switches' => [MachineClass::ZeroTurn, TaskKind::Inspect, 'safety_switches', 'Never bypass a switch'];
    }

    public function test_an_oil_bath_air_cleaner_is_no_hot_oil(): void
    {
        self::assertStringNotContainsString(
            'Hot oil',
            implode(' ', self::cautions(MachineClass::Crawler, TaskKind::Clean, ['oil_bath'])),
        );
        self::assertStringNotContainsString(
            'Hot oil',
            implode(' ', self::cautions(MachineClass::Tractor, TaskKind::Inspect, ['engine_oil'])),
            'to look burns nobody',
        );
    }

    public function test_no_starter_task_is_told_the_same_thing_twice(): void
    {
        foreach (MachineClass::cases() as $class) {
            foreach (Starters::for($class)->rulebooks() as $rulebook) {
                foreach ($rulebook->rules as $rule) {
                    $cautions = self::cautions($class, $rule->kind, $rule->spots);
                    self::assertSame($cautions, array_unique($cautions), $rule->task);
                }
            }
        }
    }

    /**
     * @param  list<string>  $spots
     * @return list<string>
     */
    private static function cautions(MachineClass $class, TaskKind $kind, array $spots): array
    {
        $known = Starters::for($class)->spots();

        return array_map(
            fn (Caution $caution): string => $caution->says(),
            Cautions::of($class, $kind, array_map(fn (string $key): Spot => $known[$key]->spot, $spots)),
        );
    }
}
