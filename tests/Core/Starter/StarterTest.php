<?php

declare(strict_types=1);

namespace Tests\Core\Starter;

use Core\Machine\MachineClass;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\TaskKind;
use Core\Starter\StarterRule;
use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What machines begin with. Figures and lists: common practice, no source; the parts named are those of the trade
 * handbook, section 17.
 */
final class StarterTest extends TestCase
{
    /** @return iterable<string, array{MachineClass}> */
    public static function classes(): iterable
    {
        foreach (MachineClass::cases() as $class) {
            yield $class->value => [$class];
        }
    }

    #[DataProvider('classes')]
    public function test_every_task_and_every_check_is_at_a_spot_of_its_class(MachineClass $class): void
    {
        $starter = Starters::for($class);
        $spots = $starter->spots();
        foreach ($starter->checkList()->checks as $check) {
            self::assertArrayHasKey($check->manner->spot, $spots, $check->key);
        }
        self::assertGreaterThan(1, count($starter->rulebooks()), 'keepers differ');
        foreach ($starter->rulebooks() as $rulebook) {
            self::assertNotSame('', $rulebook->for);
            $tasks = array_map(
                fn (StarterRule $rule): string => "{$rule->task} {$rule->kind->value}",
                $rulebook->rules,
            );
            self::assertSame($tasks, array_unique($tasks), $rulebook->name);
            foreach ($rulebook->rules as $rule) {
                self::assertSame([], array_diff($rule->spots, array_keys($spots)), $rule->task);
                self::assertTrue($rule->spots !== [] || $rule->kind === TaskKind::Lubricate, $rule->task);
                self::assertTrue(
                    $rule->check === null
                        || in_array($starter->checkList()->find($rule->check)?->manner->spot, $rule->spots, true),
                    "{$rule->task} by {$rule->check}",
                );
                self::assertNotSame('', $rule->rule->inWords(), $rule->task);
            }
        }
    }

    #[DataProvider('classes')]
    public function test_every_compartment_can_be_filled_emptied_and_read(MachineClass $class): void
    {
        $spots = array_map(fn (StarterSpot $spot): Spot => $spot->spot, Starters::for($class)->spots());
        foreach (array_filter($spots, fn (Spot $spot): bool => $spot->kind === SpotKind::Compartment) as $compartment) {
            $roles = array_column(
                array_filter(
                    $spots,
                    fn (Spot $spot): bool => $spot->parent === $compartment->key && $spot->kind === SpotKind::Opening,
                ),
                'role',
            );
            self::assertContains(OpeningRole::Fill, $roles, $compartment->key);
            self::assertContains(OpeningRole::Level, $roles, $compartment->key);
            self::assertTrue(
                in_array(OpeningRole::Drain, $roles, true) || in_array(OpeningRole::Draw, $roles, true),
                $compartment->key,
            );
        }
    }

    #[DataProvider('classes')]
    public function test_spots_stand_on_the_plate_belong_to_compartments_and_points_keep_their_limits(MachineClass $class): void
    {
        $spots = Starters::for($class)->spots();
        foreach ($spots as $key => $starter) {
            self::assertSame($key, $starter->spot->key);
            self::assertMatchesRegularExpression('/^[a-z][a-z0-9_]{1,39}$/', $key);
            self::assertNotContains('', [$starter->spot->name, $starter->spot->at->place], $key);
            self::assertTrue(min($starter->spot->at->mark) >= 0 && max($starter->spot->at->mark) <= 100, $key);
            self::assertTrue(
                $starter->spot->parent === null || $spots[$starter->spot->parent]->spot->kind === SpotKind::Compartment,
                $key,
            );
            self::assertTrue($starter->with === null || isset($spots[$starter->with]), $key);
            self::assertTrue(
                $starter->grease?->most === null || $starter->grease->strokes <= $starter->grease->most,
                $key,
            );
            self::assertSame($starter->spot->kind === SpotKind::GreasePoint, $starter->grease !== null, $key);
        }
    }

