<?php

declare(strict_types=1);

namespace Core\Inspect;

use Brick\Math\BigRational;

/**
 * State of charge of a rested lead-acid battery by its open-circuit voltage, per cell, between the points of the usual
 * table for 12 V batteries near 25 °C (as published by battery makers' associations; values from memory).
 */
enum OpenCircuitVoltage: string
{
    case Flooded = 'flooded';
    case Agm = 'agm';

    private const CELLS_OF_12_VOLTS = 6;

    /** @return array<int, string> volts of a 12 V battery by state of charge in per cent, emptiest first */
    public function table(): array
    {
        return match ($this) {
            self::Flooded => [0 => '11.89', 25 => '12.06', 50 => '12.24', 75 => '12.45', 100 => '12.65'],
            self::Agm => [0 => '11.80', 25 => '12.00', 50 => '12.30', 75 => '12.60', 100 => '12.80'],
        };
    }

    public function label(): string
    {
        return $this === self::Flooded ? 'flooded' : 'AGM';
    }

    /**
     * @param  BigRational  $volts  at rest
     * @param  int  $cells  in series, 6 in a 12 V battery
     * @return BigRational per cent, 0 to 100
     */
    public function stateOfCharge(BigRational $volts, int $cells = self::CELLS_OF_12_VOLTS): BigRational
    {
        $asTwelve = $volts->multipliedBy(self::CELLS_OF_12_VOLTS)->dividedBy($cells);
        $lower = null;
        foreach ($this->table() as $charge => $at) {
            if ($asTwelve->isLessThanOrEqualTo($at)) {
                return $lower === null ? BigRational::zero()
                    : $asTwelve->minus($lower[1])->dividedBy(
                        BigRational::of($at)->minus($lower[1]),
                    )->multipliedBy($charge - $lower[0])->plus($lower[0]);
            }
            $lower = [$charge, $at];
        }

        return BigRational::of(100);
    }
}
