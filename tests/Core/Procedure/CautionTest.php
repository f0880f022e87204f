<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Machine\MachineClass;
use Core\Machine\Task;
use Core\Machine\TaskKind;
use Core\Procedure\Caution;
use Core\Schedule\StarterRulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The cautions of the trade handbook, section 6, at the tasks where they matter. */
final class CautionTest extends TestCase
{
    #[DataProvider('tasks')]
    public function test_each_task_carries_its_caution(MachineClass $class, string $task, string $says): void
    {
        self::assertStringContainsString($says, implode(' ', Caution::for($class, new Task('1', $task, TaskKind::Replace))));
    }

    /** @return iterable<string, array{MachineClass, string, string}> */
    public static function tasks(): iterable
    {
        yield 'hot oil' => [MachineClass::Tractor, 'Engine oil and filter', 'Hot oil and exhaust burn'];
        yield 'used oil' => [MachineClass::Tractor, 'Front axle oil', 'collection point that local rules name'];
        yield 'fuel' => [MachineClass::SmallTruck, 'Fuel filter', 'No flame, no sparks'];
        yield 'coolant' => [MachineClass::Tractor, 'Coolant', 'Never open the cooling system hot'];
        yield 'hydraulics' => [MachineClass::ZeroTurn, 'Hydrostatic oil and filter', 'Never feel for a leak with a hand'];
        yield 'blades' => [MachineClass::FrontMower, 'Blades', 'spark-plug lead off'];
        yield 'jack' => [MachineClass::UtilityVehicle, 'Brake pads', 'A jack is not a stand'];
        yield 'battery' => [MachineClass::PetrolCart, 'Battery', 'Negative off first, on last'];
        yield 'cart pack' => [MachineClass::ElectricCart, 'Battery water', 'Lift batteries with help'];
        yield 'generator' => [MachineClass::Generator, 'Oil strainer', 'Disable starting'];
        yield 'house wiring' => [MachineClass::Generator, 'Alternator belt', 'licensed electrician'];
        yield 'exhaust' => [MachineClass::Generator, 'Run under load', 'exhaust cannot gather'];
        yield 'belts' => [MachineClass::RiderMower, 'Drive and deck belts', 'before a hand goes near belts'];
        yield 'tracks' => [MachineClass::Crawler, 'Track tension', 'clear of the tracks'];
    }

    public function test_an_oil_bath_air_cleaner_is_no_hot_oil(): void
    {
        self::assertSame([], Caution::for(MachineClass::Tractor, new Task('1', 'Oil-bath cleaner', TaskKind::Clean)));
    }

    public function test_no_starter_task_is_told_the_same_thing_twice(): void
    {
        foreach (MachineClass::cases() as $class) {
            foreach (array_merge(...array_map(fn (StarterRulebook $rulebook): array => $rulebook->rules, StarterRulebook::for($class))) as $rule) {
                $cautions = Caution::for($class, new Task('1', $rule->task, $rule->kind));
                self::assertSame($cautions, array_unique($cautions), $rule->task);
            }
        }
    }
}
