<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

/** The calculators as they are offered. */
final class Sheets
{
    /** @return array<string, list<CalculatorSheet>> by the heading under which they stand */
    public static function all(): array
    {
        return [
            'Measured' => MeasuringSheets::all(),
            'Fluids' => FluidSheets::all(),
            'Hours' => HourSheets::all(),
            'Jobs' => JobSheets::all(),
        ];
    }

    public static function find(string $name): ?CalculatorSheet
    {
        foreach (array_merge(...array_values(self::all())) as $sheet) {
            if ($sheet->name === $name) {
                return $sheet;
            }
        }

        return null;
    }
}