    public function test_compartments_are_as_many_as_such_machines_have(): void
    {
        $count = fn (MachineClass $class): int => count(
            array_filter(
                Starters::for($class)->spots(),
                fn (StarterSpot $spot): bool => $spot->spot->kind === SpotKind::Compartment,
            ),
        );

        self::assertGreaterThanOrEqual(7, $count(MachineClass::Tractor));
        self::assertGreaterThanOrEqual(9, $count(MachineClass::Crawler));
        self::assertGreaterThanOrEqual(6, $count(MachineClass::UtilityVehicle));
        self::assertGreaterThanOrEqual(3, $count(MachineClass::Generator));
    }

    /** Mistake 38 of the trade handbook: strainers, screens and breathers that nobody knows of. */
    #[DataProvider('partsThatAreForgotten')]
    public function test_what_is_forgotten_on_such_machines_has_its_spot(MachineClass $class, string ...$keys): void
    {
        self::assertSame([], array_diff($keys, array_keys(Starters::for($class)->spots())));
    }

    /** @return iterable<string, array<mixed>> */
    public static function partsThatAreForgotten(): iterable
    {
        yield 'a generator' => [
            MachineClass::Generator,
            'impeller',
            'impeller_gasket',
            'sea_strainer',
            'oil_strainer',
            'crankcase_breather',
            'coolant_filter',
            'cooling_fins',
            'hoses',
        ];
        yield 'a crawler' => [
            MachineClass::Crawler,
            'final_drive_inner_left',
            'final_drive_outer_left',
            'final_drive_inner_right',
            'final_drive_outer_right',
            'steering_boosters',
            'brake_adjusters',
            'suction_screen',
            'transmission_breather',
            'transmission_filter',
        ];
        yield 'a tractor' => [
            MachineClass::Tractor,
            'reduction_gear',
            'pto_housing',
            'pre_cleaner',
            'air_cleaner',
            'inner_element',
            'suction_screen',
            'breather',
            'cooling_fins',
        ];
        yield 'a petrol cart' => [MachineClass::PetrolCart, 'drive_clutch_hub', 'driven_clutch_hub', 'rear_axle'];
        yield 'a belt drive' => [MachineClass::UtilityVehicle, 'cvt_belt', 'cvt_sheaves', 'cvt_gasket'];
        yield 'an aerator' => [MachineClass::Aerator, 'drive_oil'];
    }

    /**
     * Gear oils of an all-terrain vehicle and a small truck, blades in hourly mower rulebooks, tyres that differ front
     * and rear.
     */
    public function test_rulebooks_and_walks_hold_what_they_used_to_lack(): void
    {
        $spots = fn (MachineClass $class): array => array_merge(
            ...array_map(fn (StarterRule $rule): array => $rule->spots, Starters::for($class)->rulebooks()[0]->rules),
        );

        self::assertContains('rear_gear_case', $spots(MachineClass::AllTerrainVehicle));
        self::assertContains('rear_axle', $spots(MachineClass::SmallTruck));
        self::assertContains('drive_oil', $spots(MachineClass::Aerator));
        self::assertContains('transmission', $spots(MachineClass::Crawler));
        foreach ([MachineClass::ZeroTurn, MachineClass::RiderMower, MachineClass::FrontMower] as $mower) {
            self::assertContains('blades', $spots($mower));
        }
        foreach (MachineClass::cases() as $class) {
            $pressure = Starters::for($class)->checkList()->find('tyre_pressure')?->measuring->limits;
            self::assertTrue($pressure === null || $pressure['front'] !== $pressure['rear'], $class->value);
        }
    }

    /** Mistake 37: points behind plates are joined to the job that opens the way. */
    public function test_a_point_that_another_job_opens_the_way_to_goes_with_it(): void
    {
        $rules = Starters::for(MachineClass::ZeroTurn)->rulebooks()[0]->rules;
        $clutch = array_values(
            array_filter($rules, fn (StarterRule $rule): bool => $rule->spots === ['blade_clutch']),
        )[0];

        self::assertContains('drive_belt', $rules[$clutch->goesWith ?? 0]->spots);
    }
}
