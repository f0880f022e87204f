<?php

declare(strict_types=1);

namespace Tests\Core\Fluid;

use Brick\Math\BigDecimal;
use Core\Fluid\Bottle;
use Core\Fluid\Conditions;
use Core\Fluid\Designation;
use Core\Fluid\FluidKind;
use Core\Fluid\Grade\Grades;
use Core\Fluid\Grade\GreaseGrade;
use Core\Fluid\Grade\IsoGrade;
use Core\Fluid\Grade\SaeGrade;
use Core\Fluid\Grade\ViscosityTable;
use Core\Fluid\Housing;
use Core\Fluid\SeasonalGrade;
use Core\Fluid\Specification;
use Core\Fluid\Suitability;
use Core\Fluid\WillItDo;
use Core\Machine\CompartmentKind;
use Core\Measure\Unreadable;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Reference\Table;

/** Grades and designations against the published tables. */
final class GradesTest extends TestCase
{
    public function test_engine_oils_are_those_of_sae_j300(): void
    {
        $rows = array_column(Table::rows('sae-j300'), null, 'grade');
        self::assertSame(
            array_map('strval', array_keys($rows)),
            [
                ...array_map(fn (int $w): string => "{$w}W", array_keys(ViscosityTable::Engine->winter())),
                ...array_map('strval', array_keys(ViscosityTable::Engine->hot())),
            ],
        );
        foreach (ViscosityTable::Engine->winter() as $winter => [$cranking, $least]) {
            $row = $rows["{$winter}W"];
            self::assertSame(
                [$row['cranking'], $row['from']],
                [(string) $cranking, $least],
            );
            self::assertSame(
                $row['cranking'],
                (string) SaeGrade::of(ViscosityTable::Engine, "{$winter}W-30")->lowest()?->rounded(),
            );
        }
        foreach (ViscosityTable::Engine->hot() as $hot => [$from, $below]) {
            self::assertSame([$rows[$hot]['from'], $rows[$hot]['below']], [$from, $below]);
        }
    }

    public function test_gear_oils_are_those_of_sae_j306(): void
    {
        $rows = array_column(Table::rows('sae-j306'), null, 'grade');
        foreach (ViscosityTable::Gear->winter() as $winter => [$lowest, $least]) {
            self::assertSame([$rows["{$winter}W"]['lowest'], $rows["{$winter}W"]['from']], [(string) $lowest, $least]);
        }
        foreach (ViscosityTable::Gear->hot() as $hot => [$from, $below]) {
            self::assertSame([$rows[$hot]['from'], $rows[$hot]['below']], [$from, (string) $below]);
        }
        self::assertCount(count($rows), [...ViscosityTable::Gear->winter(), ...ViscosityTable::Gear->hot()]);
        self::assertSame('-26', (string) SaeGrade::of(ViscosityTable::Gear, '80w90')->lowest()?->rounded());
    }

    public function test_industrial_grades_are_those_of_iso_3448(): void
    {
        foreach (Table::rows('iso-3448') as $row) {
            self::assertSame($row['grade'], IsoGrade::parse($row['grade'])->written());
        }
        $this->expectException(Unreadable::class);
        IsoGrade::parse('ISO VG 40');
    }

