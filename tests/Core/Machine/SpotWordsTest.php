<?php

declare(strict_types=1);

namespace Tests\Core\Machine;

use Core\Machine\MachineClass;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\SpotWords;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Machine\TaskName;
use Core\Starter\Starters;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Words only suggest: what a keeper types while the form waits for a yes. */
final class SpotWordsTest extends TestCase
{
    /** @param  list<string>  $spots */
    #[DataProvider('words')]
    public function test_words_suggest_the_likeliest_spots(
        MachineClass $class,
        string $words,
        TaskKind $kind,
        array $spots,
    ): void {
        self::assertSame($spots, array_column(SpotWords::likeliest($words, $kind, self::spots($class)), 'key'));
    }

    /** @return iterable<string, array{MachineClass, string, TaskKind, list<string>}> */
    public static function words(): iterable
    {
        yield 'two at once' => [
            MachineClass::Tractor,
            'Engine oil and filter',
            TaskKind::Replace,
            ['engine_oil', 'engine_oil_filter'],
        ];
        yield 'with a verb' => [MachineClass::Tractor, 'Replace fuel filter', TaskKind::Replace, ['fuel_filter']];
        yield 'by its own name' => [MachineClass::ZeroTurn, 'Spindle, left', TaskKind::Lubricate, ['spindle_left']];
        yield 'a plural' => [MachineClass::ZeroTurn, 'Blades', TaskKind::Clean, ['blades']];
        yield 'a level' => [MachineClass::UtilityVehicle, 'Engine oil level', TaskKind::CheckLevel, ['engine_oil']];
        yield 'another word for it' => [MachineClass::Aerator, 'Air filter', TaskKind::Clean, ['air_cleaner']];
        yield 'with a list' => [
            MachineClass::PetrolCart,
            'Drive belt, starter belt',
            TaskKind::Inspect,
            ['drive_belt', 'starter_belt'],
        ];
        yield 'nothing of the kind' => [MachineClass::Generator, 'Chute hinge', TaskKind::Inspect, []];
        yield 'a nipple is not replaced' => [MachineClass::Generator, 'Fan bearing', TaskKind::Replace, []];
    }

    public function test_all_points_are_meant_by_their_words(): void
    {
        self::assertTrue(SpotWords::meanAllPoints('Grease all points', TaskKind::Lubricate));
        self::assertTrue(SpotWords::meanAllPoints(' grease', TaskKind::Lubricate));
        self::assertFalse(SpotWords::meanAllPoints('King pin, left', TaskKind::Lubricate));
        self::assertFalse(SpotWords::meanAllPoints('All belts', TaskKind::Inspect));
    }

    public function test_what_no_spot_answers_would_be_a_new_one_of_a_likely_kind(): void
    {
        self::assertSame(
            [SpotKind::Part, Subject::Fuel],
            [
                SpotWords::kind('Fuel pump filter', TaskKind::Replace),
                SpotWords::subject('Fuel pump filter', TaskKind::Replace),
            ],
        );
        self::assertSame(
            [SpotKind::Compartment, Subject::Hydraulics],
            [
                SpotWords::kind('Hydraulic oil', TaskKind::Replace),
                SpotWords::subject('Hydraulic oil', TaskKind::Replace),
            ],
        );
        self::assertSame(
            [SpotKind::GreasePoint, Subject::Grease],
            [SpotWords::kind('Hitch pin', TaskKind::Lubricate), SpotWords::subject('Hitch pin', TaskKind::Lubricate)],
        );
        self::assertSame(
            [SpotKind::Plain, Subject::Other],
            [SpotWords::kind('Seat', TaskKind::Clean), SpotWords::subject('Seat', TaskKind::Clean)],
        );
    }

    /** Most tasks of the starters are found again by their own words. */
    public function test_the_starters_own_words_mostly_find_their_own_spots(): void
    {
        $found = $all = 0;
        foreach (MachineClass::cases() as $class) {
            foreach (Starters::for($class)->rulebooks() as $rulebook) {
                foreach (array_filter($rulebook->rules, fn ($rule): bool => $rule->spots !== []) as $rule) {
                    $all++;
                    $found += array_intersect(
                        array_column(SpotWords::likeliest($rule->task, $rule->kind, self::spots($class)), 'key'),
                        $rule->spots,
                    ) === []
                        ? 0
                        : 1;
                }
            }
        }

        self::assertGreaterThan(0.8, $found / $all);
    }

    public function test_a_task_is_named_after_its_spots(): void
    {
        $spots = array_column(
            array_map(fn (Spot $spot): array => [$spot->key, $spot], self::spots(MachineClass::Tractor)),
            1,
            0,
        );

        self::assertSame('Engine oil and filter', TaskName::of([$spots['engine_oil'], $spots['engine_oil_filter']]));
        self::assertSame('Fuel filter', TaskName::of([$spots['fuel_filter']]));
        self::assertSame('', TaskName::of([]));
    }

    /** @return list<Spot> */
    private static function spots(MachineClass $class): array
    {
        return array_values(array_map(fn ($starter): Spot => $starter->spot, Starters::for($class)->spots()));
    }
}
