<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Brick\Math\BigRational;
use Core\Fluid\Glycol;
use Core\Inspect\OpenCircuitVoltage;
use PHPUnit\Framework\TestCase;

/** Published tables, their points and what lies between. */
final class TablesTest extends TestCase
{
    public function test_state_of_charge_by_open_circuit_voltage(): void
    {
        foreach (StraightLineTest::rows('open-circuit-voltage') as $row) {
            self::assertSame(
                $row['percent'],
                (string) OpenCircuitVoltage::from($row['kind'])->stateOfCharge(
                    BigRational::of($row['volts']),
                )->simplified(),
                "{$row['kind']} at {$row['volts']} V",
            );
        }
        self::assertSame(
            '125/2',
            (string) OpenCircuitVoltage::Flooded->stateOfCharge(BigRational::of('12.345'))->simplified(),
        );
        self::assertSame('100', (string) OpenCircuitVoltage::Flooded->stateOfCharge(BigRational::of('12.9')));
        self::assertSame('0', (string) OpenCircuitVoltage::Agm->stateOfCharge(BigRational::of(3)));
    }

    public function test_a_pack_of_48_volts_by_its_cells(): void
    {
        self::assertSame(
            '75',
            (string) OpenCircuitVoltage::Flooded->stateOfCharge(BigRational::of('49.8'), 24)->simplified(),
        );
    }

    public function test_glycol_freezing_points(): void
    {
        foreach (StraightLineTest::rows('glycol') as $row) {
            self::assertEqualsWithDelta(
                (float) $row['freezes_at'],
                Glycol::from($row['glycol'])->freezesAt(BigRational::of($row['percent']))->toFloat(),
                1e-9,
                "{$row['glycol']} {$row['percent']} %",
            );
        }
        self::assertEqualsWithDelta(
            -37,
            Glycol::Ethylene->freezesAt(BigRational::of(50))->toFloat(),
            0.6,
            'handbook: 50 % ethylene glycol about -37 °C',
        );
        self::assertSame('0', (string) Glycol::Ethylene->freezesAt(BigRational::of(0)));
    }

    public function test_more_glycol_than_the_table_has_is_refused(): void
    {
        $this->expectException(\DomainException::class);

        Glycol::Ethylene->freezesAt(BigRational::of('60.1'));
    }

    public function test_every_step_of_glycol_protects_further(): void
    {
        foreach (Glycol::cases() as $glycol) {
            for ($percent = 1; $percent <= 60; $percent++) {
                self::assertTrue(
                    $glycol->freezesAt(BigRational::of($percent))->isLessThan(
                        $glycol->freezesAt(BigRational::of($percent - 1)),
                    ),
                    "{$glycol->value} {$percent} %",
                );
            }
        }
    }
}