    public function test_greases_are_those_of_nlgi(): void
    {
        self::assertSame(array_column(Table::rows('nlgi'), 'grade'), array_column(GreaseGrade::cases(), 'value'));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function covers(): iterable
    {
        foreach (Table::rows('what-covers-what') as $row) {
            yield "{$row['has']} for {$row['needs']}" => [$row['has'], $row['needs'], $row['covers']];
        }
    }

    #[DataProvider('covers')]
    public function test_what_a_label_covers(string $has, string $needs, string $covers): void
    {
        $answer = Catalogue::reckon('covers', ['has' => $has, 'needs' => $needs], new \DateTimeImmutable);

        self::assertSame($covers, $answer['covers'], $answer['why']);
    }

    public function test_newer_of_one_row_covers_every_older_and_never_the_other_way_round(): void
    {
        $rows = [
            ['SC', 'SD', 'SE', 'SF', 'SG', 'SH', 'SJ', 'SL', 'SM', 'SN', 'SP'],
            ['CF-4', 'CG-4', 'CH-4', 'CI-4', 'CJ-4', 'CK-4'],
        ];
        foreach ($rows as $row) {
            foreach ($row as $at => $one) {
                foreach ($row as $than => $other) {
                    $answer = Designation::of($one)->covers(Designation::of($other))->answer->value;
                    self::assertSame($at >= $than ? 'yes' : 'no', $answer, "{$one} for {$other}");
                }
            }
        }
    }

    #[TestWith([FluidKind::EngineOil, '10W-30', '10W30'])]
    #[TestWith([FluidKind::EngineOil, 'SAE 10W-30', '10w/30'])]
    #[TestWith([FluidKind::GearOil, 'SAE 90', '90'])]
    #[TestWith([FluidKind::HydraulicOil, 'ISO VG 46', '46'])]
    #[TestWith([FluidKind::HydraulicOil, 'vg46', 'ISO 46'])]
    #[TestWith([FluidKind::HydraulicOil, '10W-30', 'SAE 10w30'])]
    #[TestWith([FluidKind::BrakeFluid, 'Class  6', 'class 6'])]
    #[TestWith([null, 'NLGI grade 2', 'nlgi 2'])]
    public function test_a_grade_is_the_same_however_it_is_written(?FluidKind $kind, string $one, string $other): void
    {
        self::assertSame(Grades::of($kind, $one)->written(), Grades::of($kind, $other)->written());
        self::assertTrue((new SeasonalGrade($one))->is($other, $kind));
    }

    public function test_the_same_number_is_another_grade_on_another_kind_of_oil(): void
    {
        self::assertSame(
            ['ISO VG 68', 'SAE 90', 'ISO VG 32'],
            [
                Grades::of(FluidKind::HydraulicOil, '68')->written(),
                Grades::of(FluidKind::GearOil, '90')->written(),
                Grades::of(FluidKind::HydrostaticOil, '32')->written(),
            ],
        );
        self::assertSame(Suitability::Yes, $this->hydraulic('46'), 'the book says ISO VG 46, the bottle 46');
        self::assertSame(Suitability::No, $this->hydraulic('68'));
    }

    private function hydraulic(string $grade): Suitability
    {
        return WillItDo::judge(
            new Bottle(FluidKind::HydraulicOil, $grade),
            new Housing(CompartmentKind::Hydraulic, new Specification(FluidKind::HydraulicOil, [new SeasonalGrade('ISO VG 46')])),
            new Conditions,
        )->answer;
    }

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>}> */
    public static function judged(): iterable
    {
        yield 'a car\'s oil in the cold' => [
            'engine-grade',
            ['grade' => '5W-30', 'coldest' => '-20 °C'],
            ['valid' => true, 'verdict' => 'fit'],
        ];
        yield 'just at its limit' => [
            'engine-grade',
            ['grade' => '10W-30', 'coldest' => '-25'],
            ['valid' => true, 'verdict' => 'fit'],
        ];
        yield 'colder than it cranks' => [
            'engine-grade',
            ['grade' => '15W-40', 'coldest' => '-5 °F'],
            ['valid' => true, 'verdict' => 'act'],
        ];
        yield 'no W in frost' => [
            'engine-grade',
            ['grade' => 'SAE 30', 'coldest' => '-8 °C'],
            ['valid' => true, 'lowest_cranking' => null, 'verdict' => 'act'],
        ];
        yield 'no W in summer' => [
            'engine-grade',
            ['grade' => '30', 'coldest' => '12 °C'],
            ['valid' => true, 'verdict' => 'fit'],
        ];
        yield 'thin in great heat' => [
            'engine-grade',
            ['grade' => '0W-20', 'coldest' => '5', 'hottest' => '41'],
            ['valid' => true, 'verdict' => 'watch'],
        ];
        yield 'read backwards' => [
            'engine-grade',
            ['grade' => '30W-5', 'coldest' => '5'],
            ['valid' => false, 'verdict' => null],
        ];
        yield 'no oil is both' => [
            'engine-grade',
            ['grade' => '25W-20', 'coldest' => '5'],
            ['valid' => false, 'verdict' => null],
        ];
        yield 'gear oil' => [
            'gear-grade',
            ['grade' => '80W-90', 'coldest' => '-20 °C'],
            ['valid' => true, 'verdict' => 'fit'],
        ];
        yield 'gear oil too thick' => [
            'gear-grade',
            ['grade' => '85W-140', 'coldest' => '-20 °C'],
            ['valid' => true, 'verdict' => 'act'],
        ];
        yield 'an engine grade is none' => [
            'gear-grade',
            ['grade' => '10W-30', 'coldest' => '0'],
            ['valid' => false, 'lowest' => null],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('judged')]
    public function test_a_grade_against_the_season(string $name, array $given, array $expected): void
    {
        $answer = Catalogue::reckon($name, $given, new \DateTimeImmutable);

        self::assertSame($expected, array_intersect_key($answer, $expected), $answer['why']);
        self::assertStringContainsString('from memory', $answer['sources'][0]);
    }

    public function test_every_possible_multigrade_lies_within_both_its_limits(): void
    {
        foreach (ViscosityTable::Engine->winter() as $winter => [, $least]) {
            foreach (ViscosityTable::Engine->hot() as $hot => [, $below]) {
                try {
                    SaeGrade::of(ViscosityTable::Engine, "{$winter}W-{$hot}");
                    $isPossible = true;
                } catch (Unreadable) {
                    $isPossible = false;
                }
                self::assertSame(BigDecimal::of($below)->isGreaterThan($least), $isPossible, "{$winter}W-{$hot}");
            }
        }
    }
}
